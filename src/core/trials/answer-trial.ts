import type { TrialAnswer, TrialRequest } from '../schema-types';
import { anovaOfBlocks, anovaOfSplitPlot, type Anova } from './analysis/anova';
import { tAt } from './analysis/distributions';
import { LinearModel } from './analysis/linear-model';
import { readPlots, treatmentOf, type ReadTrial } from './analysis/plots';
import { outliersOf, residualsOf, type Outlier } from './analysis/residuals';
import { shapiroWilk, type Normality } from './analysis/shapiro-wilk';
import { trialTerms, wholePlotTerm } from './analysis/terms';
import { meanFamilies } from './analysis/trial-means';
import { USUAL_CV, USUAL_LEVEL } from './analysis/usual-values';
import { chanceText, verdictOf } from './analysis/verdict';

/** Two strips of one treatment differ by so many times the CV: the root of two. */
const PAIR = Math.SQRT2;

/**
 * Reads a trial by its design: variance, means, least differences, and what it says in words. Without replication there is no verdict.
 * @param request checked by schemas/trial-request.schema.json
 * @throws InputError for plots that do not fit the design
 */
export function answerTrial(request: TrialRequest): TrialAnswer {
	const trial = readPlots(request);
	const level = request.level ?? USUAL_LEVEL;
	const { ground, treatments } = trialTerms(trial);
	const wholeFactor = request.design === 'split-plot' ? request.wholePlot : undefined;
	const split = wholeFactor === undefined ? undefined : { wholeFactor, wholePlots: wholePlotTerm(trial, wholeFactor) };
	const terms = split ? [...ground, split.wholePlots, ...treatments] : [...ground, ...treatments];
	const model = new LinearModel(trial, terms);
	const free = trial.plots.length - model.fit(terms).rank;
	if (request.design === 'unreplicated' || free <= 0) return noVerdict(trial, request, model.mean);
	const anova = split
		? anovaOfSplitPlot(model, trial.plots.length, { ground, treatments, ...split })
		: anovaOfBlocks(model, trial.plots.length, ground, treatments);
	const residuals = residualsOf(model, trial, terms);
	const normality = shapiroWilk(residuals.map(({ residual }) => residual));
	const outliers = outliersOf(model, trial, terms, anova.error, residuals, 1 - level);
	const families = meanFamilies(model, trial, terms, anova, wholeFactor, level);
	const { lsd, hsd } = (
		wholeFactor ? families.find(({ comparison }) => comparison.of !== wholeFactor) : families.at(-1)
	)!.comparison;
	return {
		anova: anova.rows,
		means: families.flatMap(({ means }) => means),
		comparisons: families.map(({ comparison }) => comparison),
		lsd,
		hsd,
		cv: model.mean > 0 ? (100 * Math.sqrt(anova.error.ms)) / model.mean : null,
		...(request.design === 'paired' ? { difference: pairedDifference(trial, level) } : {}),
		verdict: verdictOf(anova.rows, families, level),
		residuals,
		normality: normality ?? null,
		notes: [...notesOf(trial, anova, request), ...scatterNotes(outliers, normality, trial.plots.length, level)]
	};
}

/** Two strips, or one of each: what they are, and that it proves nothing. */
function noVerdict(trial: ReadTrial, { cvPercent = USUAL_CV }: TrialRequest, mean: number): TrialAnswer {
	const groups = new Map<string, { levels: Record<string, string>; yields: number[] }>();
	for (const plot of trial.plots) {
		const group = groups.get(treatmentOf(plot)) ?? { levels: plot.levels, yields: [] };
		group.yields.push(plot.yield);
		groups.set(treatmentOf(plot), group);
	}
	const means = [...groups.values()].map(({ levels, yields }) => ({
		levels,
		mean: yields.reduce((sum, one) => sum + one, 0) / yields.length,
		se: null,
		n: yields.length,
		group: null
	}));
	const values = means.map((one) => one.mean);
	const apart = Math.max(...values) - Math.min(...values);
	const byChance = (PAIR * cvPercent * mean) / 100;
	const text = (value: number) => String(Number(value.toPrecision(3)));
	return {
		anova: [],
		means,
		comparisons: [],
		lsd: null,
		hsd: null,
		cv: null,
		residuals: [],
		normality: null,
		verdict: `No verdict: nothing was repeated. The strips are ${text(apart)} apart; two strips of one treatment already differ by about ${text(byChance)} (CV of ${cvPercent} % x 1.41), so the difference ${apart <= byChance ? 'is no more than chance makes' : 'may be real, and one pair cannot show it'}. Lay it out in blocks.`,
		notes: trial.aside.map((reason) => `Set aside: ${reason}.`)
	};
}

