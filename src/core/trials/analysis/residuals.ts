import type { TrialResidual } from '../../schema-types';
import type { ErrorTerm } from './anova';
import { tChance } from './distributions';
import type { LinearModel, Term } from './linear-model';
import { cellKey, type Plot, type ReadTrial } from './plots';

/** A plot that lies further off than plots of such a trial do. */
export interface Outlier {
	plot: Plot;
	/** Standard deviations off, by what the other plots leave over. */
	off: number;
	/** Chance that the furthest of so many plots lies so far off. */
	chance: number;
}

/** Only those so many standard deviations off are looked at closer: nearer ones are no outliers among however few plots. */
const LOOKED_AT = 2;
/** What is nearly one: the model takes the plot as it is, and leaves nothing over. */
const TAKEN = 1 - 1e-9;

/** What the model expects of each plot and what it leaves over, in the order of the plots. */
export function residualsOf(model: LinearModel, { plots, cells }: ReadTrial, terms: readonly Term[]): TrialResidual[] {
	const expected = new Map(model.expected(terms).map((mean, at) => [cellKey(cells[at]!), mean]));
	return plots.map((plot) => {
		const mean = expected.get(cellKey(plot))!;
		return { block: plot.block, levels: plot.levels, expected: mean, residual: plot.yield - mean };
	});
}

/**
 * Plots that lie too far off: each held against the spread of all the others (deleted studentized residual), its chance
 * times the number of plots (Bonferroni), as Cook and Weisberg (1982, Residuals and influence in regression) have it.
 * @param chance below which a plot is told, 0.05 as a rule
 */
export function outliersOf(
	model: LinearModel,
	{ plots, cells }: ReadTrial,
	terms: readonly Term[],
	{ ms, df }: ErrorTerm,
	residuals: readonly TrialResidual[],
	chance: number
): Outlier[] {
	if (df < 2 || ms <= 0) return [];
	// What the model takes draws its own plots nearer by the share of freedom that it took.
	const usual = Math.sqrt((ms * df) / plots.length);
	const far = residuals.flatMap(({ residual }, at) => (Math.abs(residual) > LOOKED_AT * usual ? [at] : []));
	const cellAt = new Map(cells.map((cell, at) => [cellKey(cell), at]));
	const taken = model.leverages(
		terms,
		far.map((at) => cellAt.get(cellKey(plots[at]!))!)
	);
	return far.flatMap((at, order) => {
		const leverage = taken[order]!;
		if (leverage > TAKEN) return [];
		const { residual } = residuals[at]!;
		const others = (ms * df - residual ** 2 / (1 - leverage)) / (df - 1);
		const off = others > 0 ? Math.abs(residual) / Math.sqrt(others * (1 - leverage)) : Infinity;
		const adjusted = Math.min(1, plots.length * tChance(off, df - 1));
		return adjusted < chance ? [{ plot: plots[at]!, off, chance: adjusted }] : [];
	});
}
