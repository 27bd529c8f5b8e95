// Areas against GDAL on an equal-area projection of the ellipsoid; its numbers are kept, and made anew where GDAL is.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Feature } from 'geojson';
import { describe, expect, it } from 'vitest';
import { areaM2 } from './geodesic-area';
import type { Shape } from './shape';

const FIXTURES = path.resolve('src/core/ground/shapes/fixtures');
const read = <T>(name: string) => JSON.parse(readFileSync(path.join(FIXTURES, name), 'utf8')) as T;
const { features } = read<{ features: Feature<Shape, { name: string }>[] }>('shapes.geojson');
const kept = read<Record<string, number>>('gdal-areas.json');
const hasGdal = spawnSync('ogrinfo', ['--version']).status === 0;

describe('areas are those of GDAL, to 0.1 %', () => {
	it.each(features.map(({ properties, geometry }) => [properties.name, geometry] as const))('%s', (name, shape) => {
		expect(Math.abs(areaM2(shape) / kept[name]! - 1)).toBeLessThan(0.001);
	});
	it.runIf(hasGdal)('the kept numbers are those that GDAL finds today', () => {
		const { stdout } = spawnSync('python3', [path.join(FIXTURES, 'gdal_areas.py')], { encoding: 'utf8' });
		for (const [name, area] of Object.entries(JSON.parse(stdout) as Record<string, number>)) {
			expect(Math.abs(area / kept[name]! - 1)).toBeLessThan(1e-6);
		}
	});
});
