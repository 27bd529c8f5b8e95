import type { Observation } from '../../../schema-types';

/**
 * Observations summed by rate, the lowest rate first. A least-squares fit needs no more than this, so its time does
 * not grow with the number of plots.
 */
export interface RateMeans {
	/** How many different rates there are; the arrays may be longer. */
	count: number;
	/** lb N/ac, rising */
	rates: Float64Array;
	/** Plots at each rate. */
	plots: Float64Array;
	/** Mean yield at each rate. */
	means: Float64Array;
	/** Sum of squares of the plots about the mean of their rate. */
	withinRates: number;
	/** Work space of the fits: a regressor at each rate, and the line on it. */
	z: Float64Array;
	line: Line;
}

/** A straight line on a regressor, and the sum of squares it leaves between the rates. */
export interface Line {
	intercept: number;
	slope: number;
	rss: number;
}

/** Room for so many rates, to be filled again and again. */
export function roomForRates(most: number): RateMeans {
	return {
		count: 0,
		rates: new Float64Array(most),
		plots: new Float64Array(most),
		means: new Float64Array(most),
		withinRates: 0,
		z: new Float64Array(most),
		line: { intercept: 0, slope: 0, rss: 0 }
	};
}

export function rateMeans(observations: readonly Pick<Observation, 'rate' | 'yield'>[]): RateMeans {
	const rates = distinctRates(observations);
	const means = roomForRates(rates.length);
	means.count = rates.length;
	rates.forEach((rate, at) => {
		const yields = observations.filter((one) => one.rate === rate).map((one) => one.yield);
		const mean = yields.reduce((sum, one) => sum + one, 0) / yields.length;
		means.rates[at] = rate;
		means.plots[at] = yields.length;
		means.means[at] = mean;
		means.withinRates += yields.reduce((sum, one) => sum + (one - mean) ** 2, 0);
	});
	return means;
}

/** The different rates of a trial, rising. */
export function distinctRates(observations: readonly Pick<Observation, 'rate'>[]): number[] {
	return [...new Set(observations.map(({ rate }) => rate))].sort((a, b) => a - b);
}
