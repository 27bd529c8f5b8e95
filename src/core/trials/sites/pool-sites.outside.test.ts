// Pooling against R's metafor (REML, Knapp and Hartung); adjusted means against emmeans, tests against drop1: fixtures/sites.R.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { PoolAnswer, PoolRequest, TrialRequest } from '../../schema-types';
import { answerTrial } from '../answer-trial';
import { poolSites } from './pool-sites';
import { pooledFigures } from './pooled-figures';

interface Pooled {
	effects: PoolRequest['effects'];
	/** In the order of KEYS. */
	answer: number[];
}
const KEYS = [
	'effect',
	'se',
	'low',
	'high',
	'p',
	'tau2',
	'i2Percent',
	'q',
	'qP',
	'predictionLow',
	'predictionHigh'
] as const satisfies readonly (keyof PoolAnswer)[];
const read = <T>(name: string) =>
	JSON.parse(readFileSync(new URL(`../fixtures/${name}`, import.meta.url), 'utf8')) as T;
const R = read<{ bcg: Pooled; even: Pooled; emmeansN: [number, number][]; drop1: Record<string, number[]> }>(
	'sites.json'
);

describe('several sites', () => {
	it.each([
		['13 vaccine trials of the package', R.bcg],
		['sites that agree, with no variance between them', R.even]
	])('%s', (_, { effects, answer }) => {
		const found = poolSites({ effects });
		const { effect, half } = pooledFigures({ effects }, found, 'bu/ac');
		const parts = (label: string) => effect.inputs.filter((one) => one.label.endsWith(label));
		const summed = parts(': effect').reduce((sum, { value }, at) => sum + value * parts(': weight')[at]!.value, 0);
		expect(Math.abs(summed - answer[0]!)).toBeLessThan(1e-6);
		expect(half.inputs.reduce((product, { value }) => product * value, 1)).toBeCloseTo(half.value, 9);
		KEYS.forEach((key, at) =>
			expect(Math.abs(found[key] - answer[at]!), key).toBeLessThan(1e-6 * Math.max(1, Math.abs(answer[at]!)))
		);
	});
	it('says what is proven, what one more site would show, and that sites differ', () => {
		expect(poolSites(R.bcg).verdict).toMatch(
			/^Over 13 sites the effect is -0.715 .*beyond chance.*The sites differ by more/
		);
		const two = poolSites({ effects: R.even.effects.slice(0, 2) });
		expect(two.verdict).toMatch(/not told from none/);
		expect(two.verdict).not.toMatch(/sites differ/);
	});
});

describe('peas with two plots missing', () => {
	const { shortRows } = read<{ shortRows: TrialRequest['observations'] }>('trials.json');
	const short = answerTrial({ design: 'blocks', factors: ['N', 'P', 'K'], observations: shortRows });
	it('means of N and their errors are those of emmeans', () => {
		const found = short.means.filter(({ levels }) => Object.keys(levels).join() === 'N');
		R.emmeansN.forEach(([mean, se], at) => {
			expect(Math.abs(found[at]!.mean - mean)).toBeLessThan(1e-6 * mean);
			expect(Math.abs(found[at]!.se! - se)).toBeLessThan(1e-6 * se);
		});
	});
	it('tests of the interactions are those of drop1', () => {
		for (const source of ['N:P', 'N:K', 'P:K']) {
			const row = short.anova.find((one) => one.source === source)!;
			const [df, ss, f, p] = R.drop1[source] as [number, number, number, number];
			expect(row.df).toBe(df);
			expect(Math.abs(row.ss - ss)).toBeLessThan(1e-6 * ss);
			expect(Math.abs(row.f! - f)).toBeLessThan(1e-6 * f);
			expect(Math.abs(row.p! - p)).toBeLessThan(1e-6 * p);
		}
	});
});
