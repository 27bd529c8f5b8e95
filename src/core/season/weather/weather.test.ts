import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { WeatherDay } from '../../schema-types';
import { library } from '../../testing.test-help';
import { coldSoilDate } from './cold-soil-date';
import { chanceOfDrySpell, daysUntilRain } from './dry-spell';
import { generateWeather } from './generate-weather';
import { knownDays, knownWeather, sourceOfDays } from './known-weather';
import { normalsOf } from './normals-of';
import { readWeatherCsv } from './read-weather-csv';
import { seasonWeather, shiftDate, withKnown } from './season-weather';

const station = library.stations[0]!;
const day = (date: string, rainMm = 0): WeatherDay => ({ date, minC: 5, maxC: 15, rainMm });

it('made-up weather is the same whatever was asked of the station in between', () => {
	const asked: readonly (readonly [string, number])[] = [
		['2027-05-01', 40],
		['2027-05-01', 41],
		['2027-06-01', 40]
	];
	const anew = ([from, days]: (typeof asked)[number]) =>
		generateWeather({ months: [...station.months] }, from, days, 2);
	for (const one of [...asked, ...asked]) expect(generateWeather(station, ...one, 2)).toEqual(anew(one));
});

describe('a daily weather file', () => {
	it('a day that never was is refused with its line', () => {
		const csv = 'date,min,max,rain\n2024-02-29,1,2,0\n2026-02-29,1,2,0\n';
		expect(readWeatherCsv(csv, 'us').faults).toEqual([
			{ line: 3, message: expect.stringContaining('“2026-02-29” must be a day') as string }
		]);
	});

	it('is read in F and inches, columns in any order, notes left out', () => {
		const text = '# my station\nRain_in,Date,Low,High\n0.5,2027-05-01,41,68\n0,2027-05-02,50,77\n';
		expect(readWeatherCsv(text, 'us')).toEqual({
			days: [
				{ date: '2027-05-01', minC: 5, maxC: 20, rainMm: 12.7 },
				{ date: '2027-05-02', minC: 10, maxC: 25, rainMm: 0 }
			],
			faults: []
		});
	});
	it('is read in C and mm with semicolons, and put in order', () => {
		const text = '\uFEFFdate;tmin;tmax;precip\n2027-05-02;1;9;0\n2027-05-01;2;8;3.4';
		expect(readWeatherCsv(text, 'metric').days.map(({ date }) => date)).toEqual(['2027-05-01', '2027-05-02']);
	});
	it.each([
		['', 'holds no days'],
		['date,min,max,rain', 'holds no days'],
		['date,min,max\n2027-05-01,1,2', 'has no column for the rain among “date, min, max”'],
		['date,min,max,rain\n1 May,40,60,0', 'the date “1 May” must be a day written as 2027-05-01'],
		['date,min,max,rain\n2027-05-01,40,600,0', 'the highest temperature (max) “600” must be a number in F'],
		['date,min,max,rain\n2027-05-01,40,,0', 'the highest temperature (max) “” must be a number'],
		['date,min,max,rain\n2027-05-01,70,60,0', 'the lowest temperature of 2027-05-01 is above its highest'],
		['date,min,max,rain\n2027-05-01,40,60,-1', 'the rain “-1” must be a number in inches'],
		['date,min,max,rain\n2027-05-01,40,60,0\n2027-05-01,41,61,0', '2027-05-01 stands on line 2 already']
	])('says what is wrong and keeps nothing: %#', (text, message) => {
		const { days, faults } = readWeatherCsv(text, 'us');
		expect(days).toEqual([]);
		expect(faults[0]!.message).toContain(message);
	});
	it('never gives a day that the schema refuses (property)', () => {
		fc.assert(
			fc.property(fc.string(), fc.string(), (a, b) => {
				const { days } = readWeatherCsv(`date,min,max,rain\n2027-05-01,${a},${b},0`, 'metric');
				for (const { minC, maxC } of days) expect(minC <= maxC && minC >= -70 && maxC <= 65).toBe(true);
			})
		);
	});
});

