import type { RainOutlook, Station, WeatherDay } from '../../schema-types';
import { generateWeather, normalOn } from './generate-weather';
import { shiftDate } from './season-weather';
import { DAY_MS } from '../../units/factors';

/** What is known of the weather: measured days, and the days ahead that an outlook covers. */
export interface KnownWeather {
	days: ReadonlyMap<string, WeatherDay>;
	/** First day of the outlook, whose days are expected, not measured. */
	outlookFrom: string;
	/** Nobody gave an outlook: a made-up one stands in. */
	madeUp: boolean;
}

const OUTLOOK_DAYS = 10;

/**
 * Measured days and the outlook: the adviser's own where there is one, else ten made-up days from today on.
 * @param today YYYY-MM-DD
 */
export function knownWeather(
	station: Station,
	measured: readonly WeatherDay[],
	outlook: RainOutlook | undefined,
	today: string
): KnownWeather {
	const expected = outlook
		? outlook.rainMm.map((rainMm, at) => usualDay(station, shiftDate(outlook.from, at), rainMm))
		: generateWeather(station, today, OUTLOOK_DAYS, Date.parse(today) / DAY_MS);
	const days = new Map(expected.map((day) => [day.date, day]));
	// What was measured is not expected any more.
	for (const day of measured) days.set(day.date, day);
	return { days, outlookFrom: outlook?.from ?? today, madeUp: outlook === undefined };
}

/** A day by the station's normals with the rain that is expected. */
function usualDay({ months }: Station, date: string, rainMm: number): WeatherDay {
	const { minC, maxC } = normalOn(months, new Date(date));
	return { date, minC, maxC, rainMm };
}

/** So many days from one on; undefined unless all of them are known. */
export function knownDays(weather: KnownWeather, from: string, count: number): WeatherDay[] | undefined {
	const found = knownDaysFrom(weather, from, count);
	return found.length === count ? found : undefined;
}

/** The days from one on, up to so many, as far as they are known without a gap. */
export function knownDaysFrom(weather: KnownWeather, from: string, most: number): WeatherDay[] {
	const found: WeatherDay[] = [];
	for (let at = 0; at < most; at++) {
		const day = weather.days.get(shiftDate(from, at));
		if (!day) break;
		found.push(day);
	}
	return found;
}

/** Where the days from one on come from, in words. */
export function sourceOfDays({ outlookFrom, madeUp }: KnownWeather, from: string, count: number): string {
	if (shiftDate(from, count - 1) < outlookFrom) return 'as measured';
	return madeUp ? 'by an assumed outlook' : 'by your outlook';
}
