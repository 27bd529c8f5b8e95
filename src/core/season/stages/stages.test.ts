import { describe, expect, it } from 'vitest';
import type { CropId } from '../../schema-types';
import { library } from '../../testing.test-help';
import { usualDayOfLeaves } from '../weather/usual-weather';
import { daysBetween } from '../weather/season-weather';
import { anchoredStages } from './anchored-stages';
import { degreeDays, stageDates, stageOn, usualStages, usualTemperatures } from './stage-dates';

const station = library.stations[0]!;
const usual = usualTemperatures(station);
const stagesOf = (crop: CropId) => library.stages.find((one) => one.crop === crop)!;
const datesOf = (crop: CropId, planting: string) => stageDates(stagesOf(crop), planting, usual);
const dayOf = (crop: CropId, planting: string, name: string) =>
	datesOf(crop, planting).find((stage) => stage.name === name)!.date;

it('every crop has stages, each later than the one before and those by heat all reached at the station', () => {
	for (const { id } of library.crops) {
		const { stages } = stagesOf(id);
		const dates = datesOf(id, id === 'winter-wheat' ? '2026-10-05' : '2027-05-01');
		expect(dates.map(({ name }) => name)).toEqual(stages.map(({ name }) => name));
		for (let at = 1; at < dates.length; at++)
			expect(dates[at]!.date > dates[at - 1]!.date, `${id} ${dates[at]!.name}`).toBe(true);
	}
});

it('the usual stages are those of the planting and the station that are asked for, whatever was asked before', () => {
	const stages = stagesOf('corn-grain');
	const warmer = { ...station, months: station.months.map((month) => ({ ...month, maxC: month.maxC + 4 })) };
	for (const [plantingDate, at] of [
		['2027-05-01', station],
		['2027-05-15', station],
		['2027-05-15', warmer],
		['2027-05-01', station]
	] as const) {
		const anew = stageDates(stages, plantingDate, usualTemperatures(at));
		expect(usualStages({ stages, plantingDate, station: at })).toEqual(anew);
	}
});

describe('heat against published tables (values from memory)', () => {
	it('degree days: corn keeps 50 to 86 F (Nielsen, Purdue): 59 and 95 F are 22.5 F, 12.5 C', () => {
		expect(degreeDays(15, 35, 10, 30)).toBeCloseTo(22.5 / 1.8, 9);
		expect(degreeDays(-3, 5, 0)).toBeCloseTo(2.5, 9);
	});
	it('corn: up after 118 F degree days, a leaf each 82 (Nielsen): the same day as the leaf count gives', () => {
		for (const leaves of [2, 6, 8, 10]) {
			expect(dayOf('corn-grain', '2027-05-01', `V${leaves}`)).toBe(usualDayOfLeaves(station, '2027-05-01', leaves));
		}
	});
	it('sunflower: northern plains extension, 167 F degree days over 44 F to emergence, 919 to R1', () => {
		const { stages } = stagesOf('sunflower');
		expect(stages[0]!.heat! * 1.8).toBeCloseTo(167, 0);
		expect(stages.find(({ name }) => name === 'R1')!.heat! * 1.8).toBeCloseTo(919, 0);
	});
	it('spring wheat: up after 180 F degree days over 32 F and 143 for each leaf (Bauer and co-workers)', () => {
		const heat = (name: string) => stagesOf('spring-wheat').stages.find((stage) => stage.name === name)!.heat!;
		expect(heat('up') * 1.8).toBeCloseTo(180, 0);
		expect((heat('three leaves') - heat('up')) / 3).toBeCloseTo(143 / 1.8, 0);
	});
});

it('at the invented station stages fall when a midwestern adviser expects them (judgement)', () => {
	const between = (date: string, from: string, to: string) => expect(date >= from && date <= to, date).toBe(true);
	between(dayOf('corn-grain', '2027-05-01', 'VT'), '2027-07-01', '2027-07-25');
	between(dayOf('winter-wheat', '2026-10-05', 'jointing (Feekes 6)'), '2027-04-10', '2027-05-05');
	between(dayOf('winter-wheat', '2026-10-05', 'heading (Feekes 10.1)'), '2027-05-12', '2027-06-05');
	between(dayOf('soybean', '2027-05-10', 'R1'), '2027-06-20', '2027-07-20');
	between(dayOf('canola', '2027-04-25', 'first flower'), '2027-05-28', '2027-06-25');
	between(dayOf('spring-wheat', '2027-04-15', 'heading'), '2027-05-28', '2027-06-25');
	between(dayOf('sunflower', '2027-05-20', 'R5.1'), '2027-07-10', '2027-08-15');
});

it('the stage of a day is the last one reached, and heat that never comes leaves a stage out', () => {
	const dates = datesOf('corn-grain', '2027-05-01');
	expect(stageOn(dates, '2027-05-01')).toBeUndefined();
	expect(stageOn(dates, dates[3]!.date)!.name).toBe(dates[3]!.name);
	expect(stageDates(stagesOf('corn-grain'), '2027-05-01', () => ({ minC: 2, maxC: 8 }))).toEqual([]);
});

describe('an orchard by the heat of its station', () => {
	const apple = stagesOf('apple');
	const byName = (dates: { name: string; date: string }[]) =>
		Object.fromEntries(dates.map(({ name, date }) => [name, date]));
	const offBy = (celsius: number) =>
		byName(
			stageDates(apple, '2027-04-05', (date) => {
				const { minC, maxC } = usual(date);
				return { minC: minC + celsius, maxC: maxC + celsius };
			})
		);

	it('green tip after 121, bloom after 430 F degree days over 43 F (Blanpied and Silsby, Cornell 1992; from memory)', () => {
		const heatOf = (name: string) => apple.stages.find((stage) => stage.name === name)!.heat!;
		expect(heatOf('green tip') * 1.8).toBeCloseTo(121, 0);
		expect(heatOf('bloom') * 1.8).toBeCloseTo(430, 0);
		expect(apple.heat!.baseC * 1.8 + 32).toBeCloseTo(43, 0);
	});
	it('comes earlier where it is warmer, and what follows bloom moves as far as bloom does', () => {
		const [here, warm] = [offBy(0), offBy(2)];
		expect(here).toMatchObject({ 'green tip': '2027-04-02', bloom: '2027-05-03', 'fruit set': '2027-05-22' });
		expect(warm['green tip']! < here['green tip']!).toBe(true);
		const moved = daysBetween(here.bloom!, warm.bloom!);
		expect(moved).toBeLessThan(-5);
		expect(daysBetween(here.harvest!, warm.harvest!)).toBe(moved);
	});
	it('keeps to the calendar where the heat never comes, and to what was seen where that is known', () => {
		expect(offBy(-60)).toMatchObject({ 'green tip': '2027-04-05', bloom: '2027-05-01' });
		const seen = anchoredStages(apple, { budBreak: '2027-03-20' }, 2027);
		const dates = byName(stageDates(seen, '2027-03-20', usual));
		// 26 days from green tip to bloom in the calendar.
		expect(dates).toMatchObject({ 'green tip': '2027-03-20', bloom: '2027-04-15' });
		const inBloom = byName(stageDates(anchoredStages(apple, { bloom: '2027-04-20' }, 2027), '2027-04-05', usual));
		expect(inBloom).toMatchObject({ 'green tip': '2027-04-02', bloom: '2027-04-20', 'fruit set': '2027-05-09' });
	});
});
