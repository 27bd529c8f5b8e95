import type { TrialComparison, TrialMean } from '../../schema-types';
import type { Anova, ErrorTerm } from './anova';
import { rangeAt, tAt } from './distributions';
import { groupLetters } from './letters';
import { codesOf, productCodes, type LinearModel, type Term } from './linear-model';
import type { ReadTrial } from './plots';

/** With more means than this letters say nothing that can be read; the least differences stay. */
const MOST_LETTERS = 30;

/** Means of a trial that belong together, with what two of them must differ by. */
export interface MeanFamily {
	means: TrialMean[];
	comparison: TrialComparison;
}

interface FamilyOf {
	factors: readonly string[];
	/** The terms of the model that was fitted. */
	terms: readonly Term[];
	/** Undefined where two of them are not held against one variance. */
	error: ErrorTerm | undefined;
	/** Standard error of a mean of so many plots, where it does not follow from the error. */
	standardError?: (plots: number) => number | null;
	/** Least differences of a split plot, by the plots of a mean. */
	differences?: (plots: number) => Pick<TrialComparison, 'lsdWithin' | 'lsdAcross'>;
}

/**
 * The means of the levels of a factor, or of all combinations of several: even over blocks and the other factors (adjusted for
 * missing plots), with standard errors, the least significant difference, Tukey's honest one (Kramer's where plots
 * are missing) and its letters.
 */
export function meanFamily(
	model: LinearModel,
	{ cells, levels }: ReadTrial,
	{ factors, terms, error, standardError, differences }: FamilyOf,
	level: number
): MeanFamily {
	const inside = terms.filter(
		(term) => term.factors.length > 0 && term.factors.every((factor) => factors.includes(factor))
	);
	const found = combinations(factors, levels).flatMap((own) => {
		const n = cells
			.filter((cell) => factors.every((factor) => cell.levels[factor] === own[factor]))
			.reduce((sum, cell) => sum + cell.plots, 0);
		if (n === 0) return [];
		const codes = new Map(
			inside.map((term) => [
				term.name,
				productCodes(term.factors.map((factor) => codesOf(own[factor]!, levels[factor]!)))
			])
		);
		const { mean, perSd } = model.meanOf(terms, codes);
		// Of so many plots without any missing.
		const worth = 1 / perSd ** 2;
		return [{ levels: own, mean, n, worth }];
	});
	const sorted = [...found].sort((a, b) => b.mean - a.mean);
	const usable = error !== undefined && error.df > 0;
	const differ = (a: number, b: number) => {
		const [one, other] = [sorted[a]!, sorted[b]!];
		const sd = Math.sqrt((error!.ms / 2) * (1 / one.worth + 1 / other.worth));
		return Math.abs(one.mean - other.mean) > range * sd;
	};
	const range = usable ? rangeAt(level, found.length, error.df) : NaN;
	const letters = usable && found.length <= MOST_LETTERS ? groupLetters(sorted.length, differ) : undefined;
	const evenWorth = found.length / found.reduce((sum, { worth }) => sum + 1 / worth, 0);
	const ofError = (worth: number) => (usable ? Math.sqrt(error.ms / worth) : null);
	return {
		means: found.map((one) => ({
			levels: one.levels,
			mean: one.mean,
			se: standardError ? standardError(one.n) : ofError(one.worth),
			n: one.n,
			group: letters?.[sorted.indexOf(one)] ?? null
		})),
		comparison: {
			of: factors.join(':'),
			lsd: usable ? tAt(level, error.df) * Math.sqrt((2 * error.ms) / evenWorth) : null,
			hsd: usable ? range * Math.sqrt(error.ms / evenWorth) : null,
			...differences?.(evenWorth)
		}
	};
}

/**
 * Least significant differences of two combinations of a split plot: t x sqrt(2 MSb / r) within a whole plot's level, and across levels
 * t' x sqrt(2 (MSa + (k - 1) MSb) / (k r)), t' weighted between the two t (Cochran and Cox, Experimental Designs 1957; from memory).
 * @param lower subplots of a whole plot, k
 * @param plots of a combination, r
 */
function splitDifferences(
	whole: ErrorTerm,
	sub: ErrorTerm,
	lower: number,
	plots: number,
	level: number
): Pick<TrialComparison, 'lsdWithin' | 'lsdAcross'> {
	const both = whole.ms + (lower - 1) * sub.ms;
	const t = (whole.ms * tAt(level, whole.df) + (lower - 1) * sub.ms * tAt(level, sub.df)) / both;
	return {
		lsdWithin: tAt(level, sub.df) * Math.sqrt((2 * sub.ms) / plots),
		lsdAcross: t * Math.sqrt((2 * both) / (lower * plots))
	};
}

/** Every family of a trial: each factor, then all combinations of several. */
export function meanFamilies(
	model: LinearModel,
	trial: ReadTrial,
	terms: readonly Term[],
	{ error, wholeError, confounded }: Anova,
	wholeFactor: string | undefined,
	level: number
): MeanFamily[] {
	const factors = Object.keys(trial.levels);
	const told = terms.filter(({ name }) => !confounded.includes(name));
	const singles = factors.map((factor) =>
		meanFamily(
			model,
			trial,
			{ factors: [factor], terms: told, error: factor === wholeFactor ? wholeError : error },
			level
		)
	);
	if (factors.length === 1 || confounded.length > 0) return singles;
	const lower = factors
		.filter((factor) => factor !== wholeFactor)
		.reduce((count, factor) => count * trial.levels[factor]!.length, 1);
	const combined = wholeError
		? {
				error: undefined,
				// What whole plots and what subplots differ by, both: (MSa + (k - 1) MSb) / (k r).
				standardError: (plots: number) =>
					wholeError.df > 0 ? Math.sqrt((wholeError.ms + (lower - 1) * error.ms) / (lower * plots)) : null,
				differences: (plots: number) =>
					wholeError.df > 0 && error.df > 0 ? splitDifferences(wholeError, error, lower, plots, level) : {}
			}
		: { error };
	return [...singles, meanFamily(model, trial, { factors, terms: told, ...combined }, level)];
}

function combinations(
	factors: readonly string[],
	levels: Readonly<Record<string, readonly string[]>>
): Record<string, string>[] {
	return factors.reduce<Record<string, string>[]>(
		(some, factor) => some.flatMap((one) => levels[factor]!.map((level) => ({ ...one, [factor]: level }))),
		[{}]
	);
}
