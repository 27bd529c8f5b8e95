import { addDays, format, parseISO } from 'date-fns';
import { limeApplications } from '../rates/lime/lime-applications';
import { formatNumber } from '../units/display';
import type { Nutrient, Pass, Schedule, ScheduleStep } from '../schema-types';
import { passNutrient, productFor } from './pass-nutrients';
import { passCeiling, productOf, type PlanContext } from './plan-context';

/** A programme, and in words what could not be placed in it. */
export interface Programme {
	passes: Pass[];
	notes: string[];
}

/** Below this a pass is not worth a trip, lb/ac of nutrient: common practice. */
const LEAST_WORTH_A_PASS = 1;
/** Micronutrients go on by the tenth of a pound. */
const LEAST_BY_NUTRIENT: Partial<Record<Nutrient, number>> = { B: 0.1, Zn: 0.1, Mn: 0.1, Cu: 0.1 };

/**
 * Passes that put the chosen rates on by the crop's schedule: lime, the starter, then each nutrient less what is
 * already carried, and nitrogen last, over as many passes as the ground can hold.
 */
export function proposeProgramme(context: PlanContext): Programme {
	const { schedule, crop, chosen } = context;
	if (!schedule) {
		return {
			passes: [],
			notes: [`No schedule of passes is known for ${crop.name.toLowerCase()}; add the passes by hand.`]
		};
	}
	const lime = limePass(context, schedule);
	const passes = [...lime.passes, ...starterPasses(context)];
	for (const [nutrient, step] of singlePasses(context, schedule)) {
		const wanted = (chosen[nutrient] ?? 0) - carried(passes, nutrient, context);
		if (wanted >= (LEAST_BY_NUTRIENT[nutrient] ?? LEAST_WORTH_A_PASS)) {
			passes.push(passOf(step, context, productFor(wanted, productOf(step, context.products), nutrient), 'lb/ac'));
		}
	}
	const nitrogen = nitrogenPasses(context, schedule, passes);
	return {
		passes: [...passes, ...nitrogen.passes].sort((a, b) => a.date.localeCompare(b.date)),
		notes: [...lime.notes, ...nitrogen.notes]
	};
}

/** The nutrients that go on in one pass each, sulfur last, because others carry it along. */
function singlePasses({ extras }: PlanContext, schedule: Schedule): [Nutrient, ScheduleStep][] {
	return [
		['P2O5', schedule.phosphorus],
		['K2O', schedule.potassium],
		['Mg', extras.Mg],
		['Ca', extras.Ca],
		['B', extras.B],
		['Zn', extras.Zn],
		['Mn', extras.Mn],
		['Cu', extras.Cu],
		['S', schedule.sulfur]
	];
}

/** This season's share of the lime, and what is left for the next ones. */
function limePass(context: PlanContext, { lime }: Schedule): Programme {
	const { applications, why } = limeApplications(context.chosen.lime ?? 0, context.liming.placement);
	const [now, ...later] = applications;
	if (!now) return { passes: [], notes: [] };
	const surface = context.liming.placement === 'surface';
	const step: ScheduleStep = {
		...lime,
		product: context.liming.product,
		...(surface ? { placement: 'broadcast' as const, label: 'Lime, on the surface' } : {})
	};
	const pass = { ...passOf(step, context, now.rate, 'short ton/ac'), reason: `${lime.reason} ${why}` };
	if (later.length === 0) return { passes: [pass], notes: [] };
	const left = later.reduce((sum, { rate }) => sum + rate, 0);
	const seasons = later.length === 1 ? 'the next season' : `the next ${later.length} seasons`;
	return {
		passes: [pass],
		notes: [`${why} ${formatNumber(left, 'short ton/ac')} short tons of it are left for ${seasons}.`]
	};
}

/** The starter, which is taken off the phosphate and nitrogen passes. */
function starterPasses(context: PlanContext): Pass[] {
	const { starter, chosen, products } = context;
	const p2o5 = Math.min(starter?.p2o5 ?? 0, chosen.P2O5 ?? 0);
	if (!starter || p2o5 < LEAST_WORTH_A_PASS) return [];
	return [passOf(starter.step, context, productFor(p2o5, productOf(starter.step, products), 'P2O5'), 'lb/ac')];
}

