import type { Pass, Product } from '../../schema-types';
import { shiftDate } from '../weather/season-weather';

/** A season reaches so many days before and after its planting: judgement; autumn before, a long orchard's year after. */
const BEFORE_DAYS = 400;
const AFTER_DAYS = 550;
/** Lime that is spread over several seasons may be planned so many days ahead: judgement. */
const LIME_AFTER_DAYS = 6 * 366;

/** The days on which something of a season can happen. */
export function seasonSpan(plantingDate: string): { from: string; to: string } {
	return { from: shiftDate(plantingDate, -BEFORE_DAYS), to: shiftDate(plantingDate, AFTER_DAYS) };
}

/** Whether a day lies in the season of a planting. */
export function isInSeason(date: string, plantingDate: string): boolean {
	const { from, to } = seasonSpan(plantingDate);
	return date >= from && date <= to;
}

/**
 * What is wrong with the day of a pass: it lies outside its season, or, for lime, outside the years over which lime is spread.
 * @returns a sentence with what would be right, or undefined
 */
export function dateFault(
	{ date, product }: Pick<Pass, 'date' | 'product'>,
	products: readonly Product[],
	plantingDate: string
): string | undefined {
	const { from, to } = seasonSpan(plantingDate);
	const isLime = products.find(({ id }) => id === product)?.lime !== undefined;
	const last = isLime ? shiftDate(plantingDate, LIME_AFTER_DAYS) : to;
	if (date >= from && date <= last) return undefined;
	return `must lie in the season, ${from} to ${last}; got "${date}"`;
}

/**
 * What is wrong with a planting date: it does not lie in the year of the crop, nor in the second half of the one before.
 * @returns a sentence with what would be right, or undefined
 */
export function plantingFault(date: string, year: number): string | undefined {
	const [from, to] = [`${year - 1}-07-01`, `${year}-12-31`];
	return date >= from && date <= to ? undefined : `must lie between ${from} and ${to}; got "${date}"`;
}

/** The passes that a season is worked out with: those dated in it. */
export function passesInSeason<P extends Pick<Pass, 'date'>>(passes: readonly P[], plantingDate: string): P[] {
	return passes.filter(({ date }) => isInSeason(date, plantingDate));
}
