import { figure, type Figure } from '../../figure/figure';
import { measured } from '../../figure/measured';
import type { AnovaRow, TrialAnswer } from '../../schema-types';

/** An F of the analysis with its mean squares, and its chance with both degrees of freedom. */
export interface TestFigures {
	f: Figure;
	p: Figure;
}

/** What stands behind each F of an analysis, in the order of its rows; undefined where a row is not tested. */
export function anovaFigures(anova: TrialAnswer['anova']): (TestFigures | undefined)[] {
	return anova.map((row) => {
		const error = anova.find(({ stratum, source }) => stratum === row.stratum && source === 'residual');
		if (!error || error.ms === null || row.ms === null || row.f === null || row.p === null) return undefined;
		if (!Number.isFinite(row.f)) return undefined;
		const name = row.source.split(':').join(' x ');
		const f = figure({
			label: `${name}: F`,
			value: row.f,
			unit: '',
			formula: `mean square of ${name} / mean square of the error`,
			inputs: [meanSquare(name, row, row.ms), meanSquare(`the error (${row.stratum})`, error, error.ms)],
			basis: 'measured'
		});
		return {
			f,
			p: figure({
				label: `${name}: chance of so large an F where it makes no difference`,
				value: row.p,
				unit: '',
				formula: 'upper tail of the F distribution',
				inputs: [f, measured(`df of ${name}`, row.df), measured('df of the error', error.df)],
				basis: 'measured'
			})
		};
	});
}

function meanSquare(name: string, { ss, df }: AnovaRow, ms: number): Figure {
	return figure({
		label: `mean square of ${name}`,
		value: ms,
		unit: '',
		formula: 'sum of squares / df',
		inputs: [measured('sum of squares', ss), measured('df', df)],
		basis: 'measured'
	});
}
