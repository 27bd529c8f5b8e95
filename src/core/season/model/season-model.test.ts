import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { TextureClass } from '../../schema-types';
import { library } from '../../testing.test-help';
import { generateWeather, normalOn } from '../weather/generate-weather';
import type { Dressing, Lies } from './dressing';
import { daysToReach } from './reach';
import { relativeYield } from './relative-yield';
import { simulateSeason, type SeasonCrop, type SeasonSoil, type WeatherSeries } from './simulate-season';

const { seasonModel, stations } = library;
const station = stations[0]!;
const corn: SeasonCrop = {
	planted: 120,
	harvested: 270,
	established: false,
	wantedBy: (day) => 200 / (1 + Math.exp(-0.1 * (day - 120 - 58)))
};

function series(
	seed: number,
	kind: 'wet' | 'normal' | 'dry' = 'normal',
	from = '2027-01-01',
	days = 365
): WeatherSeries {
	const weather = generateWeather(station, from, days, seed, kind);
	return {
		minC: weather.map(({ minC }) => minC),
		maxC: weather.map(({ maxC }) => maxC),
		rainMm: weather.map(({ rainMm }) => rainMm),
		firstDayOfYear: from.endsWith('01-01') ? 1 : 274,
		latitude: station.latitude
	};
}
function ground(texture: TextureClass, change: Partial<SeasonSoil> = {}): SeasonSoil {
	return {
		held: seasonModel.soilWater.percentByVolume[texture],
		drainsPerDay: seasonModel.drainage.mmPerDay.moderate,
		organicMatterPercent: 2.5,
		nitrate: [15, 10, 5],
		ammonium: [5, 2, 2],
		soilPh: 6.4,
		residue: true,
		coverKilledOn: undefined,
		givenOff: [],
		...change
	};
}
const dressing = (change: Partial<Dressing>): Dressing => ({
	day: 100,
	nitrate: 0,
	ammonium: 0,
	urea: 0,
	coated: 0,
	ammonia: false,
	lies: 'mixed in',
	depthCm: 8,
	ureaseInhibitor: false,
	nitrificationInhibitor: false,
	...change
});

describe('the mass balance', () => {
	const kilograms = fc.double({ min: 0, max: 150, noNaN: true });
	const anyDressing = fc.record({
		day: fc.integer({ min: 0, max: 364 }),
		nitrate: kilograms,
		ammonium: kilograms,
		urea: kilograms,
		coated: kilograms,
		ammonia: fc.boolean(),
		lies: fc.constantFrom<Lies>('surface', 'surface band', 'mixed in', 'band'),
		depthCm: fc.double({ min: 0, max: 70, noNaN: true }),
		ureaseInhibitor: fc.boolean(),
		nitrificationInhibitor: fc.boolean(),
		reachedOn: fc.option(fc.integer({ min: 100, max: 250 }), { nil: undefined })
	});
	it('closes to 1e-6 kg/ha every day, for any weather, soil and passes, and no pool falls below zero', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 1e6 }),
				fc.constantFrom('wet', 'normal', 'dry' as const),
				fc.constantFrom<TextureClass>('sand', 'silt loam', 'clay'),
				fc.constantFrom(...Object.values(seasonModel.drainage.mmPerDay)),
				fc.array(anyDressing, { maxLength: 6 }),
				fc.option(fc.integer({ min: 0, max: 150 }), { nil: undefined }),
				fc.array(
					fc.record({ from: fc.integer({ min: -30, max: 150 }), gives: fc.double({ min: 0, max: 200, noNaN: true }) }),
					{ maxLength: 2 }
				),
				fc.boolean(),
				(seed, kind, texture, drainsPerDay, dressings, coverKilledOn, givenOff, withRye) => {
					const soil = ground(texture, { drainsPerDay, coverKilledOn, givenOff });
					const rye = { ...corn, planted: 290, harvested: 364, wantedBy: (day: number) => day - 290 };
					const grown = withRye ? { ...corn, harvested: 280, then: { ...rye, roots: seasonModel.roots } } : corn;
					const run = simulateSeason(series(seed, kind as 'wet'), 365, soil, grown, dressings, seasonModel);
					expect(run.caught.at(-1)! > 0).toBe(withRye);
					for (let day = 0; day < 365; day++) {
						expect(Math.abs(run.unbalanced[day]!)).toBeLessThan(1e-6);
						expect(run.inGround[day]).toBeGreaterThanOrEqual(-1e-9);
						expect(run.takenUp[day]).toBeLessThanOrEqual(run.wanted[day]! + 1e-9);
					}
				}
			),
			{ numRuns: 60 }
		);
	});
});

