import type { Polygon } from 'geojson';
import { Geodesic } from 'geographiclib-geodesic';
import { describe, expect, it } from 'vitest';
import { planeAt } from '../shapes/local-plane';
import { rowLines, type RowLine } from './row-lines';

const plane = planeAt(-93, 42);
/** A rectangle of metres east and north about 42 N, 93 W, with a hole where one is given. */
const ground = (...rings: [number, number][][]): Polygon => ({
	type: 'Polygon',
	coordinates: rings.map((ring) => ring.map(([east, north]) => plane.toDegrees(east, north)))
});
const box = (west: number, south: number, east: number, north: number): [number, number][] => [
	[west, south],
	[east, south],
	[east, north],
	[west, north],
	[west, south]
];
const block = { plantedYear: 2020, lengthUnit: 'm' as const, rowSpacing: 6, plantSpacing: 5, rowBearingDeg: 0 };
/** By the ellipsoid, not by the plane they were drawn in. */
const metres = ([a, b]: RowLine) => Geodesic.WGS84.Inverse(a[1]!, a[0]!, b[1]!, b[0]!).s12!;
const total = (rows: readonly RowLine[]) => rows.reduce((sum, row) => sum + metres(row), 0);

describe('rows drawn in a block', () => {
	it('stand a spacing apart and fill it: 120 m at 6 m are 20 rows of 200 m', () => {
		const rows = rowLines(ground(box(0, 0, 120, 200)), block);
		expect(rows).toHaveLength(20);
		for (const row of rows) expect(metres(row)).toBeCloseTo(200, 1);
		const [first, second] = rows.map(([start]) => plane.toMetres(start));
		expect(first![0]).toBeCloseTo(3, 3);
		expect(second![0] - first![0]).toBeCloseTo(6, 3);
	});
	it('run in their direction: from the north by degrees clockwise', () => {
		const across = rowLines(ground(box(0, 0, 120, 200)), { ...block, rowBearingDeg: 90 });
		expect(across).toHaveLength(33);
		expect(metres(across[0]!)).toBeCloseTo(120, 1);
		const [a, b] = rowLines(ground(box(0, 0, 120, 200)), { ...block, rowBearingDeg: 30 })[9]!;
		expect(Geodesic.WGS84.Inverse(a[1]!, a[0]!, b[1]!, b[0]!).azi1!).toBeCloseTo(30, 1);
	});
	it('have the length that area over spacing gives, and leave out a pond', () => {
		const whole = rowLines(ground(box(0, 0, 120, 200)), { ...block, rowBearingDeg: 17 });
		expect(total(whole)).toBeGreaterThan(0.985 * 4000);
		expect(total(whole)).toBeLessThan(1.015 * 4000);
		const pond = rowLines(ground(box(0, 0, 120, 200), box(30, 50, 90, 150)), block);
		expect(total(pond)).toBeCloseTo(4000 - 10 * 100, 0);
	});
	it('are not drawn in triangles, without a direction, or at a slip of the spacing', () => {
		const shape = ground(box(0, 0, 120, 200));
		expect(rowLines(shape, { ...block, layout: 'triangle' })).toEqual([]);
		expect(rowLines(shape, { ...block, rowBearingDeg: undefined })).toEqual([]);
		expect(rowLines(shape, { ...block, rowSpacing: 0.01 })).toEqual([]);
	});
});
