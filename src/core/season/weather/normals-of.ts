import type { MonthNormal, WeatherDay } from '../../schema-types';
import { daysInMonth } from './generate-weather';

/** A month counts where so much of it was measured; a normal where it was so often: judgement. */
const LEAST_SHARE = 0.9;
const LEAST_YEARS = 3;
/** A day with less is dry, mm: common practice. */
const WET_FROM_MM = 0.25;

/**
 * Monthly normals of a station: means of its months where at least three of a name were measured nearly whole, else those of
 * the stand-in.
 * @returns own: how many of the twelve are the station's own
 */
export function normalsOf(
	days: readonly WeatherDay[],
	standIn: readonly MonthNormal[]
): { months: MonthNormal[]; own: number } {
	const byMonth = new Map<string, WeatherDay[]>();
	for (const day of days) {
		const month = day.date.slice(0, 7);
		byMonth.set(month, [...(byMonth.get(month) ?? []), day]);
	}
	const whole = [...byMonth].filter(
		([month, some]) => some.length >= LEAST_SHARE * daysInMonth(new Date(`${month}-15`))
	);
	let own = 0;
	const months = standIn.map((other, at) => {
		const found = whole.filter(([month]) => Number(month.slice(5)) === at + 1).map(([, some]) => some);
		if (found.length < LEAST_YEARS) return other;
		own++;
		return monthNormal(found, daysInMonth(new Date(Date.UTC(2027, at, 15))));
	});
	return { months, own };
}

function monthNormal(found: readonly WeatherDay[][], length: number): MonthNormal {
	const all = found.flat();
	const mean = (of: (day: WeatherDay) => number) => all.reduce((sum, day) => sum + of(day), 0) / all.length;
	return {
		minC: mean(({ minC }) => minC),
		maxC: mean(({ maxC }) => maxC),
		rainMm: mean(({ rainMm }) => rainMm) * length,
		wetDays: mean(({ rainMm }) => (rainMm >= WET_FROM_MM ? 1 : 0)) * length
	};
}
