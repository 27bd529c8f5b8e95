import type { SeasonModel, Station } from '../../schema-types';
import { generateWeather } from './generate-weather';
import { shiftDate } from './season-weather';

/** When the soil stays below a temperature in autumn: the middle year, and the span of eight years in ten. */
export interface ColdSoilDate {
	usual: string;
	early: string;
	late: string;
}

const YEARS = 40;
const DAYS = 150;
const TENTH = 0.1;
const found = new WeakMap<Station, Map<string, ColdSoilDate>>();

/**
 * The day from which the soil at 4 in stays below a temperature until winter, over simulated years of a station.
 * @param autumn the year whose autumn is meant
 */
export function coldSoilDate(
	station: Station,
	autumn: number,
	celsius: number,
	{ soilTemperature }: Pick<SeasonModel, 'soilTemperature'>
): ColdSoilDate {
	const known = found.get(station) ?? new Map<string, ColdSoilDate>();
	found.set(station, known);
	const key = `${autumn} ${celsius}`;
	const date = known.get(key) ?? overYears(station, autumn, celsius, soilTemperature.dailyShare);
	known.set(key, date);
	return date;
}

function overYears(station: Station, autumn: number, celsius: number, dailyShare: number): ColdSoilDate {
	const from = `${autumn}-08-15`;
	const lasts = Array.from({ length: YEARS }, (_, seed) => {
		const days = generateWeather(station, from, DAYS, seed + 1);
		let soilC = (days[0]!.minC + days[0]!.maxC) / 2;
		let last = -1;
		days.forEach(({ minC, maxC }, at) => {
			soilC += dailyShare * ((minC + maxC) / 2 - soilC);
			if (soilC >= celsius) last = at;
		});
		return last + 1;
	}).sort((a, b) => a - b);
	const at = (share: number) => shiftDate(from, lasts[Math.min(YEARS - 1, Math.floor(YEARS * share))]!);
	return { usual: at(0.5), early: at(TENTH), late: at(1 - TENTH) };
}
