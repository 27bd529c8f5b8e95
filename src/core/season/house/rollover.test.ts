// The crop of the next year by the rotation, its goal by the harvests, and crops by a pasted list.
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { library } from '../../testing.test-help';
import { goalByHarvests } from './goal-by-harvests';
import { cropByRotation, type GrownYear } from './next-crop';
import { readCropList } from './read-crop-list';

const grown = (...years: [number, string, string?][]): GrownYear[] =>
	years.map(([year, crop, nextCrop]) => ({ year, crop, nextCrop: nextCrop ?? null }));

describe('the crop by the rotation', () => {
	it('is the one that was named to come next', () => {
		expect(cropByRotation(grown([2026, 'corn-grain', 'winter-wheat'], [2025, 'soybean']), 2027)).toBe('winter-wheat');
	});
	it('is else the one that followed the same crop last', () => {
		const years = grown(
			[2026, 'corn-grain'],
			[2025, 'soybean'],
			[2024, 'corn-grain'],
			[2023, 'corn-grain'],
			[2022, 'oats']
		);
		expect(cropByRotation(years, 2027)).toBe('soybean');
		expect(cropByRotation([...years].reverse(), 2027)).toBe('soybean');
	});
	it('is not known where nothing grew the year before, or nothing ever followed it', () => {
		expect(cropByRotation(grown([2025, 'corn-grain', 'soybean']), 2027)).toBeUndefined();
		expect(cropByRotation(grown([2026, 'canola'], [2025, 'oats']), 2027)).toBeUndefined();
		expect(cropByRotation(grown([2026, 'oats'], [2023, 'oats'], [2025, 'canola']), 2027)).toBeUndefined();
	});
});

describe('the goal by the harvests', () => {
	const harvests = [180, 150, 172, 90, 164, 200].map((amount, at) => ({ year: 2026 - at, yield: amount }));
	it('is the mean of the last so many', () => {
		const goal = goalByHarvests([...harvests].reverse(), 3, 'bu/ac');
		// (180 + 150 + 172) / 3 by hand.
		expect(goal).toMatchObject({
			value: 502 / 3,
			unit: 'bu/ac',
			formula: 'mean of the last 3 harvests',
			basis: 'practice'
		});
		expect(goalByHarvests(harvests.slice(0, 1), 3, 'bu/ac')).toMatchObject({
			value: 180,
			formula: 'the harvest of 2026'
		});
	});
	it('is the mean of the best three of the last five, so that one drought does not lower it', () => {
		// 180, 172 and 164; the 200 of six years ago does not count.
		expect(goalByHarvests(harvests, 'best', 'bu/ac')).toMatchObject({
			value: 172,
			formula: 'mean of the best 3 of the last 5 harvests'
		});
		expect(goalByHarvests(harvests.slice(0, 2), 'best', 'bu/ac')).toMatchObject({
			value: 165,
			formula: 'mean of the last 2 harvests'
		});
	});
	it('does not apply without a harvest, and lies between the least and the most of them', () => {
		expect(goalByHarvests([], 'best', 'bu/ac')).toMatchObject({
			applies: false,
			reason: 'no harvest of this crop is in the book'
		});
		const some = fc.array(fc.double({ min: 1, max: 300, noNaN: true }), { minLength: 1, maxLength: 9 });
		fc.assert(
			fc.property(some, fc.integer({ min: 1, max: 10 }), (yields, count) => {
				const all = yields.map((amount, at) => ({ year: 2000 + at, yield: amount }));
				for (const of of [count, 'best'] as const) {
					const goal = goalByHarvests(all, of, 'bu/ac');
					if (!goal.applies) throw new Error('does not apply');
					expect(goal.value).toBeGreaterThanOrEqual(Math.min(...yields) - 1e-9);
					expect(goal.value).toBeLessThanOrEqual(Math.max(...yields) + 1e-9);
				}
			})
		);
	});
});

describe('a pasted list of crops', () => {
	const read = (text: string) => readCropList(text, library.crops);
	it('goes by names or ids, parted by tabs, semicolons or commas, with or without a header', () => {
		const { lines, problems } = read(
			'Field\tCrop\tGoal\nMill Strip\tCorn\t170\r\n\nHeronry; soybean ;48.5\nBrick Kiln,WINTER WHEAT,80'
		);
		expect(problems).toEqual([]);
		expect(lines.map(({ line, field, crop, goal }) => [line, field, crop.id, goal])).toEqual([
			[2, 'Mill Strip', 'corn-grain', 170],
			[4, 'Heronry', 'soybean', 48.5],
			[5, 'Brick Kiln', 'winter-wheat', 80]
		]);
	});
	it('names the line, what stands there and what would be right', () => {
		const { lines, problems } = read(
			'Mill Strip, corn, 170\nHeronry, maize, 150\nBrick Kiln, soybean, lots\nCrow Acre'
		);
		expect(lines).toHaveLength(1);
		expect(problems).toEqual([
			{ path: 'line 2', message: '"maize" is no crop the program knows; got "Heronry, maize, 150"' },
			{ path: 'line 3', message: 'the goal must be a number above 0, such as 180; got "lots"' },
			{ path: 'line 4', message: 'must be field, crop, goal; got "Crow Acre"' }
		]);
	});
	it('refuses a first line whose goal is wrong', () => {
		expect(read('Mill Strip, corn, 0').problems).toEqual([
			{ path: 'line 1', message: 'the goal must be a number above 0, such as 180; got "0"' }
		]);
	});
});
