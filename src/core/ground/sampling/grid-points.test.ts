import type { Polygon } from 'geojson';
import { expect, it } from 'vitest';
import { ELL, fieldOf, QUARTER } from '../../trials/trial.test-help';
import { areaAcres } from '../shapes/geodesic-area';
import { insideTest } from '../shapes/inside';
import { planeAt } from '../shapes/local-plane';
import { gridPoints } from './grid-points';

const plane = planeAt(-35, 41);

it.each([
	['a quarter section, a point for 2.5 ac', QUARTER, 2.5],
	['a quarter section, for an acre', QUARTER, 1],
	['an L, for 2.5', ELL, 2.5],
	['an L, for 10', ELL, 10]
])('%s: as many as its acres ask, all inside, a side of a cell apart', (_, field, acres) => {
	const points = gridPoints(field, acres)!;
	const wanted = areaAcres(field) / acres;
	expect(Math.abs(points.length / wanted - 1)).toBeLessThan(0.08);
	expect(points.every(insideTest(field))).toBe(true);
	const metres = points.map((at) => plane.toMetres(at));
	const nearest = metres.slice(1).map(([x, y]) => Math.hypot(x - metres[0]![0], y - metres[0]![1]));
	// A cell of so many acres: 4046.86 m2 each.
	expect(Math.min(...nearest)).toBeCloseTo(Math.sqrt(acres * 4046.8564224), -1);
});
it('a hole has no point; a field smaller or narrower than a cell has one', () => {
	const hole = fieldOf([600, 600], [2000, 600], [2000, 2000], [600, 2000]).coordinates[0]!;
	const around: Polygon = { type: 'Polygon', coordinates: [...QUARTER.coordinates, hole] };
	expect(gridPoints(around, 1)!.every(insideTest(around))).toBe(true);
	const strip = fieldOf([0, 0], [30, 0], [30, 1300], [0, 1300]);
	const [only, ...more] = gridPoints(strip, 10)!;
	expect(more).toEqual([]);
	expect(insideTest(strip)(only!)).toBe(true);
});
it('more than 500 points are no plan', () => {
	expect(gridPoints(QUARTER, 0.3)).toBeUndefined();
});
