import type { CalibrateRequest, CalibrationFit } from '../../schema-types';
import { fitModels } from '../../rates/nitrogen/response/fit-response';
import { namedCoefficients } from '../../rates/nitrogen/response/shapes/models';
import { rateMeans } from '../../rates/nitrogen/response/rate-means';

export type Site = CalibrateRequest['observations'][number];
/** A fit without its interval. */
export type Critical = Pick<CalibrationFit, 'model' | 'coefficients'> & { rss: number | undefined; critical: number };

/** Percent of the most that a critical value of a curve without a plateau stands for. */
export const TARGET_PERCENT = 95;
const SHARES = [90, 95, 99] as const;

/** One way of reading a critical value from sites; undefined where they do not have its shape. */
export type CriticalOf = (sites: readonly Site[]) => Critical | undefined;

/** The sites in two groups by their test. */
interface Split {
	critical: number;
	/** Mean yields of the groups. */
	below: number;
	above: number;
	/** Squares left within the groups, and of all sites about their mean. */
	rss: number;
	total: number;
}

/**
 * The split of the sites by their test that leaves the least within two groups (Cate and Nelson 1971): halfway between the tests beside
 * it.
 */
export function bestSplit(sites: readonly Site[]): Split | undefined {
	const sorted = [...sites].sort((a, b) => a.soilTest - b.soilTest);
	const [low, high] = [sumsOf([]), sumsOf(sorted)];
	const total = within(high);
	let best: Split | undefined;
	for (let at = 0; at < sorted.length - 1; at++) {
		move(sorted[at]!.relativeYield, high, low);
		const [here, next] = [sorted[at]!.soilTest, sorted[at + 1]!.soilTest];
		// Sites of one test stand on one side.
		if (here === next) continue;
		const rss = within(low) + within(high);
		if (best && rss >= best.rss) continue;
		best = { critical: (here + next) / 2, below: low.sum / low.n, above: high.sum / high.n, rss, total };
	}
	return best;
}

export const cateNelson: CriticalOf = (sites) => {
	const best = bestSplit(sites);
	if (!best || best.above <= best.below) return undefined;
	const { critical, below, above, rss } = best;
	return { model: 'cate-nelson', coefficients: { below, above }, rss, critical };
};

/** A line or a parabola up to a plateau: the test at which it begins. */
function plateauOf(model: 'linear-plateau' | 'quadratic-plateau'): CriticalOf {
	return (sites) => {
		const fit = shapeOf(model, sites);
		if (!fit) return undefined;
		const critical = fit.model.agronomicOptimum(fit.p);
		return { model, coefficients: { ...namedCoefficients(fit.model, fit.p) }, rss: fit.rss, critical };
	};
}
export const linearPlateau = plateauOf('linear-plateau');
export const quadraticPlateau = plateauOf('quadratic-plateau');

/** Mitscherlich's a (1 - b e^(-cx)): the test that gives 95 % of the most; 90 and 99 stand among its coefficients. */
export const mitscherlich: CriticalOf = (sites) => {
	const fit = shapeOf('mitscherlich', sites);
	if (!fit) return undefined;
	const most = fit.p[0]!;
	const [b, c] = [fit.p[1]! / most, fit.p[2]!];
	const testAt = (percent: number) => Math.log(b / (1 - percent / 100)) / c;
	return {
		model: 'mitscherlich',
		coefficients: { a: most, b, c, ...Object.fromEntries(SHARES.map((share) => [`at${share}`, testAt(share)])) },
		rss: fit.rss,
		critical: testAt(TARGET_PERCENT)
	};
};

/**
 * The arcsine-log line of Correndo and co-workers 2017 (from memory): the logarithm of the test on the arcsine of the root of relative
 * yield, by the standardised major axis, read at 95 %. Yields above 100 % count as 100.
 */
export const arcsineLog: CriticalOf = (sites) => {
	const x = sites.map(({ soilTest }) => Math.log(soilTest));
	const y = sites.map(({ relativeYield }) => arcsine(Math.min(relativeYield, 100)));
	const [meanX, meanY] = [mean(x), mean(y)];
	const [xx, yy, xy] = [products(x, x, meanX, meanX), products(y, y, meanY, meanY), products(x, y, meanX, meanY)];
	if (!(xy > 0) || yy === 0) return undefined;
	const slope = Math.sqrt(xx / yy);
	return {
		model: 'arcsine-log',
		coefficients: { intercept: meanX - slope * meanY, slope, r: xy / Math.sqrt(xx * yy) },
		rss: undefined,
		critical: Math.exp(meanX + slope * (arcsine(TARGET_PERCENT) - meanY))
	};
};

function shapeOf(model: 'linear-plateau' | 'quadratic-plateau' | 'mitscherlich', sites: readonly Site[]) {
	const points = sites.map(({ soilTest, relativeYield }) => ({ rate: soilTest, yield: relativeYield }));
	return fitModels(rateMeans(points), [model])[0];
}

function arcsine(percent: number): number {
	return Math.asin(Math.sqrt(percent / 100));
}

function mean(values: readonly number[]): number {
	return values.reduce((sum, one) => sum + one, 0) / values.length;
}

function products(a: readonly number[], b: readonly number[], meanA: number, meanB: number): number {
	return a.reduce((sum, one, at) => sum + (one - meanA) * (b[at]! - meanB), 0);
}

interface Sums {
	n: number;
	sum: number;
	squares: number;
}

function sumsOf(sites: readonly Site[]): Sums {
	const yields = sites.map(({ relativeYield }) => relativeYield);
	return {
		n: yields.length,
		sum: yields.reduce((all, one) => all + one, 0),
		squares: yields.reduce((all, one) => all + one * one, 0)
	};
}

function move(value: number, from: Sums, to: Sums): void {
	from.n--;
	from.sum -= value;
	from.squares -= value * value;
	to.n++;
	to.sum += value;
	to.squares += value * value;
}

function within({ n, sum, squares }: Sums): number {
	return squares - (sum * sum) / n;
}
