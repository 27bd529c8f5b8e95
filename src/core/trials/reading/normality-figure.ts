import { figure, type Figure } from '../../figure/figure';
import { measured } from '../../figure/measured';
import type { Normality } from '../analysis/shapiro-wilk';

/** The chance of plots that scatter so little like chance, with Shapiro and Wilk's W behind it. */
export function normalityFigure({ w, p }: Normality, plots: number): Figure {
	const source = { basis: 'memory', citation: 'Royston 1995, Applied Statistics 44, algorithm AS R94' } as const;
	return figure({
		label: 'Shapiro-Wilk: chance of such a scatter from a normal distribution',
		value: p,
		unit: '',
		formula: 'upper tail of W made normal by the number of plots',
		inputs: [
			figure({
				label: 'W',
				value: w,
				unit: '',
				formula: '(sum of weight x residual, the residuals by size) squared / sum of squares of the residuals',
				inputs: [measured('plots', plots)],
				...source
			})
		],
		...source
	});
}
