// Checks against R 4 (base R, `lm` and `nls` with derivatives), whose numbers are kept in fixtures/r-fits.csv and made
// anew where R is installed. Trials: oats of Yates 1935 as in R's package MASS, and the simulated ones of demo/trials.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import type { Observation, ResponseModelName } from '../../../schema-types';
import { fitTrial } from './answer-fit';
import { responseModel } from './shapes/models';

const FIXTURES = path.resolve('src/core/rates/nitrogen/response/fixtures');
const TRIALS = ['corn-after-soybean', 'corn-after-corn', 'wheat-after-soybean', 'no-response', 'still-rising', 'oats'];
const OF_FIXTURES = new Set(['oats', 'blocked', 'plots-lost']);
const hasR = spawnSync('Rscript', ['--version']).status === 0;

function fileOf(trial: string): string {
	return OF_FIXTURES.has(trial) ? path.join(FIXTURES, `${trial}.csv`) : path.resolve('demo/trials', `${trial}.csv`);
}

function observationsOf(trial: string, blocks: 'with blocks' | 'without blocks' = 'with blocks'): Observation[] {
	const text = readFileSync(fileOf(trial), 'utf8');
	const { data } = Papa.parse<Observation>(text, {
		header: true,
		comments: '#',
		dynamicTyping: true,
		skipEmptyLines: true
	});
	return blocks === 'with blocks' ? data : data.map(({ rate, yield: grain }) => ({ rate, yield: grain }));
}

/** Rows "trial,model,rss,coefficients,standard errors" as fixtures/fits.R writes them. */
function rowsOf(text: string) {
	return text
		.trim()
		.split('\n')
		.map((line) => {
			const [trial, model, ...numbers] = line.split(',') as [string, ResponseModelName, ...string[]];
			const [rss, ...rest] = numbers.map(Number) as [number, ...number[]];
			return { trial, model, rss, coefficients: rest.slice(0, 3), errors: rest.slice(3) };
		});
}

const fixture = rowsOf(readFileSync(path.join(FIXTURES, 'r-fits.csv'), 'utf8'));

function expectNear(ours: number, theirs: number, relative: number, name: string): void {
	expect(Math.abs(ours - theirs), `${name}: ${ours} against ${theirs}`).toBeLessThanOrEqual(
		relative * Math.abs(theirs)
	);
}

describe('fits agree with R to 1e-6', () => {
	it.each(fixture)('$trial, $model', ({ trial, model, rss, coefficients, errors }) => {
		const { fits } = fitTrial({ observations: observationsOf(trial, 'without blocks'), models: [model] });
		const fit = fits[0]!;
		expectNear(fit.rss!, rss, 1e-6, 'rss');
		responseModel(model).names.forEach((name, at) => {
			const key = name as 'a' | 'b';
			expectNear(fit.coefficients![key], coefficients[at]!, 1e-6, name);
			expectNear(fit.standardErrors![key], errors[at]!, 1e-5, `standard error of ${name}`);
		});
	});

	it('covers every model on at least three trials, one of them published', () => {
		for (const model of ['quadratic', 'quadratic-plateau', 'linear-plateau', 'mitscherlich']) {
			const trials = fixture.filter((row) => row.model === model).map(({ trial }) => trial);
			expect(trials.length, model).toBeGreaterThanOrEqual(3);
			expect(trials).toContain('oats');
		}
	});

	if (!hasR) console.warn('R is not installed: its numbers are taken from fixtures/r-fits.csv and not made anew.');
	it.runIf(hasR)('R still gives the numbers that are kept', () => {
		const { stdout, stderr, status } = spawnSync('Rscript', [path.join(FIXTURES, 'fits.R'), ...TRIALS.map(fileOf)], {
			encoding: 'utf8'
		});
		expect(status, stderr).toBe(0);
		const made = rowsOf(stdout);
		expect(made.map(({ trial, model }) => `${trial} ${model}`)).toEqual(
			fixture.map(({ trial, model }) => `${trial} ${model}`)
		);
		made.forEach((row, at) => {
			expectNear(row.rss, fixture[at]!.rss, 1e-7, `${row.trial} ${row.model}`);
			row.coefficients.forEach((value, which) =>
				expectNear(value, fixture[at]!.coefficients[which]!, 1e-6, `${row.trial} ${row.model}`)
			);
		});
	});
});

