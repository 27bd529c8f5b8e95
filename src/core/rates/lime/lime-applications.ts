import type { UnitSystem } from '../../units/rate-units';
import { quantityIn } from '../../units/amount-text';
import { withCaution, type Answer } from '../../figure/figure';

/** One application of a lime rate that goes on in more than one season. */
export interface LimeApplication {
	/** 0 this season, 1 the next ... */
	season: number;
	/** Short tons of product per acre. */
	rate: number;
}

/** Short tons of product per acre at one time: common practice. */
const MOST_AT_ONCE = { surface: 2, incorporated: 4 } as const;
/** How fast lime works down from the surface: common practice. */
const MOVES_DOWN_IN = 0.5;
/** How deep lime is worked in; common practice. */
const WORKED_IN = [4, 8] as const;

/**
 * A lime rate in as many seasons as it takes: at most 2 short tons of product at one time on the surface, 4 worked in. Common practice.
 */
export function limeApplications(
	rate: number,
	placement: 'incorporated' | 'surface',
	units: UnitSystem
): { applications: LimeApplication[]; why: string } {
	const count = Math.ceil(rate / MOST_AT_ONCE[placement] - 1e-9);
	const applications = Array.from({ length: Math.max(0, count) }, (_, season) => ({ season, rate: rate / count }));
	return { applications, why: whyText(rate, placement, count, units) };
}

/** A lime rate with a caution where it is more than goes on at once, so that every door says so. */
export function cautionAtOnce(rate: Answer, placement: 'incorporated' | 'surface', units: UnitSystem): Answer {
	if (!rate.applies) return rate;
	const { applications, why } = limeApplications(rate.value, placement, units);
	return applications.length > 1 || (placement === 'surface' && rate.value > 0) ? withCaution(rate, why) : rate;
}

function whyText(rate: number, placement: 'incorporated' | 'surface', count: number, units: UnitSystem): string {
	const movesDown = `Lime moves down about ${quantityIn(units, MOVES_DOWN_IN, 'in')} a year on medium soil, faster on sand.`;
	const workIn = `Work it in ${quantityIn(units, WORKED_IN, 'in')} deep, three to six months ahead of planting.`;
	const once = placement === 'surface' ? movesDown : workIn;
	if (count <= 1) return `${once} Test again after two years.`;
	const total = quantityIn(units, rate, 'short ton/ac');
	const most = quantityIn(units, MOST_AT_ONCE[placement], 'short ton/ac');
	return placement === 'surface'
		? `${total} on the surface go on in ${count} seasons: at most ${most} each time. ${movesDown}`
		: `${total} go on in ${count} seasons: more than ${most} at once does not mix. Test again before each.`;
}
