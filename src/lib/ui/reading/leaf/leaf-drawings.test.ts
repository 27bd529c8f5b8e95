import { expect, it } from 'vitest';
import { library } from '$core/testing.test-help';
import { LEAF_DRAWINGS } from './leaf-drawings';

/** Every pair of numbers of a path; arcs and their radii, which are lengths, left out. */
const points = (path: string) =>
	path
		.replace(/a[^Z]*/g, '')
		.match(/-?\d+(\.\d+)?/g)!
		.map(Number);

it('every range of the program has its drawing: leaves to pick in it, all within its square, and words for it', () => {
	for (const { crop, sampling } of library.leafRanges) {
		const drawing = LEAF_DRAWINGS[sampling!.drawing!];
		expect(drawing.picked.length, crop).toBeGreaterThan(0);
		expect(drawing.says).toMatch(/marked/);
		for (const path of [...drawing.stems, ...drawing.leaves, ...drawing.fruits, ...drawing.picked]) {
			for (const at of points(path)) {
				expect(at, `${crop}: ${path}`).toBeGreaterThanOrEqual(-4);
				expect(at, `${crop}: ${path}`).toBeLessThanOrEqual(136);
			}
		}
	}
});

it('no leaf is drawn both as picked and as left', () => {
	for (const { picked, leaves } of Object.values(LEAF_DRAWINGS)) {
		expect(picked.filter((path) => leaves.includes(path))).toEqual([]);
	}
});
