import { differenceInCalendarDays, parseISO } from 'date-fns';
import { figure, type Answer, type Figure } from '../figure/figure';
import type { Product } from '../schema-types';
import type { PlanContext } from './plan-context';
import { uptakeBy } from './uptake';

/** September to December: what is put on waits for spring, so the crop makes no room. */
const AUTUMN_FROM_MONTH = 9;

/**
 * The most nitrogen that may go on at one time on a day, lb/ac: the room in the ground (the whole holding limit where
 * what is in the ground is not known), and in season more, because the crop takes some up: its uptake of the coming
 * days, no more than a share of the limit, and another share for coated or stabilised products. Judgement, as the
 * guide's holding limit sets it. Never more in autumn or before planting.
 * @param date YYYY-MM-DD
 */
export function passCeiling(context: PlanContext, date: string, product?: Product): Answer {
	const { holdingLimit, holdingRoom, allowances } = context;
	const room = holdingRoom.applies ? holdingRoom : holdingLimit;
	if (!room.applies || !holdingLimit.applies || !isInSeason(context, date)) return room;
	const extra = [
		...seasonRoom(context, date, holdingLimit),
		...(product?.slowRelease && allowances.slowReleaseShareOfLimit > 0
			? [shareOf(holdingLimit, allowances.slowReleaseShareOfLimit, 'room for coated or stabilised nitrogen')]
			: [])
	];
	if (extra.length === 0) return room;
	return figure({
		label: `room for nitrogen on ${date}`,
		value: extra.reduce((sum, { value }) => sum + value, room.value),
		unit: 'lb/ac',
		formula: 'room and what the season allows beside it',
		inputs: [room, ...extra],
		basis: 'practice'
	});
}

function isInSeason({ plantingDate }: PlanContext, date: string): boolean {
	return date >= plantingDate && Number(date.slice(5, 7)) < AUTUMN_FROM_MONTH;
}

function seasonRoom(context: PlanContext, date: string, limit: Figure): Figure[] {
	const { allowances, schedule, plantingDate, yieldGoal } = context;
	const uptake = schedule?.uptake;
	if (!uptake || allowances.seasonDays === 0) return [];
	const day = differenceInCalendarDays(parseISO(date), parseISO(plantingDate));
	const taken = figure({
		label: `uptake of the next ${allowances.seasonDays} days`,
		value: uptakeBy(uptake, yieldGoal, day + allowances.seasonDays) - uptakeBy(uptake, yieldGoal, day),
		unit: 'lb/ac',
		formula: `${uptake.lbPerYield} lb x yield goal over the season, half of it ${uptake.halfwayDays} days from planting`,
		basis: uptake.basis,
		citation: uptake.citation
	});
	const most = shareOf(limit, allowances.seasonShareOfLimit, 'no more than this share of the limit');
	return [
		figure({
			label: 'room that the crop makes',
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
