// Surfaces against SciPy's linear algebra on the same variogram, written there from the definitions; made anew where SciPy is.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { inverseDistance, inverseDistanceErrors } from './surface/inverse-distance';
import { ordinaryKriging } from './surface/kriging';
import type { PlanePoints } from './surface/sample-points';
import type { Variogram } from './surface/variogram';

const FIXTURES = path.resolve('src/core/zones/fixtures');
const read = <T>(name: string) => JSON.parse(readFileSync(path.join(FIXTURES, name), 'utf8')) as T;
interface Kept {
	inverseDistance: number[];
	inverseDistanceError: number;
	kriging: { values: number[]; error: number }[];
}
const given = read<{
	points: { east: number; north: number; value: number }[];
	places: [number, number][];
	variograms: Variogram[];
}>('points.json');
const kept = read<Kept>('scipy-surfaces.json');
const points: PlanePoints = {
	east: Float64Array.from(given.points, ({ east }) => east),
	north: Float64Array.from(given.points, ({ north }) => north),
	value: Float64Array.from(given.points, ({ value }) => value)
};
const hasSciPy = spawnSync('python3', ['-c', 'import scipy.linalg']).status === 0;
const rootMeanSquare = (errors: Float64Array) =>
	Math.sqrt(errors.reduce((sum, error) => sum + error * error, 0) / errors.length);
const off = (ours: number, theirs: number) => Math.abs(ours / theirs - 1);

describe('surfaces are those of SciPy, to 1e-6', () => {
	it('inverse distance, with its leave-one-out error', () => {
		given.places.forEach(([x, y], at) =>
			expect(off(inverseDistance(points, x, y), kept.inverseDistance[at]!)).toBeLessThan(1e-6)
		);
		expect(off(rootMeanSquare(inverseDistanceErrors(points)), kept.inverseDistanceError)).toBeLessThan(1e-6);
	});
	it.each(
		given.variograms.map(
			(variogram, at) => [`${variogram.model}, nugget ${variogram.nugget}`, variogram, kept.kriging[at]!] as const
		)
	)('kriging, %s, with its leave-one-out error', (_, variogram, { values, error }) => {
		const kriged = ordinaryKriging(points, variogram);
		given.places.forEach(([x, y], at) => expect(off(kriged.at(x, y), values[at]!)).toBeLessThan(1e-6));
		expect(off(rootMeanSquare(kriged.errors), error)).toBeLessThan(1e-6);
	});
	it.runIf(hasSciPy)('the kept numbers are those that SciPy finds today', () => {
		const { stdout } = spawnSync('python3', [path.join(FIXTURES, 'scipy_surfaces.py')], { encoding: 'utf8' });
		const now = JSON.parse(stdout) as Kept;
		now.kriging.forEach(({ values }, which) =>
			values.forEach((value, at) => expect(value).toBeCloseTo(kept.kriging[which]!.values[at]!, 8))
		);
	});
});
