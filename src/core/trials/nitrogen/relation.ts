import jstat from 'jstat';
import { figure, type Figure } from '../../figure/figure';
import { measured } from '../../figure/measured';
import { tChance } from '../analysis/distributions';

/** How one measure goes with another: a straight line, Pearson's r, and the chance of so large an r by accident. */
export interface Relation {
	slope: number;
	intercept: number;
	r: number;
	p: number;
	count: number;
}

/** Two points always lie on a line. */
const LEAST_POINTS = 3;

/**
 * The relation of pairs of numbers.
 * @returns undefined for fewer than three, or where one of the two does not vary
 */
export function relationOf(points: readonly (readonly [x: number, y: number])[]): Relation | undefined {
	const count = points.length;
	if (count < LEAST_POINTS) return undefined;
	const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
	const [ofX, ofY] = [jstat.variance(xs, true), jstat.variance(ys, true)];
	if (!(ofX > 0 && ofY > 0)) return undefined;
	const slope = jstat.covariance(xs, ys) / ofX;
	const r = Math.min(1, Math.max(-1, jstat.corrcoeff(xs, ys)));
	const t = r * Math.sqrt((count - 2) / (1 - r * r));
	return { slope, intercept: jstat.mean(ys) - slope * jstat.mean(xs), r, p: tChance(t, count - 2), count };
}

/** Pearson's r on a worksheet, or the slope where a share is asked: what both measures are called, and how many points there are. */
export function relationFigure(
	{ r, slope, count, p }: Relation,
	{ of, label, x, y, unit = '' }: { of: 'r' | 'slope'; label: string; x: string; y: string; unit?: string }
): Figure {
	const [value, formula] =
		of === 'r'
			? [r, `sum of (${x} - mean) x (${y} - mean) / root of the product of their sums of squares`]
			: [slope, `sum of (${x} - mean) x (${y} - mean) / sum of (${x} - mean) squared`];
	return figure({
		label,
		value: unit === '%' ? 100 * value : value,
		unit,
		formula: unit === '%' ? `100 x ${formula}` : formula,
		inputs: [measured('points', count), measured('chance of so large an r by accident', p)],
		basis: 'measured'
	});
}
