// Open data of R's package MASS (npk: peas in 6 blocks, N x P x K with N:P:K confounded; oats: a split plot), analysed by R's aov, lm,
// t.test, ptukey and qtukey; OrchardSprays of R's datasets, a Latin square; fixtures/trials.R makes fixtures/trials.json anew.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { TrialAnswer, TrialRequest } from '../schema-types';
import { InputError } from '../check/problem';
import jstat from 'jstat';
import { answerTrial } from './answer-trial';

type Rows = TrialRequest['observations'];
/** Degrees of freedom, sum of squares, F and its chance, as R has them. */
type Table = Record<string, [number, number, number | null, number | null]>;
const R = JSON.parse(readFileSync(new URL('fixtures/trials.json', import.meta.url), 'utf8')) as {
	npkRows: Rows;
	npk: Table;
	shortRows: Rows;
	short: Table;
	shortMse: number;
	shortMeans: [number, number][];
	oatsRows: Rows;
	oatsWhole: Table;
	oatsSub: Table;
	victoryRows: Rows;
	victory: Table;
	orchardRows: Rows;
	orchard: Table;
	orchardShort: Table;
	paired: [number, number, number, number];
	ptukey: [number, number, number, number, number][];
};

const problemsOf = (request: TrialRequest) => {
	try {
		answerTrial(request);
	} catch (error) {
		if (error instanceof InputError) return error.problems.map(({ path, message }) => `${path} ${message}`);
		throw error;
	}
	return [];
};

/** To so many parts in a million of R's value. */
function near(found: number | null | undefined, wanted: number, share = 1e-6): void {
	expect(Math.abs((found ?? NaN) - wanted)).toBeLessThan(share * Math.max(1e-3, Math.abs(wanted)));
}
const SOURCES: Record<string, string> = {
	'factor(block)': 'block',
	'factor(rowpos)': 'block',
	'factor(colpos)': 'column',
	treatment: 'spray',
	Residuals: 'residual'
};
function agrees({ anova }: TrialAnswer, stratum: string, table: Table): void {
	for (const [name, [df, ss, f, p]] of Object.entries(table)) {
		const source = SOURCES[name] ?? name;
		const ground = source === 'block' || source === 'column';
		const row = anova.find((one) => one.source === source && (ground || one.stratum === stratum))!;
		expect(row?.df, name).toBe(df);
		near(row.ss, ss);
		if (f === null || p === null || ground) continue;
		near(row.f, f);
		expect(Math.abs(row.p! / p - 1)).toBeLessThan(1e-6);
	}
}
const meanOf = ({ means }: TrialAnswer, levels: Record<string, string>) =>
	means.find((one) => JSON.stringify(one.levels) === JSON.stringify(levels))!;

describe('peas, N x P x K in six blocks', () => {
	const peas = answerTrial({ design: 'blocks', factors: ['N', 'P', 'K'], observations: R.npkRows });
	it('every sum of squares, F and chance as aov has them', () => agrees(peas, 'within blocks', R.npk));
	it('N:P:K is confounded with the blocks, and it says so', () => {
		expect(peas.anova.some(({ source }) => source === 'N:P:K')).toBe(false);
		expect(peas.notes).toContain('N x P x K cannot be told from the blocks (confounded): nothing is said of it.');
	});
	it('means N 52.0667 and 57.6833, K 56.8667 and 52.8833', () => {
		near(meanOf(peas, { N: '0' }).mean, 52.066666667);
		near(meanOf(peas, { N: '1' }).mean, 57.683333333);
		near(meanOf(peas, { K: '0' }).mean, 56.866666667);
		near(meanOf(peas, { K: '1' }).mean, 52.883333333);
		expect(peas.verdict).toMatch(
			/N makes a difference \(p 0.004\): 1 has most.*P makes no difference beyond chance \(p 0.475\)/
		);
	});
	it('with two plots missing: type II as by lm, means even over blocks with their errors', () => {
		const short = answerTrial({ design: 'blocks', factors: ['N', 'P', 'K'], observations: R.shortRows });
		agrees(short, 'within blocks', R.short);
		near(short.anova.find(({ source }) => source === 'residual')!.ms, R.shortMse);
		for (const [at, [mean, se]] of R.shortMeans.entries()) {
			near(meanOf(short, { N: String(at) }).mean, mean);
			near(meanOf(short, { N: String(at) }).se, se);
		}
	});
});

describe('oats in a split plot', () => {
	const oats = answerTrial({ design: 'split-plot', factors: ['N', 'V'], wholePlot: 'V', observations: R.oatsRows });
	it('varieties against whole plots (F 1.485), nitrogen against subplots (F 37.69)', () => {
		agrees(oats, 'whole plots', R.oatsWhole);
		agrees(oats, 'subplots', R.oatsSub);
	});
	it('errors of means: whole plots by theirs, subplots by theirs, both together by both', () => {
		near(meanOf(oats, { V: 'Victory' }).se, Math.sqrt(601.330555556 / 24));
		near(meanOf(oats, { N: '0.0cwt' }).se, Math.sqrt(177.083333333 / 18));
		const both = oats.means.find(({ levels }) => Object.keys(levels).length === 2)!;
		near(both.se, Math.sqrt((601.330555556 + 3 * 177.083333333) / (4 * 6)));
	});
});

