// Checks against R 4 (base R, `lm` and `nls` with derivatives), whose numbers are kept in fixtures/r-fits.csv and made
// anew where R is installed. Trials: oats of Yates 1935 as in R's package MASS, and the simulated ones of demo/trials.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import type { Observation, ResponseModelName } from '../../../schema-types';
import { fitTrial } from './answer-fit';
import { responseModel } from './models';

const FIXTURES = path.resolve('src/core/rates/nitrogen/response/fixtures');
const TRIALS = ['corn-after-soybean', 'corn-after-corn', 'wheat-after-soybean', 'no-response', 'still-rising', 'oats'];
const hasR = spawnSync('Rscript', ['--version']).status === 0;

function fileOf(trial: string): string {
	return trial === 'oats' ? path.join(FIXTURES, 'oats.csv') : path.resolve('demo/trials', `${trial}.csv`);
}

function observationsOf(trial: string): Observation[] {
	const text = readFileSync(fileOf(trial), 'utf8');
	return Papa.parse<Observation>(text, { header: true, comments: '#', dynamicTyping: true, skipEmptyLines: true }).data;
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
		const { fits } = fitTrial({ observations: observationsOf(trial), models: [model] });
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

describe('what has no optimum says so', () => {
	it.each([
		['no-response', 'shows no response to nitrogen from 0 to 200'],
		['still-rising', 'still rises in a straight line at the highest rate'],
		// The curvature of the oats is not significant (p 0.31): the highest dressing was still on the slope.
		['oats', 'still rises in a straight line at the highest rate']
	])('%s', (trial, words) => {
		const answer = fitTrial({ observations: observationsOf(trial), priceRatio: 0.13 });
		expect(answer).toMatchObject({ best: null, aonr: null, eonr: null });
		expect(answer.reason).toContain('no optimum inside the tested range');
		expect(answer.reason).toContain(words);
		expect(answer.eonrInterval).toBeUndefined();
	});
});
