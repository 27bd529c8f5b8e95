import { withCaution, type Answer } from '../../figure/figure';
import { formatNumber } from '../../units/display';

/** One application of a lime rate that goes on in more than one season. */
export interface LimeApplication {
	/** 0 this season, 1 the next ... */
	season: number;
	/** Short tons of product per acre. */
	rate: number;
}

/** Short tons of product per acre: at most this on the surface each time; above the other, over two seasons. Practice. */
const MOST_ON_SURFACE = 2;
const MOST_AT_ONCE = 4;

/**
 * A lime rate in applications: on the surface at most 2 short tons of product each season, repeated; worked in, over
 * two seasons above 4. Common practice.
 */
export function limeApplications(
	rate: number,
	placement: 'incorporated' | 'surface'
): { applications: LimeApplication[]; why: string } {
	const count =
		placement === 'surface'
			? Math.ceil(rate / MOST_ON_SURFACE - 1e-9)
			: rate > MOST_AT_ONCE
				? 2
				: Math.min(1, Math.ceil(rate));
	const applications = Array.from({ length: Math.max(0, count) }, (_, season) => ({ season, rate: rate / count }));
	return { applications, why: whyText(rate, placement, count) };
}

/** A lime rate with a caution where it is more than goes on at once, so that every door says so. */
export function cautionAtOnce(rate: Answer, placement: 'incorporated' | 'surface'): Answer {
	if (!rate.applies) return rate;
	const { applications, why } = limeApplications(rate.value, placement);
	return applications.length > 1 ? withCaution(rate, why) : rate;
}

function whyText(rate: number, placement: 'incorporated' | 'surface', count: number): string {
	const total = `${formatNumber(rate, 'short ton/ac')} short tons`;
	if (count <= 1) {
		return placement === 'surface'
			? 'On the surface it works down slowly; test again after two years.'
			: 'Work it in 4 to 8 in deep, three to six months ahead of planting. Test again after two years.';
	}
	return placement === 'surface'
		? `${total} on the surface go on in ${count} seasons: at most ${MOST_ON_SURFACE} short tons each time.`
		: `${total} go on in two seasons: more than ${MOST_AT_ONCE} at once does not mix.`;
}
