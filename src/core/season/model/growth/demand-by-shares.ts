import { daysBetween } from '../../weather/season-weather';

/** What a dose is taken up in where no other follows, days: judgement. */
export const LAST_DAYS = 45;

/**
 * Nitrogen that a perennial has taken up by a day, lb/ac: each share of its schedule evenly from its day to the next
 * one's, the last within 45 days. The shares of a published schedule follow the demand of the crop; that they are taken
 * up evenly is judgement.
 * @param shares in order of their days, YYYY-MM-DD; pounds of the season
 */
export function demandByShares(shares: readonly { date: string; pounds: number }[]): (date: string) => number {
	return (date) =>
		shares.reduce((sum, { date: from, pounds }, at) => {
			const next = shares[at + 1]?.date;
			const days = next === undefined ? LAST_DAYS : Math.max(1, daysBetween(from, next));
			return sum + pounds * Math.min(1, Math.max(0, daysBetween(from, date) / days));
		}, 0);
}
