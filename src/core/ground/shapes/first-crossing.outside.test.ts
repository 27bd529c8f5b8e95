import { kinks } from '@turf/kinks';
import fc from 'fast-check';
import type { Position } from 'geojson';
import { expect, test } from 'vitest';
import { firstCrossing } from './first-crossing';

const hasSpike = (corners: Position[]) =>
	corners.some(([x = NaN, y = NaN], at) => {
		const [before, after] = [corners.at(at - 1)!, corners[(at + 1) % corners.length]!];
		const [ax, ay, bx, by] = [x - before[0]!, y - before[1]!, after[0]! - x, after[1]! - y];
		return ax * by === ay * bx && ax * bx + ay * by < 0;
	});
const closed = (corners: Position[]) => [...corners, corners[0]!];

test('a ring crosses itself where @turf/kinks 7 finds a crossing, and nowhere else', () => {
	const corner = fc.tuple(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 9 }));
	const outcomes = { crossing: 0, clear: 0 };
	fc.assert(
		fc.property(fc.uniqueArray(corner, { minLength: 3, maxLength: 7, selector: String }), (corners) => {
			const ring = closed(corners);
			// A side that runs back over the one before it is no crossing to that package.
			fc.pre(!hasSpike(corners));
			const found = firstCrossing(ring);
			const known = kinks({ type: 'Polygon', coordinates: [ring] }).features.map((one) => one.geometry.coordinates);
			outcomes[found ? 'crossing' : 'clear']++;
			if (!found) return void expect(known).toEqual([]);
			const nearest = Math.min(...known.map(([x, y]) => Math.hypot(x! - found[0]!, y! - found[1]!)));
			expect(nearest, JSON.stringify({ ring, found, known })).toBeLessThan(1e-9);
		}),
		{ numRuns: 4000, seed: 11 }
	);
	expect(Math.min(outcomes.crossing, outcomes.clear)).toBeGreaterThan(500);
});

test('a corner given twice in a row is no crossing; a side that runs back over another is one', () => {
	expect(
		firstCrossing(
			closed([
				[0, 0],
				[2, 0],
				[2, 0],
				[2, 2],
				[0, 2]
			])
		)
	).toBeUndefined();
	expect(
		firstCrossing(
			closed([
				[0, 0],
				[2, 0],
				[2, 2],
				[3, 3],
				[2, 2],
				[0, 2]
			])
		)
	).toEqual([2, 2]);
	expect(
		firstCrossing(
			closed([
				[0, 0],
				[4, 0],
				[4, 4],
				[2, 0],
				[0, 4]
			])
		)
	).toEqual([2, 0]);
});

test('a comb of 20,000 corners is told from one whose last tooth crosses the first', () => {
	const teeth = Array.from({ length: 9_998 }, (_, at): Position[] => [
		[at, 0],
		[at + 0.5, 5]
	]).flat();
	const comb = closed([...teeth, [9_998, -1], [0, -1]]);
	expect(firstCrossing(comb)).toBeUndefined();
	expect(firstCrossing(closed([...comb.slice(0, -3), [0.1, 2], [0, -1]]))).toBeDefined();
});
