import type { Station, WeatherDay } from '../../schema-types';
import { daysInMonth, normalOn } from './generate-weather';
import { shiftDate } from './season-weather';

/** Half an inch: what washes urea in, mm. */
export const WASHES_IN_MM = 12;

/** Days from the first until so much rain has fallen in two days in a row; undefined where it does not. */
export function daysUntilRain(days: readonly WeatherDay[], mm = WASHES_IN_MM): number | undefined {
	const at = days.findIndex(({ rainMm }, index) => rainMm + (days[index - 1]?.rainMm ?? 0) >= mm);
	return at < 0 ? undefined : at;
}

/**
 * Share of years in which no day of so many brings that much rain: days apart, rain of a wet day exponential, as the
 * weather generator has it.
 * @returns 0 to 1
 */
export function chanceOfDrySpell({ months }: Station, from: string, days: number, mm = WASHES_IN_MM): number {
	let chance = 1;
	for (let at = 0; at < days; at++) {
		const date = new Date(shiftDate(from, at));
		const { rainMm, wetDays } = normalOn(months, date);
		if (wetDays > 0) chance *= 1 - (wetDays / daysInMonth(date)) * Math.exp((-mm * wetDays) / rainMm);
	}
	return chance;
}
