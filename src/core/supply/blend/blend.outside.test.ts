// Mixes against SciPy's HiGHS (scipy.optimize.milp and linprog, from Debian), written there with matrices from the demands
// alone. Its numbers are kept in fixtures/scipy-blends.json and made anew where SciPy is installed.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import type { BlendAnswer, BlendRequest } from '../../schema-types';
import { solveBlend } from './solve-blend';
import { loadSolver } from './solver';

const FIXTURES = path.resolve('src/core/supply/blend/fixtures');
const problems = JSON.parse(readFileSync(path.join(FIXTURES, 'blends.json'), 'utf8')) as {
	name: string;
	request: BlendRequest;
}[];
type Kept = Pick<BlendAnswer, 'status' | 'cost'> & { name: string; shadowPrices?: Record<string, number> };
const kept = JSON.parse(readFileSync(path.join(FIXTURES, 'scipy-blends.json'), 'utf8')) as Kept[];
const hasSciPy = spawnSync('python3', ['-c', 'import scipy.optimize']).status === 0;
const solver = await loadSolver();

describe('a mix costs what SciPy finds, to 1e-6', () => {
	it.each(problems)('$name', ({ name, request }) => {
		const theirs = kept.find((one) => one.name === name)!;
		const ours = solveBlend(request, solver);
		expect(ours.status).toBe(theirs.status);
		if (theirs.status === 'infeasible') return;
		expect(Math.abs(ours.cost! / theirs.cost! - 1)).toBeLessThan(1e-6);
		for (const [nutrient, price] of Object.entries(theirs.shadowPrices ?? {})) {
			expect(ours.shadowPrices[nutrient as 'N']).toBeCloseTo(price, 6);
		}
	});
	it('on ten problems that have a mix, four of them in whole numbers', () => {
		expect(kept.filter(({ status }) => status === 'optimal')).toHaveLength(10);
		const whole = problems.filter(
			({ request }) => request.maxProducts ?? request.minimumUse ?? request.step ?? request.apart
		);
		expect(whole.length).toBeGreaterThanOrEqual(4);
	});
	it.runIf(hasSciPy)('the kept numbers are those that SciPy finds today', () => {
		const { stdout } = spawnSync('python3', [path.join(FIXTURES, 'scipy_blends.py')], { encoding: 'utf8' });
		(JSON.parse(stdout) as Kept[]).forEach(({ name, status, cost }, at) => {
			expect({ name, status }).toEqual({ name: kept[at]!.name, status: kept[at]!.status });
			if (cost !== undefined) expect(cost).toBeCloseTo(kept[at]!.cost!, 6);
		});
	});
});
