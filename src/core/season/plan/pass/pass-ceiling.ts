import { figure, type Answer, type Figure } from '../../../figure/figure';
import type { Pass, Product } from '../../../schema-types';
import { heldIn } from '../../../reading/holding-room';
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
 * The most nitrogen that may go on at one time on a day, lb/ac: the holding limit less what soil mineral N and earlier passes hold of it
 * and the crop has not taken (the whole limit where soil mineral N is not known). Outside autumn a share of the limit more for coated or
 * stabilised nitrogen, and from planting on what the crop takes up in the coming days, no more than a share of the limit. Judgement, as
 * the guide's holding limit sets it. The usual year is worked out once for all days asked.
 * @returns by date (YYYY-MM-DD), whether it is stabilised, and the passes of the plan, of which those before the day count with what
 * is left of them
 */
export function nitrogenRoom(context: PlanContext): NitrogenRoom {
	const { holdingLimit, holdingRoom, allowances } = context;
	const room = holdingRoom.applies ? holdingRoom : holdingLimit;
	if (!room.applies || !holdingLimit.applies) return () => room;
	const uptake = usualUptake(context);
	const mineral = holdingRoom.applies ? heldIn(holdingRoom, holdingLimit) : 0;
	const share = allowances.slowReleaseShareOfLimit;
	return (date, stabilised = false, passes = []) => {
		const extra = isAutumn(date)
			? []
			: [
					...seasonRoom(context, uptake, date, holdingLimit),
					...(stabilised && share > 0 ? [shareOf(holdingLimit, share, 'room for coated or stabilised nitrogen')] : [])
				];
		const { soil, earlier } = stillThere(context, uptake, mineral, passes, date);
		if (extra.length === 0 && earlier.value === 0 && soil.value === mineral) return room;
		return figure({
			label: `N capacity left on ${longDate(date)}`,
			value: Math.max(
				0,
				extra.reduce((sum, { value }) => sum + value, holdingLimit.value - soil.value - earlier.value)
			),
			unit: 'lb/ac',
			formula:
				'holding limit, less what the soil and earlier passes still hold, and what the season allows; never below 0',
			inputs: [holdingLimit, ...[soil, earlier].filter(({ value }) => value > 0), ...extra],
			basis: 'practice'
		});
	};
}

/** Whether nitrogen put on on a day waits for the spring. */
export function isAutumn(date: string): boolean {
	return Number(date.slice(5, 7)) >= AUTUMN_FROM_MONTH;
}

/**
 * What soil and earlier passes still hold on a day, lb N/ac: pass by pass, less the uptake since the one before, never below 0. The crop
 * takes the soil's own first. Nothing is taken off for losses.
 */
function stillThere(
	{ products }: PlanContext,
	uptake: UptakeCurve | undefined,
	mineral: number,
	passes: readonly Pass[],
	date: string
): { soil: Figure; earlier: Figure } {
	const earlier = passes
		.filter((pass) => pass.date < date)
		.map((pass) => ({ date: pass.date, pounds: passNutrient(pass, productOf(pass, products), 'N') }))
		.filter(({ pounds }) => pounds > 0)
		.sort((a, b) => a.date.localeCompare(b.date));
	const taken = (from: string | undefined, to: string) => {
		if (!uptake) return 0;
		return from === undefined ? uptake(to) : uptake(to) - uptake(from);
	};
	// What autumn leaves is not known: the test stands.
	const soil = isAutumn(date) ? mineral : Math.max(0, mineral - taken(undefined, date));
	let held = mineral;
	let last: string | undefined;
	for (const pass of earlier) {
		held = Math.max(0, held - taken(last, pass.date)) + pass.pounds;
		last = pass.date;
	}
	const left = Math.max(0, held - taken(last, date));
	return {
		soil: figure({
			label: 'soil mineral N still there',
			value: soil,
			unit: 'lb/ac',
			formula: 'as tested, less what the crop took up since',
			basis: 'practice'
		}),
		earlier: figure({
			label: EARLIER_PASSES,
			value: Math.max(0, left - soil),
			unit: 'lb/ac',
			formula: 'pass by pass, less what the crop took up since',
			inputs: earlier.map(({ date: day, pounds }) =>
				figure({ label: `put on on ${longDate(day)}`, value: pounds, unit: 'lb/ac', basis: 'adviser' })
			),
			basis: 'practice'
		})
	};
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
