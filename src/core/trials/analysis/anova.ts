import type { AnovaRow } from '../../schema-types';
import { fChance } from './distributions';
import type { LinearModel, Term } from './linear-model';

/** A variance that treatments are held against. */
export interface ErrorTerm {
	ms: number;
	df: number;
}

/** An analysis with the variances its comparisons go by. */
export interface Anova {
	rows: AnovaRow[];
	/** Of plots within blocks, or of subplots. */
	error: ErrorTerm;
	/** Of whole plots, in a split plot. */
	wholeError?: ErrorTerm;
	/** Combinations that the blocks hold, so that they cannot be told from them. */
	confounded: string[];
}

/**
 * Blocks with one or several factors, by least squares: each term beside all that do not hold it (type II), so that missing plots
 * do no harm; without any missing it is the sum of squares of the textbook.
 * @param ground the blocks; in a Latin square its rows and columns
 */
export function anovaOfBlocks(
	model: LinearModel,
	plots: number,
	ground: readonly Term[],
	treatments: readonly Term[]
): Anova {
	const stratum = 'within blocks';
	const whole = model.fit([...ground, ...treatments]);
	const df = plots - whole.rank;
	const error = { ms: whole.rss / df, df };
	const tested = treatments.map((term) => typeTwo(model, ground, term, treatments));
	return {
		rows: [
			...groundRows(model, ground),
			...tested.flatMap(({ term, ss, df: own }) => (own > 0 ? [testedRow(stratum, term.name, ss, own, error)] : [])),
			residualRow(stratum, whole.rss, error)
		],
		error,
		confounded: tested.flatMap(({ term, df: own }) => (own > 0 ? [] : [term.name]))
	};
}

/**
 * A split plot: the factor of the whole plots against what whole plots of one treatment differ by, all others against what subplots
 * differ by.
 */
export function anovaOfSplitPlot(
	model: LinearModel,
	plots: number,
	{
		ground,
		treatments,
		wholeFactor,
		wholePlots
	}: { ground: readonly Term[]; treatments: readonly Term[]; wholeFactor: string; wholePlots: Term }
): Anova {
	const upper = treatments.filter(({ factors }) => factors.every((factor) => factor === wholeFactor));
	const lower = treatments.filter((term) => !upper.includes(term));
	const [blocks, wholes, all] = [
		model.fit([...ground, ...upper]),
		model.fit([...ground, ...upper, wholePlots]),
		model.fit([...ground, ...upper, wholePlots, ...lower])
	];
	const wholeDf = wholes.rank - blocks.rank;
	const wholeError = { ms: (blocks.rss - wholes.rss) / wholeDf, df: wholeDf };
	const df = plots - all.rank;
	const error = { ms: all.rss / df, df };
	const above = upper.map((term) => typeTwo(model, ground, term, upper));
	const below = lower.map((term) => typeTwo(model, [...ground, ...upper, wholePlots], term, lower));
	return {
		rows: [
			...groundRows(model, ground),
			...above.map(({ term, ss, df: own }) => testedRow('whole plots', term.name, ss, own, wholeError)),
			residualRow('whole plots', blocks.rss - wholes.rss, wholeError),
			...below.flatMap(({ term, ss, df: own }) => (own > 0 ? [testedRow('subplots', term.name, ss, own, error)] : [])),
			residualRow('subplots', all.rss, error)
		],
		error,
		wholeError,
		confounded: below.flatMap(({ term, df: own }) => (own > 0 ? [] : [term.name]))
	};
}

/** What a term takes out beside all that do not hold it. */
function typeTwo(model: LinearModel, always: readonly Term[], term: Term, treatments: readonly Term[]) {
	const beside = treatments.filter(
		(other) => other !== term && !term.factors.every((factor) => other.factors.includes(factor))
	);
	const without = model.fit([...always, ...beside]);
	const withIt = model.fit([...always, ...beside, term]);
	return { term, ss: without.rss - withIt.rss, df: withIt.rank - without.rank };
}

/** What the blocks take out, and the columns beside them. */
function groundRows(model: LinearModel, ground: readonly Term[]): AnovaRow[] {
	return ground.map(({ name }, at) => {
		const [before, withIt] = [model.fit(ground.slice(0, at)), model.fit(ground.slice(0, at + 1))];
		const [ss, df] = [before.rss - withIt.rss, withIt.rank - before.rank];
		return { stratum: `${name}s`, source: name, df, ss, ms: df > 0 ? ss / df : null, f: null, p: null };
	});
}

function testedRow(stratum: string, source: string, ss: number, df: number, error: ErrorTerm): AnovaRow {
	const ms = ss / df;
	const f = error.df > 0 && error.ms > 0 ? ms / error.ms : undefined;
	return { stratum, source, df, ss, ms, f: f ?? null, p: f === undefined ? null : fChance(f, df, error.df) };
}

function residualRow(stratum: string, ss: number, { ms, df }: ErrorTerm): AnovaRow {
	return { stratum, source: 'residual', df, ss, ms: df > 0 ? ms : null, f: null, p: null };
}
