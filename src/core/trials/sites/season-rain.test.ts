import { expect, it } from 'vitest';
import type { WeatherDay } from '../../schema-types';
import { seasonRain } from './season-rain';

/** 30 mm in months of 30 days, 31 in those of 31: a millimetre a day. */
const station = (latitude: number) => ({
	latitude,
	months: [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31].map((rainMm) => ({ minC: 5, maxC: 15, rainMm, wetDays: 8 }))
});
function daysFrom(first: string, count: number, rainMm: number): WeatherDay[] {
	const start = Date.parse(first);
	return Array.from({ length: count }, (_, at) => ({
		date: new Date(start + at * 86_400_000).toISOString().slice(0, 10),
		minC: 5,
		maxC: 15,
		rainMm
	}));
}

it('is that of April to September beside the usual of the same days', () => {
	const days = [
		...daysFrom('2026-03-01', 31, 50),
		...daysFrom('2026-04-01', 183, 1.5),
		...daysFrom('2026-10-01', 9, 50)
	];
	const rain = seasonRain(2026, station(41), days)!;
	expect(rain.mm).toBeCloseTo(1.5 * 183, 9);
	expect(rain.usualMm).toBeCloseTo(183, 9);
	expect(rain.wet).toBe(true);
	expect(seasonRain(2026, station(41), daysFrom('2026-04-01', 183, 0.9))!.wet).toBe(false);
});
it('is that of October to March south of the equator', () => {
	expect(seasonRain(2026, station(-35), daysFrom('2025-10-01', 182, 2))!.mm).toBeCloseTo(364, 9);
	expect(seasonRain(2026, station(-35), daysFrom('2026-04-01', 183, 2))).toBeUndefined();
});
it('is not known where more than a tenth of the days is missing', () => {
	expect(seasonRain(2026, station(41), daysFrom('2026-04-01', 164, 1))).toBeUndefined();
	const most = seasonRain(2026, station(41), daysFrom('2026-04-01', 165, 1))!;
	expect([most.mm, most.usualMm]).toEqual([expect.closeTo(165, 6), expect.closeTo(165, 6)]);
});