function notesOf(trial: ReadTrial, { confounded }: Anova, { observations, factors }: TrialRequest): string[] {
	const { plots, levels, aside } = trial;
	const blocks = new Set(plots.map((plot) => plot.block)).size;
	const treatments = new Set(plots.map(treatmentOf)).size;
	const sites = new Set(observations.map(({ site }) => site)).size;
	// A confounded design leaves treatments out of a block on purpose.
	const missing = confounded.length > 0 ? 0 : blocks * treatments - trial.cells.length;
	return [
		...confounded.map(
			(name) => `${name.split(':').join(' x ')} cannot be told from the blocks (confounded): nothing is said of it.`
		),
		...(missing > 0
			? [
					`${missing} ${missing === 1 ? 'plot is' : 'plots are'} missing; means are adjusted for ${missing === 1 ? 'it' : 'them'}.`
				]
			: []),
		...(sites > 1
			? [
					`${sites} sites stand side by side as they are; what holds on other ground takes more of them and a pooled reading.`
				]
			: []),
		...aside.map((reason) => `Set aside: ${reason}.`),
		...(factors.length > 1 && Object.values(levels).every((own) => own.length === 2)
			? ['Each factor has two levels: a difference, not a rate.']
			: [])
	];
}

/** What the scatter of the plots says against the reading. */
function scatterNotes(
	outliers: readonly Outlier[],
	normality: Normality | undefined,
	plots: number,
	level: number
): string[] {
	return [
		...outliers.map(
			({ plot, off, chance }) =>
				`Look again at ${Math.round(10 * plot.yield) / 10} in block ${plot.block} (${treatmentOf(plot)}): it lies ${Number.isFinite(off) ? `${off.toFixed(1)} standard deviations` : 'far'} off what block and treatment let expect (${chanceText(chance)} for the furthest of ${plots} plots).`
		),
		...(normality !== undefined && normality.p < 1 - level
			? [
					`The plots do not scatter like chance about what block and treatment let expect (Shapiro-Wilk ${chanceText(normality.p)}): take chances and least differences as rough, and look at the plots that lie far off.`
				]
			: [])
	];
}

/** The mean difference of pairs, the second level less the first, with its t interval. */
function pairedDifference({ plots, levels }: ReadTrial, level: number): NonNullable<TrialAnswer['difference']> {
	const [factor] = Object.keys(levels) as [string];
	const [first, second] = levels[factor] as [string, string];
	const yieldOf = (block: string, of: string) => {
		const own = plots.filter((plot) => plot.block === block && plot.levels[factor] === of);
		return own.length === 0 ? undefined : own.reduce((sum, plot) => sum + plot.yield, 0) / own.length;
	};
	const pairs = [...new Set(plots.map((plot) => plot.block))].flatMap((block) => {
		const [one, other] = [yieldOf(block, first), yieldOf(block, second)];
		return one === undefined || other === undefined ? [] : [other - one];
	});
	const n = pairs.length;
	const mean = pairs.reduce((sum, one) => sum + one, 0) / n;
	const sd = Math.sqrt(pairs.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (n - 1));
	const half = (tAt(level, n - 1) * sd) / Math.sqrt(n);
	return { of: `${second} less ${first}`, mean, low: mean - half, high: mean + half, pairs: n };
}
