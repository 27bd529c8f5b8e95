/** More than any double needs. */
const MOST_STEPS = 200;

/**
 * Where a function crosses zero between two points at which it has different signs; regula falsi, in which the end
 * that stays is halved (Illinois), so that it never creeps.
 * @param low, high ends of the bracket; @param atLow, atHigh the function there, of different sign
 */
export function crossing(
	f: (x: number) => number,
	low: number,
	high: number,
	atLow: number,
	atHigh: number,
	tolerance: number
): number {
	let side = 0;
	for (let step = 0; step < MOST_STEPS && high - low > tolerance; step++) {
		const at = (low * atHigh - high * atLow) / (atHigh - atLow);
		const value = f(at);
		if (value === 0 || !Number.isFinite(at)) return at;
		if (value > 0 === atHigh > 0) {
			if (Math.abs(high - at) <= tolerance) return at;
			high = at;
			atHigh = value;
			if (side === 1) atLow /= 2;
			side = 1;
		} else {
			if (Math.abs(at - low) <= tolerance) return at;
			low = at;
			atLow = value;
			if (side === -1) atHigh /= 2;
			side = -1;
		}
	}
	return (low * atHigh - high * atLow) / (atHigh - atLow);
}
