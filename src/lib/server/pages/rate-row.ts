import { OBJECTIVE_NAME } from '../../../core/rates/nitrogen/response/objective-name';
import { figure, notApplicable, type Answer } from '../../../core/figure/figure';
import { basesOf } from '../../../core/ground/block/rate-bases';
import { movedText } from '../../../core/rates/choose';
import { choiceFaults } from '../../../core/rates/choice-faults';
import { inputReaders } from '../../../core/rates/input-readers';
import { costOf } from '../../../core/rates/rate';
import { SiteReading } from '../../../core/reading/site-reading';
import type { Rate, RateNutrient } from '../../../core/schema-types';
import { formatNumber } from '../../../core/units/display';
import { inSystem, unitInSystem, type UnitSystem } from '../../../core/units/rate-units';
import { capital } from '../../objective-names';
import { SCHOOL_ORDER, schoolName } from '../../school-names';
import type { Advice } from '../field/field-year';
import { ownNitrogen } from '../field/season/own-nitrogen';
import type { Desk } from '../desk';

/** A nutrient of the page of rates; some are shown only where something speaks for them. */
export interface RowHead {
	nutrient: RateNutrient;
	name: string;
	unit: string;
	always: boolean;
}

/** One nutrient of the page: what is chosen and what it costs, and every approach's answer. */
export function rateRow(
	{ nutrient, name, unit, always }: RowHead,
	advice: Advice | undefined,
	units: UnitSystem,
	library: Desk['library']
) {
	const choice = advice?.choices.find((one) => one.nutrient === nutrient);
	const chosen = advice?.chosen.find((one) => one.nutrient === nutrient);
	const rates = (advice?.answer.rates ?? [])
		.filter((rate) => rate.nutrient === nutrient)
		.sort((a, b) => SCHOOL_ORDER.indexOf(a.school) - SCHOOL_ORDER.indexOf(b.school));
	const none = rates.every(({ applies }) => !applies);
	return {
		nutrient,
		name,
		always,
		/** What stands where no approach gives a rate. */
		instead:
			none && nutrient === 'N' && advice?.crop.nitrogenContent?.fixes ? ownNitrogen(advice.crop.name) : undefined,
		unit: unitInSystem(unit, units),
		ownUnit: unit,
		choice,
		lapsed: advice?.lapsed.some((one) => one.nutrient === nutrient) ?? false,
		/** What the chosen method gives by now, where it is another rate than the one chosen, and that in words. */
		moved: chosen?.now && { now: inSystem(chosen.now, units), text: movedText(chosen, units)! },
		own: choice?.ownRate !== undefined && chosen ? inSystem(chosen.rate, units) : undefined,
		chosen: chosen && inSystem(chosen.rate, units),
		/** The chosen rate by the plant, the row and the treated strip, where there is a block. */
		bases: advice && chosen && nutrient !== 'lime' ? basesOfRate(chosen.rate, advice.site, units) : [],
		/** In what an own rate may be typed beside the unit of the row, and how much of that one of it is. */
		typedIn: advice && nutrient !== 'lime' ? typedIn(advice.site, units) : [],
		/** What a rate is held against, and what speaks against the chosen one. */
		facts: advice?.context.choiceFacts[nutrient] ?? {},
		faults: chosen ? choiceFaults(nutrient, chosen.rate.value, advice?.context.choiceFacts[nutrient] ?? {}, units) : [],
		cost: advice && chosen && inSystem(costOf(chosen.rate, nutrient, advice.request.prices ?? {}), units),
		opinions: advice ? rates.map((rate) => opinionOf(rate, rates, advice, units, library)) : []
	};
}

/** A rate on the other bases of its block; those that need a spacing which is not known are left out. */
function basesOfRate(rate: Answer, { block, areaAc }: Advice['site'], units: UnitSystem): Answer[] {
	if (!block) return [];
	const { perPlant, per100Row, perTreated } = basesOf(rate, block, areaAc);
	return [perPlant, per100Row, perTreated].filter(({ applies }) => applies).map((one) => inSystem(one, units));
}

