import { describe, expect, it } from 'vitest';
import type { Shape } from '../../ground/shapes/shape';
import { gridOf } from './field-grid';
import { layerSurface } from './layer-surface';
import type { Surface } from './surface';

const side = 0.006;
const field: Shape = {
	type: 'Polygon',
	coordinates: [
		[
			[-35, 41],
			[-35 + side, 41],
			[-35 + side, 41 + side],
			[-35, 41 + side],
			[-35, 41]
		]
	]
};
const grid = gridOf(field, 40);
/** Points over the field whose value rises from west to east. */
function points(count: number): [number, number, number][] {
	let seed = 7;
	const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
	return Array.from({ length: count }, () => {
		const [x, y] = [chance(), chance()];
		return [-35 + side * x, 41 + side * y, 100 + 50 * x];
	});
}

describe('the surface of a layer', () => {
	it('is kriged where the points allow a variogram, and by distance where they are fewer', () => {
		expect((layerSurface(points(60), field, grid) as Surface).method).toBe('kriging');
		expect((layerSurface(points(29), field, grid) as Surface).method).toBe('inverse distance');
		expect((layerSurface(points(60), field, grid, 'inverse distance') as Surface).method).toBe('inverse distance');
		expect(layerSurface(points(29), field, grid, 'kriging')).toMatch(/29 points are too few for a variogram/);
		expect(layerSurface(points(4), field, grid)).toMatch(/4 points are too few for a surface/);
	});

	it('of more points than kriging takes is made of their means by cells', () => {
		const surface = layerSurface(points(3000), field, grid) as Surface;
		expect(surface.method).toBe('kriging');
		expect(surface.points).toBeLessThanOrEqual(1000);
		expect(surface.points).toBeGreaterThan(300);
		const inside = [...surface.values].filter((value) => !Number.isNaN(value));
		expect(Math.min(...inside)).toBeGreaterThan(95);
		expect(Math.max(...inside)).toBeLessThan(155);
	});
});
