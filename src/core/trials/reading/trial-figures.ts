import { figure, type Figure } from '../../figure/figure';
import type { AnovaRow, TrialAnswer, TrialPlan } from '../../schema-types';
import { tAt } from '../analysis/distributions';
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
	if (!residual || residual.ms === null) return [];
	const error = errorFigure(residual, residual.ms);
	return [
		...(answer.lsd === null ? [] : [lsdFigure(answer.lsd, error, residual.df, level, yieldUnit)]),
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
			figure({ label: 'residual sum of squares', value: ss, unit: '', basis: 'measured' }),
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

function lsdFigure(lsd: number, error: Figure, df: number, level: number, yieldUnit: string): Figure {
	const t = tAt(level, df);
	return figure({
		label: 'Least significant difference of two treatments',
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
			figure({
				label: `mean of all plots of ${treatmentNames(plan).length} treatments`,
				value: (100 * Math.sqrt(error.value)) / cv,
				unit: '',
				basis: 'measured'
			})
		],
		basis: 'measured'
	});
}