/** The planting date a schedule takes where the adviser has set none. */
export function usualPlantingDate({ usualPlanting }: Schedule, year: number): string {
	return `${year + usualPlanting.yearOffset}-${usualPlanting.monthDay}`;
}

/** Pounds of a nutrient per acre over a list of passes. */
export function carried(passes: readonly Pass[], nutrient: Nutrient, { products }: PlanContext): number {
	return passes.reduce((sum, pass) => sum + passNutrient(pass, productOf(pass, products), nutrient), 0);
}

function nitrogenPasses(context: PlanContext, schedule: Schedule, others: readonly Pass[]): Programme {
	const wanted = (context.chosen.N ?? 0) - carried(others, 'N', context);
	if (wanted < LEAST_WORTH_A_PASS) return { passes: [], notes: [] };
	if (schedule.nitrogen.length === 0) {
		return {
			passes: [],
			notes: [`${context.crop.name} is planned without nitrogen passes; add one by hand if it needs one.`]
		};
	}
	const ceiling = passCeiling(context);
	const capOf = (step: ScheduleStep) => {
		const sameDay = others.filter(({ date }) => date === dateOf(step, context));
		const free = ceiling.applies ? Math.max(0, ceiling.value - carried(sameDay, 'N', context)) : Infinity;
		return Math.min(free, step.maxN ?? Infinity);
	};
	const shares = shareOut(wanted, schedule.nitrogen.map(capOf));
	const used = shares.filter((share) => share >= LEAST_WORTH_A_PASS).length;
	const split = used > 1 && ceiling.applies ? splitReason(context, ceiling.value) : '';
	const passes = schedule.nitrogen.flatMap((step, index) => {
		const share = shares[index] ?? 0;
		if (share < LEAST_WORTH_A_PASS) return [];
		const pass = passOf(step, context, productFor(share, productOf(step, context.products), 'N'), 'lb/ac');
		return [{ ...pass, reason: [step.reason, split].filter(Boolean).join(' ') }];
	});
	const left = wanted - shares.reduce((sum, share) => sum + share, 0);
	const notes =
		left >= LEAST_WORTH_A_PASS
			? [
					`${formatNumber(left, 'lb/ac')} lb N/ac found no place: the ground holds too little for ${schedule.nitrogen.length} passes. Add a pass, or lower the rate.`
				]
			: [];
	return { passes, notes };
}

/**
 * Shares an amount over as few of the caps, in their order, as can hold it, as evenly as the caps allow.
 * @returns one share per cap; they add up to less than the amount where all the caps together do
 */
export function shareOut(amount: number, caps: readonly number[]): number[] {
	let count = 0;
	let held = 0;
	while (count < caps.length && held < amount) held += caps[count++]!;
	const shares = caps.map(() => 0);
	let left = Math.min(amount, held);
	const open = [...Array(count).keys()].sort((a, b) => caps[a]! - caps[b]!);
	open.forEach((index, filled) => {
		shares[index] = Math.min(caps[index]!, left / (open.length - filled));
		left -= shares[index];
	});
	return shares;
}

function splitReason({ holdingLimit, holdingRoom, chosen }: PlanContext, ceiling: number): string {
	const limit = holdingLimit.applies ? formatNumber(holdingLimit.value, 'lb/ac') : '';
	const room = holdingRoom.applies
		? `has room for ${formatNumber(ceiling, 'lb/ac')} of the ${limit} lb N/ac it can hold`
		: `can hold ${limit} lb N/ac`;
	return `Split because the ground ${room} at one time, and ${formatNumber(chosen.N ?? 0, 'lb/ac')} lb are wanted.`;
}

function dateOf(step: ScheduleStep, { plantingDate }: PlanContext): string {
	return format(addDays(parseISO(plantingDate), step.daysFromPlanting), 'yyyy-MM-dd');
}

function passOf(step: ScheduleStep, context: PlanContext, rate: number, unit: Pass['unit']): Pass {
	return {
		id: step.id,
		date: dateOf(step, context),
		label: step.label,
		product: step.product,
		rate,
		unit,
		placement: step.placement,
		reason: step.reason
	};
}
