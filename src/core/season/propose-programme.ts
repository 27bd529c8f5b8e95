import { addDays, format, parseISO } from 'date-fns';
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

/**
 * Passes that put the chosen rates on by the crop's schedule: lime, P, K and S first, then what nitrogen these do
 * not already carry, over as many nitrogen passes as the ground can hold.
 */
export function proposeProgramme(context: PlanContext): Programme {
	const { schedule, crop, chosen } = context;
	if (!schedule) {
		return {
			passes: [],
			notes: [`No schedule of passes is known for ${crop.name.toLowerCase()}; add the passes by hand.`]
		};
	}
	const passes: Pass[] = [];
	if (chosen.lime) passes.push(passOf(schedule.lime, context, chosen.lime, 'short ton/ac'));
	const single = [
		['P2O5', schedule.phosphorus],
		['K2O', schedule.potassium],
		['S', schedule.sulfur]
	] as const;
	for (const [nutrient, step] of single) {
		const wanted = chosen[nutrient] ?? 0;
		if (wanted >= LEAST_WORTH_A_PASS) {
			passes.push(passOf(step, context, productFor(wanted, productOf(step, context.products), nutrient), 'lb/ac'));
		}
	}
	const { passes: nitrogen, notes } = nitrogenPasses(context, schedule, passes);
	return { passes: [...passes, ...nitrogen].sort((a, b) => a.date.localeCompare(b.date)), notes };
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