describe('blocks are a term of every test, as in R', () => {
	/** Rows as fixtures/blocks.R writes them. */
	const blockRows = (text: string) =>
		text
			.trim()
			.split('\n')
			.map((line) => {
				const [trial, ...numbers] = line.split(',') as [string, ...string[]];
				return { trial, numbers: numbers.map(Number) };
			});
	const kept = blockRows(readFileSync(path.join(FIXTURES, 'r-blocks.csv'), 'utf8'));

	it.each(kept)(
		'$trial: p, squares, coefficients and their errors of lm(yield ~ block + x + x2)',
		({ trial, numbers }) => {
			const [response, curvature, rss, b, c, errorB, errorC] = numbers as [
				number,
				number,
				number,
				number,
				number,
				number,
				number
			];
			const { fits } = fitTrial({ observations: observationsOf(trial), models: ['quadratic'] });
			const { coefficients, standardErrors, rss: squares } = fits[0]!;
			expectNear(squares!, rss, 1e-6, 'rss');
			expectNear(coefficients!.b, b, 1e-6, 'b');
			expectNear(coefficients!.c!, c, 1e-6, 'c');
			expectNear(standardErrors!.b, errorB, 1e-5, 'standard error of b');
			expectNear(standardErrors!.c!, errorC, 1e-5, 'standard error of c');
			const { tests } = fitTrial({ observations: observationsOf(trial), models: ['quadratic'], replicates: 0 });
			// 1 - cdf keeps no digits below about 1e-15.
			expect(Math.abs(tests!.response - response)).toBeLessThan(1e-6 * response + 1e-14);
			expect(Math.abs(tests!.curvature - curvature)).toBeLessThan(1e-6 * curvature + 1e-14);
		}
	);

	it('a response of 38 bu that the blocks hide is found: p 0.2 without them', () => {
		const blocked = fitTrial({ observations: observationsOf('blocked'), priceRatio: 0.12 });
		expect(blocked.eonr).not.toBeNull();
		expect(blocked.tests!.response).toBeLessThan(1e-8);
		const bare = fitTrial({ observations: observationsOf('blocked', 'without blocks'), priceRatio: 0.12 });
		expect(bare.tests!.response).toBeGreaterThan(0.1);
		expect(bare.best).toBeNull();
	});

	it.runIf(hasR)('R still gives the numbers that are kept', () => {
		const files = kept.map(({ trial }) => fileOf(trial));
		const { stdout, stderr, status } = spawnSync('Rscript', [path.join(FIXTURES, 'blocks.R'), ...files], {
			encoding: 'utf8'
		});
		expect(status, stderr).toBe(0);
		blockRows(stdout).forEach(({ trial, numbers }, at) => {
			expect(trial).toBe(kept[at]!.trial);
			numbers.forEach((value, which) => expectNear(value, kept[at]!.numbers[which]!, 1e-6, trial));
		});
	});
});

describe('what has no optimum says so', () => {
	it.each([
		['no-response', 'shows no response to nitrogen from 0 to 200'],
		['still-rising', 'still rises in a straight line at the highest rate'],
		// The curvature of the oats is not significant (p 0.17 with the blocks): the highest dressing was still on the slope.
		['oats', 'still rises in a straight line at the highest rate']
	])('%s', (trial, words) => {
		const answer = fitTrial({ observations: observationsOf(trial), priceRatio: 0.13 });
		expect(answer).toMatchObject({ best: null, aonr: null, eonr: null });
		expect(answer.reason).toContain('no optimum inside the tested range');
		expect(answer.reason).toContain(words);
		expect(answer.eonrInterval).toBeUndefined();
	});
});
