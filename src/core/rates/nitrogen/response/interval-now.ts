import type { ResponseCurve } from '../../../schema-types';

/** Price ratios this near to each other, of the smaller, are one. */
const SAME_SHARE = 0.02;

type Interval = NonNullable<ResponseCurve['eonrInterval']>;

/**
 * The interval of a curve's optimum, where it was drawn at today's prices.
 * @param ratio price of a pound of nitrogen over that of a unit of yield; undefined where a price is missing
 * @returns undefined without an interval; what to do where it belongs to other prices
 */
export function intervalNow(
	interval: Interval | undefined,
	ratio: number | undefined
): { low: number; high: number } | { stale: string } | undefined {
	if (!interval) return undefined;
	const { low, high, priceRatio } = interval;
	if (ratio === undefined) return { stale: 'Enter both prices to see whether its interval holds today.' };
	if (Math.abs(ratio - priceRatio) <= SAME_SHARE * Math.min(ratio, priceRatio)) return { low, high };
	const say = (value: number) => Number(value.toPrecision(2));
	return {
		stale: `Its interval was drawn at a price ratio of ${say(priceRatio)}. Today's is ${say(ratio)}: fit the trial again.`
	};
}