describe('differences in a split plot', () => {
	it('of two means of oats: 9.715 across varieties and 7.683 within one, as the classical analysis prints them', () => {
		// Yates 1937, standard errors of differences 4.436, 7.079, 9.715 and, of the same variety, 7.683; from memory. t of 45 and 10 df.
		const oats = answerTrial({ design: 'split-plot', factors: ['N', 'V'], wholePlot: 'V', observations: R.oatsRows });
		const both = oats.comparisons.find(({ of }) => of === 'N:V')!;
		near(both.lsdWithin! / 2.0141, 7.683, 1e-3);
		const t = (601.3306 * 2.2281 + 3 * 177.0833 * 2.0141) / (601.3306 + 3 * 177.0833);
		near(both.lsdAcross! / t, 9.715, 1e-3);
		expect(both.lsd).toBeNull();
		near(oats.comparisons.find(({ of }) => of === 'N')!.lsd! / 2.0141, 4.436, 1e-3);
	});
});

describe('one variety in blocks', () => {
	const victory = answerTrial({ design: 'blocks', factors: ['N'], observations: R.victoryRows });
	it('F 16.65, LSD 15.7057, HSD 21.2372, CV 13.073 %', () => {
		agrees(victory, 'within blocks', R.victory);
		near(victory.lsd, 15.7057, 1e-5);
		near(victory.hsd, 21.2372, 1e-5);
		near(victory.cv, 13.073, 1e-4);
	});
	it('letters by what is further apart than the HSD', () => {
		const letters = victory.means.map(({ mean, group }) => [mean, group] as const);
		for (const [a, one] of letters) {
			for (const [b, other] of letters) {
				const share = [...one!].some((letter) => other!.includes(letter));
				expect(share, `${a} ${b}`).toBe(Math.abs(a - b) <= victory.hsd!);
			}
		}
	});
	it('two of its rates as pairs: the interval of t.test, and F is t squared', () => {
		const observations = R.victoryRows.filter(({ levels }) => levels.N === '0.0cwt' || levels.N === '0.6cwt');
		const pairs = answerTrial({ design: 'paired', factors: ['N'], observations });
		const [mean, low, high, p] = R.paired;
		near(pairs.difference!.mean, mean);
		near(pairs.difference!.low, low);
		near(pairs.difference!.high, high);
		near(pairs.anova.find(({ source }) => source === 'N')!.p, p, 1e-5);
	});
});

describe('eight sprays in a Latin square', () => {
	const square = { design: 'latin-square' as const, factors: ['spray'] };
	const sprays = answerTrial({ ...square, observations: R.orchardRows });
	it('rows, columns and sprays as aov has them (F 21.067), its means the plain ones', () => {
		agrees(sprays, 'within blocks', R.orchard);
		const own = R.orchardRows.filter(({ levels }) => levels.spray === 'C').map((one) => one.yield);
		near(meanOf(sprays, { spray: 'C' }).mean, own.reduce((sum, one) => sum + one, 0) / 8);
	});
	it('with three plots missing sprays are tested beside rows and columns, as by drop1', () => {
		const observations = R.orchardRows.filter((_, at) => ![4, 21, 39].includes(at));
		const short = answerTrial({ ...square, observations });
		agrees(short, 'within blocks', R.orchardShort);
		expect(short.notes).toContain('3 plots are missing; means are adjusted for them.');
	});
	it('a plot without a column, and two in one place, are refused by name', () => {
		const bare = { ...R.orchardRows[0]! };
		delete bare.column;
		const wrong = (first: Rows[number]) => problemsOf({ ...square, observations: [first, ...R.orchardRows.slice(1)] });
		expect(wrong(bare)).toEqual(['/observations/0/column must tell the column of a plot of a Latin square']);
		expect(wrong({ ...bare, column: 2 })[0]).toMatch(/names a place twice: row 1, column 2$/);
		const blocks = R.orchardRows.map(({ levels, ...one }) => ({ ...one, levels: { column: levels.spray! } }));
		expect(problemsOf({ design: 'blocks', factors: ['column'], observations: blocks })).toEqual([
			'/factors must not name a factor "column": blocks and columns are called so'
		]);
	});
});

it.each(R.ptukey)(
	'studentized range %f of %i means, %i freedoms, to 1e-5 of ptukey and qtukey',
	(q, k, df, p, at95) => {
		expect(Math.abs(jstat.tukey.cdf(q, k, df) - p)).toBeLessThan(1e-5);
		expect(Math.abs(jstat.tukey.inv(0.95, k, df) - at95)).toBeLessThan(1e-4);
	}
);
