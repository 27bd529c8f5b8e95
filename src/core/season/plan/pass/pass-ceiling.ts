import { figure, type Answer, type Figure } from '../../../figure/figure';
import type { Pass, Product } from '../../../schema-types';
import { passNutrient } from './pass-nutrients';
import { productOf, type PlanContext } from '../plan-context';
import { usualUptake, type UptakeCurve } from '../../model/growth/uptake';
import { shiftDate } from '../../weather/season-weather';
import { longDate } from '../../../units/day-text';

/** September to December: what is put on waits for spring, so neither crop nor stabiliser makes room. */
const AUTUMN_FROM_MONTH = 9;

/** Whether the nitrogen of a pass is coated or guarded by a nitrification inhibitor. */
export function isStabilised({ additive }: Pick<Pass, 'additive'>, { slowRelease }: Product): boolean {
	return slowRelease === true || additive === 'nitrification inhibitor' || additive === 'both inhibitors';
}

/** What the figure of earlier passes is called in a worksheet. */
export const EARLIER_PASSES = 'nitrogen of earlier passes still there';

/** The room for nitrogen on a day; see `nitrogenRoom`. */
export type NitrogenRoom = (date: string, stabilised?: boolean, passes?: readonly Pass[]) => Answer;

/**
 * The most nitrogen that may go on at one time on a day, lb/ac: the room in the ground (the whole holding limit where
 * soil mineral N is not known) less what earlier passes put there and the crop has not taken. Outside autumn a share
 * of the limit more for coated or stabilised nitrogen, and from planting on what the crop takes up in the coming days, no more
 * than a share of the limit. Judgement, as the guide's holding limit sets it. The usual year is worked out once for all days asked.
 * @returns by date (YYYY-MM-DD), whether it is stabilised, and the passes of the plan, of which those before the day count with what
 * is left of them
 */
export function nitrogenRoom(context: PlanContext): NitrogenRoom {
	const { holdingLimit, holdingRoom, allowances } = context;
	const room = holdingRoom.applies ? holdingRoom : holdingLimit;
	if (!room.applies || !holdingLimit.applies) return () => room;
	const uptake = usualUptake(context);
	const share = allowances.slowReleaseShareOfLimit;
	return (date, stabilised = false, passes = []) => {
		const extra = isAutumn(date)
			? []
			: [
					...seasonRoom(context, uptake, date, holdingLimit),
					...(stabilised && share > 0 ? [shareOf(holdingLimit, share, 'room for coated or stabilised nitrogen')] : [])
				];
		const there = stillThere(context, uptake, passes, date);
		if (extra.length === 0 && there.value === 0) return room;
		return figure({
			label: `N capacity left on ${longDate(date)}`,
			value: Math.max(
				0,
				extra.reduce((sum, { value }) => sum + value, room.value - there.value)
			),
			unit: 'lb/ac',
			formula: 'room, less what earlier passes left there, and what the season allows beside it; never below 0',
			inputs: [room, ...(there.value > 0 ? [there] : []), ...extra],
			basis: 'practice'
		});
	};
}

/** Whether nitrogen put on on a day waits for the spring. */
export function isAutumn(date: string): boolean {
	return Number(date.slice(5, 7)) >= AUTUMN_FROM_MONTH;
}

/**
 * Nitrogen of the passes before a day that the crop has not taken up by then, lb/ac: pass by pass, less the uptake since the
 * one before, never below 0. Nothing is taken off for losses.
 */
function stillThere(
	{ products }: PlanContext,
	uptake: UptakeCurve | undefined,
	passes: readonly Pass[],
	date: string
): Figure {
	const earlier = passes
		.filter((pass) => pass.date < date)
		.map((pass) => ({ date: pass.date, pounds: passNutrient(pass, productOf(pass, products), 'N') }))
		.filter(({ pounds }) => pounds > 0)
		.sort((a, b) => a.date.localeCompare(b.date));
	const taken = (from: string, to: string) => (uptake ? uptake(to) - uptake(from) : 0);
	let held = 0;
	let last = date;
	for (const [at, pass] of earlier.entries()) {
		if (at > 0) held = Math.max(0, held - taken(last, pass.date));
		held += pass.pounds;
		last = pass.date;
	}
	return figure({
		label: EARLIER_PASSES,
		value: Math.max(0, held - taken(last, date)),
		unit: 'lb/ac',
		formula: 'pass by pass, less what the crop took up since',
		inputs: earlier.map(({ date: day, pounds }) =>
			figure({ label: `put on on ${longDate(day)}`, value: pounds, unit: 'lb/ac', basis: 'adviser' })
		),
		basis: 'practice'
	});
}

function seasonRoom(
	{ allowances, schedule, plantingDate }: PlanContext,
	uptake: UptakeCurve | undefined,
	date: string,
	limit: Figure
): Figure[] {
	if (!uptake || !schedule?.uptake || allowances.seasonDays === 0 || date < plantingDate) return [];
	const { lbPerYield, halfwayHeat, basis, citation } = schedule.uptake;
	const taken = figure({
		label: `uptake of the next ${allowances.seasonDays} days`,
		value: uptake(shiftDate(date, allowances.seasonDays)) - uptake(date),
		unit: 'lb/ac',
		formula: `${lbPerYield} lb x yield goal over the season, half of it by ${halfwayHeat} C degree days, in a usual year`,
		basis,
		citation
	});
	const most = shareOf(limit, allowances.seasonShareOfLimit, 'no more than this share of the limit');
	return [
		figure({
			label: 'capacity that crop uptake makes',
			value: Math.min(taken.value, most.value),
			unit: 'lb/ac',
			formula: 'the smaller of the two',
			inputs: [taken, most],
			basis: 'practice'
		})
	];
}

function shareOf(limit: Figure, share: number, label: string): Figure {
	return figure({
		label,
		value: limit.value * share,
		unit: 'lb/ac',
		formula: `holding limit x ${share} (judgement, set in the guide)`,
		inputs: [limit],
		basis: 'practice'
	});
}
