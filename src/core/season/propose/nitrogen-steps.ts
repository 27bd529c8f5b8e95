import type { ScheduleStep } from '../../schema-types';
import { endOfUptake } from '../checks/ground/holding-limit';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';
import { byCropOfYear } from '../schedule/second-crop';
import { dateOf } from '../schedule/step-date';
import { daysBetween, shiftDate } from '../weather/season-weather';

/** A step of a schedule with its day. */
export type DatedStep = ScheduleStep & { date: string };

/** Sooner is better once tillers are counted; common practice. */
const AFTER_COUNT_DAYS = 3;
/** Trips closer together than this are one: common practice. */
const BETWEEN_TRIPS_DAYS = 7;
/** Nobody drives over a field more often for nitrogen, and water brings it as often as this: judgement. */
const MOST_DRIVEN = 5;
const MOST_WITH_WATER = 12;

/**
 * The nitrogen steps of a schedule that are still ahead, each with its day. Where none is left, the last one in the crop that was missed
 * goes on as soon as it can, as long as the crop still takes nitrogen up.
 */
export function openSteps(context: PlanContext): DatedStep[] {
	const { products, schedule, crop } = context;
	const from = earliestDay(context);
	const lastApplied = byCropOfYear(context.applied, context)
		.first.filter((pass) => passNutrient(pass, productOf(pass, products), 'N') > 0)
		.reduce((last, { date }) => (date > last ? date : last), '');
	const due = (schedule?.nitrogen ?? [])
		.map((step) => ({ ...step, date: dayOf(step, context) }))
		.filter(({ date }) => date > lastApplied);
	const open = due.filter(({ date }) => date >= from);
	if (open.length > 0 || crop.perennial) return open;
	if (context.notBefore === undefined && from > endOfUptake(context)) return [];
	const last = due
		.filter(({ daysFromPlanting }) => daysFromPlanting > 0)
		.sort((a, b) => a.date.localeCompare(b.date))
		.at(-1);
	return last ? [{ ...last, date: from }] : [];
}

/** The first day for what is proposed: today, or that of the test on which the nitrogen stands. */
export function earliestDay({ notBefore = '', today }: PlanContext): string {
	return notBefore > today ? notBefore : today;
}

/** The day of a step; a dressing by a tiller count goes within days of it, whatever the schedule says. */
export function dayOf(step: ScheduleStep, context: PlanContext): string {
	const { tilleringN, tillersCountedOn } = context;
	const counted = step.role === 'tillering' && tilleringN !== undefined && tillersCountedOn !== undefined;
	return counted ? shiftDate(tillersCountedOn, AFTER_COUNT_DAYS) : dateOf(step, context);
}

/**
 * Days for more and smaller passes: for field crops one or two weeks after the last of the schedule, while the crop takes nitrogen up, and
 * halfway between those that the crop meets. Each goes on as the step before it does.
 */
export function stepsBetween(steps: readonly DatedStep[], context: PlanContext): DatedStep[] {
	const withWater = steps.some(({ placement }) => placement === 'drip' || placement === 'pivot');
	const most = Math.max(0, (withWater ? MOST_WITH_WATER : MOST_DRIVEN) - steps.length);
	const inCrop = steps
		.filter(({ daysFromPlanting, fromStage }) => fromStage !== undefined || daysFromPlanting > 0)
		.sort((a, b) => a.date.localeCompare(b.date));
	const last = inCrop.at(-1);
	const end = endOfUptake(context);
	const after =
		last && !context.crop.perennial
			? [2, 1].map((trips) => shiftDate(last.date, trips * BETWEEN_TRIPS_DAYS)).filter((date) => date <= end)
			: [];
	const between = inCrop.flatMap((step, at) => {
		const days = daysBetween(step.date, inCrop[at + 1]?.date ?? step.date);
		return days < 2 * BETWEEN_TRIPS_DAYS ? [] : [extra(step, shiftDate(step.date, Math.floor(days / 2)))];
	});
	// The later, the more the crop takes up: there is most room.
	const more = [...after.map((date) => extra(last!, date)), ...between];
	return more.slice(0, most).map((step, at) => ({ ...step, id: `extra-${at + 1}` }));
}

function extra({ product, placement, basis, fromStage }: DatedStep, date: string): DatedStep {
	return {
		id: 'extra',
		label: 'Extra nitrogen pass',
		daysFromPlanting: 0,
		placement,
		product,
		reason: 'A smaller dose, because the soil holds little at a time.',
		basis,
		date,
		...(fromStage === undefined ? {} : { fromStage })
	};
}
