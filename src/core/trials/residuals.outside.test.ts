// Residuals, deleted studentized residuals and the test of Shapiro and Wilk as R has them (rstudent, shapiro.test), on open data of R
// and MASS (oats; women, precip, rivers); fixtures/trials.R makes fixtures/trials.json anew.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { TrialRequest } from '../schema-types';
import { answerTrial } from './answer-trial';
import { anovaOfBlocks } from './analysis/anova';
import { LinearModel } from './analysis/linear-model';
import { normalityFigure } from './reading/normality-figure';
import { readPlots } from './analysis/plots';
import { outliersOf, residualsOf } from './analysis/residuals';
import { shapiroWilk } from './analysis/shapiro-wilk';
import { trialTerms } from './analysis/terms';

interface Left {
	residuals: number[];
	studentized: number[];
	shapiro: [number, number];
}
const R = JSON.parse(readFileSync(new URL('fixtures/trials.json', import.meta.url), 'utf8')) as {
	victoryRows: TrialRequest['observations'];
	victoryLeft: Left;
	farRows: TrialRequest['observations'];
	farLeft: Left;
	oatsRows: TrialRequest['observations'];
	oatsLeft: Left;
	shapiro: { x: number[]; test: [number, number] }[];
};
const CLOSE = 1e-6;

describe('the test of Shapiro and Wilk', () => {
	it.each(R.shapiro.map(({ x, test }) => [x.length, x, test] as const))('of %i values', (_, x, [w, p]) => {
		const found = shapiroWilk(x)!;
		expect(Math.abs(found.w - w)).toBeLessThan(CLOSE);
		expect(Math.abs(found.p - p)).toBeLessThan(1e-4 * p + 1e-12);
	});
	it('says nothing of two values, or of values that are all the same', () => {
		expect(shapiroWilk([1, 2])).toBeUndefined();
		expect(shapiroWilk([3.3, 3.3, 3.3, 3.3])).toBeUndefined();
		expect(shapiroWilk(Array.from({ length: 5001 }, (_, at) => at))).toBeUndefined();
	});
});

describe('what blocks and treatments leave over', () => {
	const blocks = { design: 'blocks', factors: ['N'] } as const;
	const oats = { design: 'split-plot', factors: ['V', 'N'], wholePlot: 'V' } as const;
	it.each([
		['oats, Victory', { ...blocks, factors: ['N'], observations: R.victoryRows }, R.victoryLeft],
		['with one plot 70 too high', { ...blocks, factors: ['N'], observations: R.farRows }, R.farLeft],
		['oats, the split plot', { ...oats, factors: [...oats.factors], observations: R.oatsRows }, R.oatsLeft]
	])('%s: as residuals and shapiro.test have it', (_, request, { residuals, shapiro }) => {
		const answer = answerTrial(request);
		expect(answer.residuals).toHaveLength(residuals.length);
		answer.residuals.forEach(({ residual, expected }, at) => {
			expect(Math.abs(residual - residuals[at]!)).toBeLessThan(CLOSE);
			expect(expected + residual).toBeCloseTo(request.observations[at]!.yield, 9);
		});
		expect(answer.normality!.w).toBeCloseTo(shapiro[0], 6);
		const opened = normalityFigure(answer.normality!, residuals.length);
		expect([opened.value, opened.inputs[0]!.value]).toEqual([answer.normality!.p, answer.normality!.w]);
		expect(Math.abs(answer.normality!.p / shapiro[1] - 1)).toBeLessThan(1e-4);
	});
	it('the plot that is too high lies 6.325 deleted standard deviations off, and is the only one', () => {
		const trial = readPlots({ ...blocks, factors: ['N'], observations: R.farRows });
		const { ground, treatments } = trialTerms(trial);
		const terms = [...ground, ...treatments];
		const model = new LinearModel(trial, terms);
		const { error } = anovaOfBlocks(model, trial.plots.length, ground, treatments);
		const residuals = residualsOf(model, trial, terms);
		const told = (chance: number) => outliersOf(model, trial, terms, error, residuals, chance);
		const [only, ...rest] = told(0.05);
		expect(rest).toEqual([]);
		expect(only!.off).toBeCloseTo(Math.max(...R.farLeft.studentized.map(Math.abs)), 6);
		expect(only!.plot).toMatchObject({ block: 'III', levels: { N: '0.4cwt' } });
		// R: 24 * 2 * pt(-6.32483533539, 14)
		expect(only!.chance).toBeCloseTo(4.501505e-4, 9);
		expect(told(1e-4)).toEqual([]);
	});
	it('says so of that plot, and that the scatter is not chance; of plots as they were neither', () => {
		const notes = answerTrial({ ...blocks, factors: ['N'], observations: R.farRows }).notes;
		expect(notes).toHaveLength(2);
		expect(notes[0]).toMatch(
			/^Look again at \d+ in block III \(0\.4cwt\): it lies 6\.3 standard deviations off .*\(p below 0\.001 for the furthest of 24 plots\)\.$/
		);
		expect(notes[1]).toMatch(/do not scatter like chance .* \(Shapiro-Wilk p 0\.009\)/);
		expect(answerTrial({ ...blocks, factors: ['N'], observations: R.victoryRows }).notes).toEqual([]);
	});
});
