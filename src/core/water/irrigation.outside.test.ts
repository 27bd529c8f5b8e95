// What water brings by month and through a season: 2.72 lb/ac for each ppm in 12 in (common practice: 0.2265 lb for each ppm and inch).
import { describe, expect, it } from 'vitest';
import { valueIfKnown } from '../figure/figure';
import type { FieldIrrigation } from '../schema-types';
import { irrigationDays } from '../season/model/irrigation-days';
import { broughtByMonth, broughtInYear, inchesOfYear } from './irrigation';

const well: FieldIrrigation = {
	source: 'North well',
	water: { unit: 'ppm', no3n: 10, so4: 96, cl: 100 },
	inchesByMonth: { 6: 4, 10: 0, 7: 8 }
};
/** lb/ac and mm by textbook factors. */
const KG_HA = 1.12085;
const MM = 25.4;

describe('water of a field in a year', () => {
	it('12 in of 10 ppm NO3-N bring 27.2 lb N/ac; sulfate is a third sulfur', () => {
		expect(inchesOfYear(well).value).toBe(12);
		const brought = broughtInYear(well);
		expect(valueIfKnown(brought.N!)).toBeCloseTo(27.2, 9);
		expect(valueIfKnown(brought.S!)).toBeCloseTo(2.72 * 96 * (32.06 / 96.06), 0);
		expect(valueIfKnown(brought.Cl!)).toBeCloseTo(272, 9);
		expect(brought.K2O).toMatchObject({ applies: false });
	});
	it('the months, in their order, add up to the year; one without water is left out', () => {
		const months = broughtByMonth(well);
		expect(months.map(({ month }) => month)).toEqual([6, 7]);
		const [june, july] = months.map(({ brought }) => valueIfKnown(brought.N!)!);
		expect([june, july]).toEqual([expect.closeTo(27.2 / 3, 9), expect.closeTo((27.2 * 2) / 3, 9)]);
	});
});

describe('irrigations of a run', () => {
	const monthOf = (from: string, day: number) => new Date(Date.parse(from) + day * 86_400_000).getUTCMonth() + 1;
	it.each([
		[undefined, 4, 4],
		[2, 9, 9],
		[0.25, 1, 1],
		[14, 30, 31]
	])('%s a week: %i in June, %i in July, and no water is lost on the way', (irrigationsPerWeek, june, july) => {
		const days = irrigationDays({ ...well, ...(irrigationsPerWeek ? { irrigationsPerWeek } : {}) }, '2027-01-01', 365);
		const of = (month: number) => days.filter(({ day }) => monthOf('2027-01-01', day) === month);
		expect([of(6).length, of(7).length]).toEqual([june, july]);
		const sum = (month: number, key: 'mm' | 'nitrateKgHa') => of(month).reduce((all, one) => all + one[key], 0);
		expect(sum(6, 'mm')).toBeCloseTo(4 * MM, 6);
		expect(sum(7, 'mm')).toBeCloseTo(8 * MM, 6);
		expect(sum(6, 'nitrateKgHa') + sum(7, 'nitrateKgHa')).toBeCloseTo(27.2 * KG_HA, 1);
	});
	it('a run of more than a year is irrigated in its last year alone, and water without nitrate still wets', () => {
		const long = irrigationDays({ ...well, water: { unit: 'ppm' } }, '2026-01-01', 730);
		expect(Math.min(...long.map(({ day }) => day))).toBeGreaterThanOrEqual(365);
		expect(long.reduce((all, { mm }) => all + mm, 0)).toBeCloseTo(12 * MM, 6);
		expect(long.every(({ nitrateKgHa }) => nitrateKgHa === 0)).toBe(true);
		expect(irrigationDays({ ...well, inchesByMonth: { 6: 0 } }, '2027-01-01', 365)).toEqual([]);
	});
});
