import { figure, type Figure } from '../../figure/figure';
import { measured } from '../../figure/measured';
import { entriesOf } from '../../check/typed-object';
import type { AnovaRow, TrialAnswer, TrialMean, TrialObservation, TrialPlan } from '../../schema-types';
import { tAt } from '../analysis/distributions';
import { treatmentOf } from '../analysis/plots';
import { USUAL_LEVEL } from '../analysis/usual-values';
import { treatmentNames } from '../design/treatments';
import type { ReadingTerms } from './read-trial';

/** The numbers of an analysis with what they are made of: error, its freedom, least difference, coefficient of variation. */
export function trialFigures(
	plan: TrialPlan,
	answer: TrialAnswer,
	{ level = USUAL_LEVEL, yieldUnit }: ReadingTerms
): Figure[] {
	const residual = answer.anova.findLast(({ source }) => source === 'residual');
	// Plots that repeat to the last digit leave no error to divide by.
	if (!residual || residual.ms === null || residual.ms <= 0) return [];
	const error = errorFigure(residual, residual.ms);
	return [
		...(answer.lsd === null ? [] : [lsdFigure(answer.lsd, error, residual.df, level, yieldUnit, namedIn(answer))]),
		...splitFigures(answer, error, yieldUnit),
		...(answer.cv === null ? [] : [cvFigure(answer.cv, error, plan)])
	];
}

function errorFigure({ ss, df }: AnovaRow, ms: number): Figure {
	return figure({
		label: 'mean square of the error',
		value: ms,
		unit: '',
		formula: 'residual sum of squares / df',
		inputs: [
			measured('residual sum of squares', ss),
			figure({
				label: 'df',
				value: df,
				unit: '',
				formula: 'plots - what blocks and treatments take',
				basis: 'measured'
			})
		],
		basis: 'measured'
	});
}

/** What the least difference of an analysis is of: treatments, or in a split plot the levels of the first factor of the subplots. */
function namedIn({ comparisons, lsd }: Pick<TrialAnswer, 'comparisons' | 'lsd'>): string {
	const split = comparisons.some(({ lsdWithin }) => lsdWithin !== undefined);
	return split ? `levels of ${comparisons.find((one) => one.lsd === lsd)!.of}` : 'treatments';
}

/** Of a split plot: by how much two combinations must differ. */
function splitFigures({ comparisons }: TrialAnswer, error: Figure, yieldUnit: string): Figure[] {
	const both = comparisons.find(({ lsdWithin }) => lsdWithin !== undefined);
	if (both?.lsdWithin === undefined || both.lsdAcross === undefined) return [];
	const citation = 'Cochran and Cox 1957, Experimental Designs, from memory';
	const of = (where: string, value: number, formula: string) =>
		figure({
			label: `Least significant difference of two combinations ${where}`,
			value,
			unit: yieldUnit,
			formula,
			inputs: [error],
			basis: 'memory',
			citation
		});
	return [
		of('in one whole plot', both.lsdWithin, 't x sqrt(2 x mean square of the subplots / plots of a combination)'),
		of(
			'across whole plots',
			both.lsdAcross,
			'weighted t x sqrt(2 x (mean square of the whole plots + (subplots - 1) x that of the subplots) / (subplots x plots))'
		)
	];
}

function lsdFigure(lsd: number, error: Figure, df: number, level: number, yieldUnit: string, of: string): Figure {
	const t = tAt(level, df);
	return figure({
		label: `Least significant difference of two ${of}`,
		value: lsd,
		unit: yieldUnit,
		formula: 't x sqrt(2 x mean square of the error / plots of a treatment)',
		inputs: [
			figure({
				label: `t of ${Math.round(100 * level)} %, two-sided`,
				value: t,
				unit: '',
				basis: 'published',
				citation: 'Student 1908, Biometrika 6'
			}),
			error,
			figure({
				label: 'plots of a treatment',
				value: (2 * error.value * t * t) / (lsd * lsd),
				unit: '',
				formula: 'even over treatments where plots are missing',
				basis: 'measured'
			})
		],
		basis: 'measured'
	});
}

function cvFigure(cv: number, error: Figure, plan: TrialPlan): Figure {
	return figure({
		label: 'Coefficient of variation',
		value: cv,
		unit: '%',
		formula: '100 x sqrt(mean square of the error) / mean of all plots',
		inputs: [
			error,
			measured(`mean of all plots of ${treatmentNames(plan).length} treatments`, (100 * Math.sqrt(error.value)) / cv)
		],
		basis: 'measured'
	});
}

/** A mean with the plots that it is of, and its standard error where one error holds for it. */
export interface MeanFigures {
	mean: Figure;
	se: Figure | undefined;
}

/** More plots than this are told by their sum. */
const MOST_LISTED = 12;
const SAME = 1e-9;

/** The means of an analysis in its order, each with the plots behind it; in a split plot the errors are of two kinds and stand as they are. */
export function meanFigures(
	plan: TrialPlan,
	{ means, anova }: TrialAnswer,
	used: readonly TrialObservation[],
	{ yieldUnit }: ReadingTerms
): MeanFigures[] {
	const residual = anova.findLast(({ source }) => source === 'residual');
	const error = residual && residual.ms !== null && residual.ms > 0 ? errorFigure(residual, residual.ms) : undefined;
	return means.map(({ levels, mean, se }) => {
		const own = used.filter((plot) => entriesOf(levels).every(([name, level]) => String(plot.levels[name]) === level));
		const sum = own.reduce((total, plot) => total + plot.yield, 0);
		const plain = figure({
			label: `mean of ${own.length} plots`,
			value: sum / own.length,
			unit: yieldUnit,
			formula: 'sum / plots',
			inputs:
				own.length > MOST_LISTED
					? [measured('sum of the plots', sum, yieldUnit), measured('plots', own.length)]
					: own.map((plot) => measured(`block ${plot.block}`, plot.yield, yieldUnit)),
			basis: 'measured'
		});
		const label = `${treatmentOf({ levels })}: mean`;
		const adjusted = Math.abs(plain.value - mean) > SAME * Math.abs(mean);
		return {
			mean: adjusted
				? figure({
						label,
						value: mean,
						unit: yieldUnit,
						formula: 'least squares mean: even over the blocks and treatments, whatever plots are missing',
						inputs: [plain],
						basis: 'measured'
					})
				: { ...plain, label },
			se: se !== null && error && plan.design !== 'split-plot' ? standardError(levels, se, error, yieldUnit) : undefined
		};
	});
}

function standardError(levels: TrialMean['levels'], se: number, error: Figure, yieldUnit: string): Figure {
	return figure({
		label: `${treatmentOf({ levels })}: standard error of the mean`,
		value: se,
		unit: yieldUnit,
		formula: 'sqrt(mean square of the error / plots)',
		inputs: [error, measured('plots, even over what is missing', error.value / (se * se))],
		basis: 'measured'
	});
}
