import type { Station, WeatherDay } from '../../schema-types';
import { daysInMonth } from '../../season/weather/generate-weather';

/** Rain of a growing season beside the usual of its station. */
export interface SeasonRain {
	mm: number;
	usualMm: number;
	/** More than usual. */
	wet: boolean;
}

/** April to September, and October to March south of the equator: common practice for crops of the summer. */
const FROM = { north: '04-01', south: '10-01' };
const TO = { north: '09-30', south: '03-31' };
const DAYS_OF_SEASON = 183;
/** Of the days of the season that must have been measured: judgement. */
const MEASURED_SHARE = 0.9;

/**
 * The rain of the season in which a crop was harvested, from the days that were measured; the usual rain is that of as many days.
 * @param year of the harvest
 * @returns undefined where too few days were measured
 */
export function seasonRain(
	year: number,
	{ latitude, months }: Pick<Station, 'latitude' | 'months'>,
	measured: readonly WeatherDay[]
): SeasonRain | undefined {
	const side = latitude < 0 ? 'south' : 'north';
	const from = `${side === 'south' ? year - 1 : year}-${FROM[side]}`;
	const to = `${year}-${TO[side]}`;
	const days = measured.filter(({ date }) => date >= from && date <= to);
	if (days.length < MEASURED_SHARE * DAYS_OF_SEASON) return undefined;
	const mm = days.reduce((sum, { rainMm }) => sum + rainMm, 0);
	const usualMm = days.reduce((sum, { date }) => sum + usualOfDay(date, months), 0);
	return { mm, usualMm, wet: mm > usualMm };
}

function usualOfDay(date: string, months: Station['months']): number {
	const day = new Date(date);
	return months[day.getUTCMonth()]!.rainMm / daysInMonth(day);
}