describe('a band between the rows', () => {
	const run = (reachedOn: number | undefined) =>
		simulateSeason(
			series(4),
			365,
			ground('silt loam', { nitrate: [8, 4, 2], organicMatterPercent: 1 }),
			corn,
			[dressing({ day: 125, nitrate: 80, ammonium: 40, lies: 'band', reachedOn })],
			seasonModel
		);
	it('feeds the crop from the day roots get there, not before', () => {
		const [near, apart] = [run(undefined), run(180)];
		expect(apart.takenUp[179]!).toBeLessThan(near.takenUp[179]!);
		expect(apart.takenUp[190]! - apart.takenUp[179]!).toBeGreaterThan(near.takenUp[190]! - near.takenUp[179]!);
		expect(apart.shortDays).toBeGreaterThan(near.shortDays);
	});
	it('is reached the later the further off it lies; its own movement covers the first inches', () => {
		expect(daysToReach(4, library.seasonModel)).toBe(0);
		expect(daysToReach(15, library.seasonModel)).toBe(47);
		expect(daysToReach(10, library.seasonModel)).toBeLessThan(daysToReach(15, library.seasonModel));
	});
});

describe('yield by the nitrogen taken up', () => {
	it('is the goal where all was had, and falls the faster the more is missing', () => {
		expect(relativeYield(200, 200, seasonModel)).toBe(1);
		expect(relativeYield(0, 0, seasonModel)).toBe(1);
		expect(relativeYield(0, 200, seasonModel)).toBe(0);
		const [first, second] = [relativeYield(180, 200, seasonModel), relativeYield(160, 200, seasonModel)];
		expect(1 - first).toBeLessThan(first - second);
		// 0.9 (1 + 0.7 x 0.1)
		expect(first).toBeCloseTo(0.963, 9);
	});
});

describe('made-up weather', () => {
	it('is the same for the same seed, and another for another', () => {
		expect(generateWeather(station, '2027-01-01', 60, 5)).toEqual(generateWeather(station, '2027-01-01', 60, 5));
		expect(generateWeather(station, '2027-01-01', 60, 5)).not.toEqual(generateWeather(station, '2027-01-01', 60, 6));
	});
	it('keeps to the normals over many years, and wet and dry years to either side of them', () => {
		const years = (kind: 'wet' | 'normal' | 'dry') =>
			Array.from({ length: 60 }, (_, seed) => generateWeather(station, '2027-01-01', 365, seed + 1, kind)).flat();
		const rain = (kind: 'wet' | 'normal' | 'dry') => years(kind).reduce((sum, { rainMm }) => sum + rainMm, 0) / 60;
		const normal = station.months.reduce((sum, { rainMm }) => sum + rainMm, 0);
		expect(rain('normal') / normal).toBeGreaterThan(0.93);
		expect(rain('normal') / normal).toBeLessThan(1.07);
		expect(rain('wet')).toBeGreaterThan(1.2 * rain('normal'));
		expect(rain('dry')).toBeLessThan(0.8 * rain('normal'));
		const july = years('normal').filter(({ date }) => date.slice(5, 7) === '07');
		const mean = july.reduce((sum, { maxC }) => sum + maxC, 0) / july.length;
		expect(Math.abs(mean - station.months[6]!.maxC)).toBeLessThan(1.2);
		for (const { minC, maxC } of july) expect(minC).toBeLessThan(maxC);
	});
	it('goes from month to month without a jump', () => {
		const last = normalOn(station.months, new Date('2027-04-30'));
		const first = normalOn(station.months, new Date('2027-05-01'));
		expect(Math.abs(last.maxC - first.maxC)).toBeLessThan(0.5);
	});
});

