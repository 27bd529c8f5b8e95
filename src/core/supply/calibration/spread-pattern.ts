import { FT2_PER_ACRE, G_PER_LB } from '../../units/factors';

/** How the machine comes back: around the field, or up and down it, which turns every other swath about. */
export type Driving = 'around' | 'up and down';

/** What one swath width comes to. */
export interface SwathResult {
	swathFt: number;
	/** lb/ac of product on the ground. */
	rate: number;
	/** Standard deviation over mean, percent. */
	cvPercent: number;
}

/** Good spreading stays below this, percent; trade practice. */
export const GOOD_CV_PERCENT = 15;

/**
 * A pan test: pans across the swath, evenly spaced, the middle one behind the spreader. For each swath width in whole pan spacings
 * the passes are laid over each other and the spread of the sum is taken (sample standard deviation).
 * @param grams caught in each pan from left to right; an odd number, at least 5
 * @param panFt2 area of a pan, ft2
 * @returns narrowest first; none for an even or smaller number of pans, or where nothing was caught
 */
export function swathResults(
	grams: readonly number[],
	panFt2: number,
	spacingFt: number,
	driving: Driving
): SwathResult[] {
	const half = (grams.length - 1) / 2;
	if (!Number.isInteger(half) || half < 2 || !grams.some((caught) => caught > 0)) return [];
	const caughtAt = (offset: number) => grams[offset + half] ?? 0;
	return Array.from({ length: grams.length - 1 }, (_, at) => {
		const width = at + 1;
		const onGround = overlapped(caughtAt, half, width, driving);
		const mean = onGround.reduce((sum, value) => sum + value, 0) / onGround.length;
		const squares = onGround.reduce((sum, value) => sum + (value - mean) ** 2, 0);
		const deviation = onGround.length > 1 ? Math.sqrt(squares / (onGround.length - 1)) : 0;
		return {
			swathFt: width * spacingFt,
			rate: (mean / G_PER_LB / panFt2) * FT2_PER_ACRE,
			cvPercent: mean > 0 ? (100 * deviation) / mean : 0
		};
	});
}

/** The widest swath that still spreads well; undefined where none does. */
export function bestSwath(results: readonly SwathResult[]): SwathResult | undefined {
	return results.findLast(({ cvPercent }) => cvPercent <= GOOD_CV_PERCENT);
}

/** What lies at each pan spacing of a stretch that repeats. */
function overlapped(caughtAt: (offset: number) => number, half: number, width: number, driving: Driving): number[] {
	const stretch = driving === 'around' ? width : 2 * width;
	const reach = Math.ceil((half + stretch) / width);
	return Array.from({ length: stretch }, (_, place) => {
		let sum = 0;
		for (let pass = -reach; pass <= reach; pass++) {
			const turned = driving === 'up and down' && pass % 2 !== 0;
			sum += caughtAt((turned ? -1 : 1) * (place - pass * width));
		}
		return sum;
	});
}