describe('what is known', () => {
	const measured = [day('2026-11-21', 3), day('2026-11-22'), day('2026-11-23', 8)];
	it('is what was measured and ten made-up days, the same each time', () => {
		const known = knownWeather(station, measured, undefined, '2026-11-23');
		expect(known).toMatchObject({ madeUp: true, outlookFrom: '2026-11-23' });
		expect(knownDays(known, '2026-11-21', 12)).toHaveLength(12);
		expect(knownDays(known, '2026-11-21', 13)).toBeUndefined();
		expect(known.days.get('2026-11-23')!.rainMm).toBe(8);
		expect(knownWeather(station, measured, undefined, '2026-11-23')).toEqual(known);
		expect(sourceOfDays(known, '2026-11-21', 2)).toBe('as measured');
		expect(sourceOfDays(known, '2026-11-21', 5)).toBe('by an assumed outlook');
	});
	it('takes the adviser’s own outlook in place of the made-up one', () => {
		const known = knownWeather(station, [], { from: '2027-06-05', rainMm: [0, 5] }, '2026-11-23');
		expect([...known.days.keys()]).toEqual(['2027-06-05', '2027-06-06']);
		expect(known.days.get('2027-06-06')!.rainMm).toBe(5);
		expect(sourceOfDays(known, '2027-06-05', 2)).toBe('by your outlook');
	});
	it('takes the place of made-up days in a season', () => {
		const madeUp = generateWeather(station, '2027-05-01', 5, 1);
		const mixed = withKnown(madeUp, [day('2027-05-03', 99)]);
		expect(mixed[2]!.rainMm).toBe(99);
		expect(mixed[1]).toEqual(madeUp[1]);
		const { weather } = seasonWeather(
			{
				station: { id: station.id },
				known: [day('2027-05-03', 99)],
				soil: {},
				crop: { id: 'corn-grain', yieldGoal: 1 },
				passes: []
			},
			library.stations,
			'2027-05-01',
			5
		);
		expect(weather[2]!.rainMm).toBe(99);
	});
});

describe('dry spells', () => {
	it('half an inch counts over two days in a row', () => {
		expect(daysUntilRain([day('2027-06-01', 0), day('2027-06-02', 7), day('2027-06-03', 6)])).toBe(2);
		expect(daysUntilRain([day('2027-06-01', 7), day('2027-06-02', 0), day('2027-06-03', 6)])).toBeUndefined();
	});
	it('are about as frequent as the weather generator makes them', () => {
		const years = 400;
		let dry = 0;
		for (let seed = 1; seed <= years; seed++) {
			const days = generateWeather(station, '2027-05-01', 60, seed).slice(35, 45);
			if (days.every(({ rainMm }) => rainMm < 12)) dry++;
		}
		expect(Math.abs(chanceOfDrySpell(station, '2027-06-05', 10) - dry / years)).toBeLessThan(0.08);
	});
});

describe('a station’s own normals', () => {
	it('come back from its weather, where three years were measured', () => {
		const days = Array.from({ length: 12 }, (_, year) =>
			generateWeather(station, `${2010 + year}-01-01`, 365, year + 1)
		).flat();
		const { months, own } = normalsOf(
			days,
			station.months.map((month) => ({ ...month, minC: 0, rainMm: 1 }))
		);
		expect(own).toBe(12);
		months.forEach((month, at) => {
			expect(Math.abs(month.minC - station.months[at]!.minC)).toBeLessThan(2.5);
			expect(Math.abs(month.rainMm / station.months[at]!.rainMm - 1)).toBeLessThan(0.5);
		});
	});
	it('are the stand-in’s where less was measured', () => {
		const days = generateWeather(station, '2026-01-01', 365, 3);
		expect(normalsOf(days, station.months)).toEqual({ months: station.months, own: 0 });
	});
});

it('the soil stays below 50 F from a day in late autumn, with its spread, later than below 60 F', () => {
	const cold = coldSoilDate(station, 2026, 10, library.seasonModel);
	expect(cold.early <= cold.usual && cold.usual <= cold.late && cold.early < cold.late).toBe(true);
	expect(cold.usual > '2026-10-15' && cold.usual < '2026-12-01').toBe(true);
	expect(coldSoilDate(station, 2026, 15, library.seasonModel).usual < cold.usual).toBe(true);
	expect(shiftDate('2027-02-28', 1)).toBe('2027-03-01');
});