/** A handbook's figure may mean the plant, the row or the treated strip: what one of each is for the whole block. */
function typedIn(site: Advice['site'], units: UnitSystem): { unit: string; perArea: number }[] {
	const one = figure({ label: 'rate', value: 1, unit: 'lb/ac', basis: 'adviser' });
	const shown = inSystem(one, units);
	return basesOfRate(one, site, units).flatMap((base) =>
		base.applies && shown.applies ? [{ unit: base.unit, perArea: shown.value / base.value }] : []
	);
}

export type RateRow = ReturnType<typeof rateRow>;

function opinionOf(rate: Rate, beside: readonly Rate[], advice: Advice, units: UnitSystem, { packs }: Desk['library']) {
	const compiled = packs.rules.find(({ method }) => method === rate.method);
	const objective = rate.objectives && OBJECTIVE_NAME[advice.request.nitrogen?.objective ?? 'most-profit'];
	return {
		method: rate.method,
		schoolId: rate.school,
		school: schoolName(rate.school),
		/** What tells it from the others of the row. */
		name: nameBeside(rate, beside, objective),
		title: rate.worksheet.label,
		guide: rate.packTitle,
		answer: inSystem(rate.worksheet, units),
		/** Its guide has nothing on this crop; curves of the adviser's own are found by what they are of. */
		notForCrop: !rate.applies && compiled !== undefined && compiled.forCrop(advice.crop.id) === undefined,
		cost: inSystem(rate.cost, units),
		approximate: rate.approximate,
		simulated: rate.simulated === true,
		of: rate.nutrient === 'lime' && compiled && rate.applies ? limeText(compiled, advice) : undefined,
		stands: rate.stands,
		total: rate.seasonTotal && inSystem(rate.seasonTotal, units),
		zones: (rate.zones ?? []).map((zone) => ({ ...zone, rate: inSystem(zone.rate, units) })),
		curve: rate.objectives && rate.title,
		objective,
		bothYears: rate.bothYears && inSystem(rate.bothYears, units),
		bases: [rate.perPlant, rate.per100Row, rate.perTreated].flatMap((one) =>
			one?.applies ? inSystem(one, units) : []
		),
		none: rate.applies && rate.rate === 0 ? rate.reason : undefined
	};
}

/**
 * The approach alone where no other guide of the row takes it (a curve by what it is read for), else with its guide,
 * else the rule's own title.
 */
function nameBeside(
	{ method, school, packTitle, worksheet }: Rate,
	beside: readonly Rate[],
	objective: string | undefined
): string {
	const alike = beside.filter((other) => other.applies && other.school === school && other.method !== method);
	if (alike.length === 0) return objective === undefined ? schoolName(school) : capital(objective);
	if (alike.some((other) => other.packTitle === packTitle)) return worksheet.label;
	return `${schoolName(school)}, ${packTitle}`;
}

/** Which lime a rate is of: guides differ in their reference. */
function limeText(compiled: Desk['library']['packs']['rules'][number], { site }: Advice): string | undefined {
	const fraction = new SiteReading(site, inputReaders).input('effectiveFraction', compiled);
	if (!fraction.applies) return undefined;
	return fraction.value === 1
		? 'of pure CaCO3'
		: `of lime with an effective neutralizing value of ${formatNumber(fraction.value * 100, '%')} %`;
}

/** What the chosen rates cost by the prices of the nutrients, $/ac; does not apply while a price is missing. */
export function costOfRates(rows: readonly RateRow[]): Answer | undefined {
	const costs = rows.flatMap(({ cost }) => cost ?? []);
	if (costs.length === 0) return undefined;
	const label = 'cost of the chosen rates';
	const missing = costs.find(({ applies }) => !applies);
	if (missing && !missing.applies) return notApplicable(label, missing.reason, missing.remedy);
	const inputs = costs.filter((cost) => cost.applies);
	return figure({
		label,
		value: inputs.reduce((sum, { value }) => sum + value, 0),
		unit: inputs[0]!.unit,
		formula: 'sum of the nutrients',
		inputs,
		basis: 'adviser'
	});
}
