import type { TrialDesign, TrialPlan, TrialPreset } from '$core/schema-types';
import { TrialPlanBounds } from '$core/schema-types/bounds';
import { factorIn, levelUnits } from '$core/trials/design/level-units';
import { treatmentNames } from '$core/trials/design/treatments';
import { FT_PER_M } from '$core/units/factors';
import type { UnitSystem } from '$core/units/rate-units';
import type { NumberFacts } from '../forms/number-within';

/** A plan as it is typed: lengths in the reader's unit, levels parted by commas. */
export interface TypedTrial {
	name: string;
	question: string;
	design: TrialDesign;
	factors: { name: string; unit: string; levels: string }[];
	wholePlot: string;
	usual: string;
	blocks: string;
	grounds: string;
	pass: string;
	header: string;
	width: string;
	/** Empty: as long as the field lets it. */
	length: string;
	headland: string;
	heading: string;
	seed: string;
	cv: string;
	worthKnowing: string;
}

/** Units that the levels of a factor may have, its own among them; a factor of kinds has none. */
export function unitChoices(own: string, units: UnitSystem): string[] {
	return [...new Set(['', ...levelUnits(units), own])];
}

/** Usual machines on broad acres, feet, even in the reader's unit; common practice. */
const USUAL = {
	us: { passFt: 60, headerFt: 30, widthFt: 60, lengthFt: 500, headlandFt: 60 },
	metric: {
		passFt: 18 * FT_PER_M,
		headerFt: 9 * FT_PER_M,
		widthFt: 18 * FT_PER_M,
		lengthFt: 150 * FT_PER_M,
		headlandFt: 18 * FT_PER_M
	}
} as const satisfies Record<UnitSystem, object>;

/** Of each unit of length in a foot. */
export function perFoot(units: UnitSystem): number {
	return units === 'metric' ? 1 / FT_PER_M : 1;
}

/** A length as it is typed, to a hundredth. */
function lengthText(feet: number, units: UnitSystem): string {
	return String(Math.round(feet * perFoot(units) * 100) / 100);
}

export function lengthUnit(units: UnitSystem): 'ft' | 'm' {
	return units === 'metric' ? 'm' : 'ft';
}

/** What a form starts from for a question that is asked often. */
export function typedFromPreset(
	preset: TrialPreset,
	headingDegrees: number,
	seed: number,
	units: UnitSystem
): TypedTrial {
	const { name, question, design, blocks, wholePlot, cvPercent, fullLength } = preset;
	const factors = preset.factors.map((factor) => factorIn(factor, units));
	// The treatment that is usual stays where it stood among the treatments.
	const usual = treatmentNames({ factors })[treatmentNames(preset).indexOf(preset.usual)]!;
	const lengthFt = fullLength ? {} : { lengthFt: USUAL[units].lengthFt };
	const plan = { name, question, design, blocks, factors, usual, cvPercent, headingDegrees, seed, ...USUAL[units] };
	return typedFromPlan({ ...plan, ...(wholePlot === undefined ? {} : { wholePlot }), ...lengthFt }, units, fullLength);
}

export function typedFromPlan(
	plan: TrialPlan,
	units: UnitSystem,
	fullLength = plan.lengthFt === undefined
): TypedTrial {
	const length = (feet: number) => lengthText(feet, units);
	const text = (value: number | undefined) => (value === undefined ? '' : String(value));
	return {
		name: plan.name,
		question: plan.question ?? '',
		design: plan.design,
		factors: plan.factors.map(({ name, unit = '', levels }) => ({ name, unit, levels: levels.join(', ') })),
		wholePlot: plan.wholePlot ?? '',
		usual: plan.usual ?? '',
		blocks: String(plan.blocks),
		grounds: (plan.grounds ?? []).join(', '),
		pass: length(plan.passFt),
		header: length(plan.headerFt),
		width: length(plan.widthFt),
		length: fullLength || plan.lengthFt === undefined ? '' : length(plan.lengthFt),
		headland: length(plan.headlandFt),
		heading: String(plan.headingDegrees),
		seed: String(plan.seed),
		cv: text(plan.cvPercent),
		worthKnowing: text(plan.worthKnowing)
	};
}

/**
 * The plan that was typed; what the form does not ask (prices, weather, notes) stays as it was.
 * @returns what is wrong, in words, where a number is none
 */
export function readTyped(typed: TypedTrial, units: UnitSystem, before?: TrialPlan): TrialPlan | string {
	const problems: string[] = [];
	const facts = TrialPlanBounds;
	const number = ({ label }: NumberFacts, text: string): number => {
		const value = text.trim() === '' ? NaN : Number(text);
		if (!Number.isFinite(value)) problems.push(`${label} must be a number; got “${text}”.`);
		return value;
	};
	// A length that was not touched stays what it was, however it reads in metres.
	const feet = (of: NumberFacts, text: string, was: number | undefined) =>
		was !== undefined && text === lengthText(was, units)
			? was
			: Math.round((number(of, text) / perFoot(units)) * 1000) / 1000;
	const list = (text: string) =>
		text
			.split(',')
			.map((part) => part.trim())
			.filter(Boolean);
	const plan: TrialPlan = {
		...(before?.note === undefined ? {} : { note: before.note }),
		...(before?.weather === undefined ? {} : { weather: before.weather }),
		...(before?.price === undefined ? {} : { price: before.price }),
		...(before?.near === undefined ? {} : { near: before.near }),
		name: typed.name.trim(),
		question: typed.question.trim(),
		design: typed.design,
		factors: typed.factors
			.filter(({ name, levels }) => name.trim() !== '' || levels.trim() !== '')
			.map(({ name, unit, levels }) => ({ name: name.trim(), ...(unit === '' ? {} : { unit }), levels: list(levels) })),
		...(typed.design === 'split-plot' ? { wholePlot: typed.wholePlot } : {}),
		...(typed.usual.trim() === '' ? {} : { usual: typed.usual.trim() }),
		blocks: number(facts.blocks, typed.blocks),
		...(typed.grounds.trim() === '' || typed.design === 'latin-square' ? {} : { grounds: list(typed.grounds) }),
		passFt: feet(facts.passFt, typed.pass, before?.passFt),
		headerFt: feet(facts.headerFt, typed.header, before?.headerFt),
		widthFt: feet(facts.widthFt, typed.width, before?.widthFt),
		...(typed.length.trim() === '' ? {} : { lengthFt: feet(facts.lengthFt, typed.length, before?.lengthFt) }),
		headlandFt: feet(facts.headlandFt, typed.headland, before?.headlandFt),
		headingDegrees: number(facts.headingDegrees, typed.heading),
		seed: number(facts.seed, typed.seed),
		...(typed.cv.trim() === '' ? {} : { cvPercent: number(facts.cvPercent, typed.cv) }),
		...(typed.worthKnowing.trim() === '' ? {} : { worthKnowing: number(facts.worthKnowing, typed.worthKnowing) })
	};
	return problems.length > 0 ? problems.join(' ') : withCosts(plan, before);
}

/** Costs of the treatments that are still tried. */
function withCosts(plan: TrialPlan, before: TrialPlan | undefined): TrialPlan {
	const same = JSON.stringify(plan.factors) === JSON.stringify(before?.factors);
	return same && before?.costs ? { ...plan, costs: before.costs } : plan;
}
