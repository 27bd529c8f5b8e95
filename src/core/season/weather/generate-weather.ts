import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { MonthNormal, Station, WeatherDay } from '../../schema-types';
import { DAY_MS } from '../../units/factors';

/** Whether a year is wet, normal or dry against the station's normals. */
export type YearKind = 'wet' | 'normal' | 'dry';

/** Rain against normal in amount and in number of wet days: judgement. */
const RAIN: Record<YearKind, { amount: number; days: number }> = {
	wet: { amount: 1.25, days: 1.2 },
	normal: { amount: 1, days: 1 },
	dry: { amount: 0.75, days: 0.75 }
};
/** Share of a wet spell's chance that a day brings anew; Geng and co-workers 1986 (memory). */
const NEW_WET_SHARE = 0.75;
/** Day-to-day memory of temperature and its spread, C: common practice of weather generators. */
const TEMPERATURE_MEMORY = 0.65;
const TEMPERATURE_SPREAD_C = 3.6;
/** A wet day is cooler by day and milder by night, C: judgement. */
const WET_DAY = { max: -2, min: 0.8 } as const;

/**
 * Daily weather by a station's monthly normals: wet and dry spells by a two-state chain, rain exponential, temperature
 * with a memory of the day before. The same seed gives the same weather.
 * @param from YYYY-MM-DD
 * @param days how many
 */
export function generateWeather(
	{ months }: Pick<Station, 'months'>,
	from: string,
	days: number,
	seed: number,
	kind: YearKind = 'normal'
): WeatherDay[] {
	const random = xoroshiro128plus(seed);
	const uniform = () => uniformFloat64(random);
	const { amount, days: more } = RAIN[kind];
	let wet = false;
	let anomaly = 0;
	return normalDays(months, from, days).map(({ date, normal, daysInMonth }) => {
		const chance = Math.min(0.95, (normal.wetDays * more) / daysInMonth);
		const fresh = NEW_WET_SHARE * chance;
		wet = uniform() < (wet ? 1 - NEW_WET_SHARE + fresh : fresh);
		const mean = normal.wetDays > 0 ? (normal.rainMm * amount) / normal.wetDays : 0;
		const rain = wet ? -mean * Math.log(1 - uniform()) : 0;
		const shock = TEMPERATURE_SPREAD_C * Math.sqrt(1 - TEMPERATURE_MEMORY ** 2);
		anomaly = TEMPERATURE_MEMORY * anomaly + shock * gaussian(uniform);
		const maxC = normal.maxC + anomaly + (wet ? WET_DAY.max : 0);
		const minC = Math.min(normal.minC + anomaly + (wet ? WET_DAY.min : 0), maxC - 1);
		return { date, minC: tenth(minC), maxC: tenth(maxC), rainMm: tenth(rain) };
	});
}

/** A day (YYYY-MM-DD) with what is normal on it. */
interface NormalDay {
	date: string;
	normal: MonthNormal;
	daysInMonth: number;
}

/** Many seeds draw their weather over the same days of a station: what is normal on these is worked out once. */
const lastDays = new WeakMap<readonly MonthNormal[], { from: string; days: readonly NormalDay[] }>();

function normalDays(months: readonly MonthNormal[], from: string, count: number): readonly NormalDay[] {
	const last = lastDays.get(months);
	if (last?.from === from && last.days.length === count) return last.days;
	const start = Date.parse(`${from}T00:00:00Z`);
	const days = Array.from({ length: count }, (_, at) => {
		const date = new Date(start + at * DAY_MS);
		const normal = normalOn(months, date);
		return { date: date.toISOString().slice(0, 10), normal, daysInMonth: daysInMonth(date) };
	});
	lastDays.set(months, { from, days });
	return days;
}

export function daysInMonth(date: Date): number {
	return new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate();
}

/** Normals of a day (UTC), straight between the middles of the months. */
export function normalOn(months: readonly MonthNormal[], date: Date): MonthNormal {
	const month = date.getUTCMonth();
	const share = (date.getUTCDate() - 0.5) / daysInMonth(date) - 0.5;
	const other = months[(month + (share < 0 ? 11 : 1)) % 12]!;
	const own = months[month]!;
	const weight = Math.abs(share);
	const between = (key: keyof MonthNormal) => own[key] + (other[key] - own[key]) * weight;
	return { minC: between('minC'), maxC: between('maxC'), rainMm: own.rainMm, wetDays: own.wetDays };
}

/** Box and Muller 1958. */
function gaussian(uniform: () => number): number {
	return Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
}

function tenth(value: number): number {
	return Math.round(value * 10) / 10;
}
