import { InputError } from '../../check/problem';
import type { SeasonRequest, Station, WeatherDay } from '../../schema-types';
import { generateWeather } from './generate-weather';
import { DAY_MS } from '../../units/factors';

const USUAL_LATITUDE = 41;
const USUAL_SEED = 1;

/** Counted in UTC: a summer hour must not make a day twice. */
export function shiftDate(date: string, days: number): string {
	return new Date(Date.parse(date) + days * DAY_MS).toISOString().slice(0, 10);
}

/** Days from one day to another, below 0 where it lies before. */
export function daysBetween(from: string, to: string): number {
	return Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);
}

/** The station that a season asks for, else the first; undefined where it is not known. */
export function stationOf(
	{ station }: Pick<SeasonRequest, 'station'>,
	stations: readonly Station[]
): Station | undefined {
	return station ? stations.find(({ id }) => id === station.id) : stations[0];
}

/**
 * The weather of a season: the request's own days, else the station's made-up ones with known days in their place.
 * @throws InputError for a gap, a day colder at noon than at night, or a station that is not known
 */
export function seasonWeather(
	{ weather, latitude, station, known }: SeasonRequest,
	stations: readonly Station[],
	start: string,
	days: number
): { weather: WeatherDay[]; latitude: number } {
	if (weather) {
		checkDays(weather);
		return { weather, latitude: latitude ?? USUAL_LATITUDE };
	}
	const found = stationOf({ station }, stations);
	if (!found) {
		const ids = stations.map(({ id }) => id).join(', ');
		throw new InputError([{ path: '/station/id', message: `"${station?.id}" is no station; known: ${ids}` }]);
	}
	const madeUp = generateWeather(found, start, days, station?.seed ?? USUAL_SEED, station?.kind);
	return { weather: known ? withKnown(madeUp, known) : madeUp, latitude: found.latitude };
}

/** Made-up days with the known ones in their place. */
export function withKnown(madeUp: readonly WeatherDay[], known: readonly WeatherDay[]): WeatherDay[] {
	if (known.length === 0) return [...madeUp];
	const byDate = new Map(known.map((day) => [day.date, day]));
	return madeUp.map((day) => byDate.get(day.date) ?? day);
}

function checkDays(weather: readonly WeatherDay[]): void {
	const gap = weather.findIndex(({ date }, at) => daysBetween(weather[0]!.date, date) !== at);
	if (gap >= 0) {
		const message = `must be ${shiftDate(weather[0]!.date, gap)}, the day after the one before; got "${weather[gap]!.date}"`;
		throw new InputError([{ path: `/weather/${gap}/date`, message }]);
	}
	const cold = weather.findIndex(({ minC, maxC }) => minC > maxC);
	if (cold >= 0) {
		const { minC, maxC } = weather[cold]!;
		throw new InputError([{ path: `/weather/${cold}/minC`, message: `must not be above maxC ${maxC}; got ${minC}` }]);
	}
}