describe('which way things go on the made-up station', () => {
	const seeds = Array.from({ length: 30 }, (_, at) => at + 1);
	const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
	const allUpFront = [dressing({ day: 95, urea: 180 })];
	const split = [
		dressing({ day: 120, urea: 40 }),
		dressing({ day: 158, nitrate: 35, ammonium: 35, urea: 70, lies: 'band', depthCm: 10 })
	];
	const losses = (kind: 'wet' | 'dry', plan: Dressing[], change: Partial<SeasonSoil> = {}) =>
		mean(
			seeds.map((seed) => {
				const run = simulateSeason(
					series(seed, kind),
					365,
					ground('silt loam', { drainsPerDay: 10, ...change }),
					corn,
					plan,
					seasonModel
				);
				return run.leached[269]! + run.denitrified[269]! + run.volatilised[269]!;
			})
		);

	it('in wet years a split programme loses less than all up front; in dry years the difference shrinks', () => {
		const wet = losses('wet', allUpFront) - losses('wet', split);
		const dry = losses('dry', allUpFront) - losses('dry', split);
		expect(wet).toBeGreaterThan(5);
		expect(dry).toBeLessThan(wet);
	});

	it('an inhibitor on the wrong pathway gains nothing', () => {
		const mixedIn = [dressing({ day: 120, urea: 120 })];
		const guarded = [dressing({ day: 120, urea: 120, ureaseInhibitor: true })];
		expect(Math.abs(losses('wet', mixedIn) - losses('wet', guarded))).toBeLessThan(3);
		const onTop = dressing({ day: 150, urea: 120, lies: 'surface', depthCm: 0 });
		const air = (plan: Dressing[]) =>
			mean(
				seeds.map(
					(seed) => simulateSeason(series(seed, 'dry'), 365, ground('loam'), corn, plan, seasonModel).volatilised[269]!
				)
			);
		expect(air([{ ...onTop, nitrificationInhibitor: true }])).toBeGreaterThanOrEqual(air([onTop]) * 0.99);
		expect(air([{ ...onTop, ureaseInhibitor: true }])).toBeLessThan(0.75 * air([onTop]));
	});

	it('autumn ammonia at 70 F loses more by planting than at 45 F', () => {
		// 1 October to 30 June; the soil is near 70 F in early October and near 45 F in the middle of November.
		const lostBy = (day: number) =>
			mean(
				seeds.map((seed) => {
					const plan = [dressing({ day, ammonium: 150, ammonia: true, lies: 'band', depthCm: 18 })];
					const weather = series(seed, 'normal', '2026-10-01', 270);
					const run = simulateSeason(
						weather,
						270,
						ground('silt loam', { organicMatterPercent: 0, nitrate: [0, 0, 0] }),
						undefined,
						plan,
						seasonModel
					);
					return run.leached[240]! + run.denitrified[240]!;
				})
			);
		expect(lostBy(1)).toBeGreaterThan(lostBy(45) + 5);
	});

	it('a killed cereal cover ties nitrogen up first and gives a part back later', () => {
		const at = (coverKilledOn: number | undefined) =>
			simulateSeason(series(3), 365, ground('silt loam', { coverKilledOn }), undefined, [], seasonModel);
		expect(at(110).inGround[138]).toBeLessThan(at(undefined).inGround[138]! - 8);
		const gap = (day: number) => at(undefined).inGround[day]! - at(110).inGround[day]!;
		expect(gap(200)).toBeLessThan(gap(138));
	});

	it('killed legumes give nitrogen by warmth: half in 18 days at 20 C, all in the end, none in frost or before', () => {
		const mineralised = (celsius: number, givenOff: SeasonSoil['givenOff']) => {
			const same = (value: number) => Array.from({ length: 365 }, () => value);
			const weather = { ...series(3), minC: same(celsius), maxC: same(celsius) };
			return simulateSeason(weather, 365, ground('silt loam', { givenOff }), undefined, [], seasonModel).mineralised;
		};
		const given = (celsius: number, day: number) =>
			mineralised(celsius, [{ from: 100, gives: 80 }])[day]! - mineralised(celsius, [])[day]!;
		expect(given(20, 99)).toBe(0);
		expect(given(20, 117)).toBeCloseTo(40, 6);
		// Ten degrees less: half as fast.
		expect(given(10, 135)).toBeCloseTo(40, 6);
		expect(given(20, 364)).toBeCloseTo(80, 1);
		expect(given(-2, 364)).toBe(0);
	});
});
