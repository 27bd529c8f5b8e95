// Palms before they bear. The amounts of the cover, and shell mulch and sawdust, are common practice of the trade; the doses of the nursery
// are an example (judgement), so only their arithmetic is checked.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { PalmEstate } from '../../schema-types';
import { library } from '../../testing.test-help';
import { legumeCover } from './legume-cover';
import { nurseryCalendar } from './nursery-calendar';

const { nursery, mulches, cover } = JSON.parse(readFileSync('packs/reference/palm-estate.json', 'utf8')) as PalmEstate;

describe('a legume cover (common practice)', () => {
	it('takes 7 kg of seed a hectare, with as much rock phosphate, in five drills', () => {
		const { seed, phosphate } = legumeCover(cover, 28, undefined, false);
		expect(seed.value).toBeCloseTo(7 * 28, 9);
		expect(phosphate.value).toBeCloseTo(7 * 28, 9);
		expect(cover.drills).toBe(5);
	});
	it('50 to 100 kg/ha of complete fertilizer a week after it comes up, no day before that', () => {
		const { npk, npkOn } = legumeCover(cover, 2, '2027-03-28', false);
		expect([npk.low.value, npk.high.value, npkOn]).toEqual([100, 200, '2027-04-04']);
		expect(legumeCover(cover, 2, undefined, false).npkOn).toBeUndefined();
	});
	it('small dark leaves: a tonne of reactive rock phosphate a hectare, and none without them', () => {
		const { rescue } = legumeCover(cover, 3.5, undefined, true);
		expect(rescue).toMatchObject({ value: 3500, unit: 'kg', basis: 'practice' });
		expect(rescue!.inputs.map(({ value }) => value)).toEqual([1000, 3.5]);
		expect(legumeCover(cover, 3.5, undefined, false).rescue).toBeUndefined();
	});
});

describe('a nursery', () => {
	const rounds = nurseryCalendar(nursery, '2027-01-04', 12_000, 5);
	it('gets small doses, often, on days by the age of its seedlings', () => {
		expect(rounds.map(({ week }) => week)).toEqual([4, 6, 8, 10, 12, 15, 18, 21, 24, 28, 32, 36, 40, 44]);
		expect(rounds[0]).toMatchObject({ date: '2027-02-01', grams: 5, cups: { value: 1 }, whole: true });
		expect(rounds.at(-1)).toMatchObject({ date: '2027-11-08', grams: 20, cups: { value: 4, unit: 'cups' } });
		for (let at = 1; at < rounds.length; at++) {
			expect(rounds[at]!.grams).toBeGreaterThanOrEqual(rounds[at - 1]!.grams);
			expect(rounds[at]!.date > rounds[at - 1]!.date).toBe(true);
		}
	});
	it('all seedlings of a round: 12,000 of 5 g are 60 kg', () => {
		expect(rounds[0]!.kg).toMatchObject({ value: 60, unit: 'kg' });
	});
	it('says which doses a cup cannot measure', () => {
		const bigCup = nurseryCalendar(nursery, '2027-01-04', 100, 10);
		expect(bigCup[0]).toMatchObject({ cups: { value: 0.5 }, whole: false });
		expect(bigCup.filter(({ whole }) => whole)).toHaveLength(10);
		expect(nurseryCalendar(nursery, '2027-01-04', 100, 7).some(({ whole }) => whole)).toBe(false);
	});
	it('of mulches, sawdust that has not rotted is stopped, shell is not', () => {
		expect(mulches.find(({ id }) => id === 'fresh-sawdust')!.severity).toBe('stop');
		const shell = mulches.find(({ id }) => id === 'shell')!;
		expect(shell.severity).toBeUndefined();
		expect(shell.says).toMatch(/2\.5 cm.*not touching/);
	});
	it('names products of the catalogue', () => {
		const known = library.products.map(({ id }) => id);
		expect(known).toEqual(expect.arrayContaining([nursery.product, cover.phosphate, cover.npk]));
	});
});
