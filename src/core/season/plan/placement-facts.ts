import type { Pass, Placement } from '../../schema-types';
import type { Lies } from '../model/dressing';

/** What a placement means for the nitrogen in it. */
interface PlacementFacts {
	lies: Lies;
	/** Depth where the pass does not say, in. */
	depthIn: number;
	/** Inches from the row, where the pass gives no offset and it is not at the row. */
	offsetIn?: number;
	/** Midway between two rows, where the pass gives no offset. */
	betweenRows?: true;
	/** Rain or frost find it on top of the ground. */
	onSurface?: true;
}

/** How each placement lies; common practice. */
const FACTS: Record<Placement, PlacementFacts> = {
	broadcast: { lies: 'surface', depthIn: 0, onSurface: true },
	'top-dress': { lies: 'surface', depthIn: 0, onSurface: true },
	'row-base stream': { lies: 'surface band', depthIn: 0, onSurface: true },
	incorporated: { lies: 'mixed in', depthIn: 3 },
	'seed row': { lies: 'band', depthIn: 1.5 },
	'2x2 band': { lies: 'band', depthIn: 3.5, offsetIn: 2 },
	'side band': { lies: 'band', depthIn: 3, offsetIn: 2 },
	'mid-row band': { lies: 'band', depthIn: 4, betweenRows: true },
	'deep strip band': { lies: 'band', depthIn: 6 },
	'coulter mid-row': { lies: 'band', depthIn: 4, betweenRows: true },
	injected: { lies: 'band', depthIn: 5, betweenRows: true },
	leaf: { lies: 'surface', depthIn: 0 },
	drip: { lies: 'mixed in', depthIn: 4 },
	pivot: { lies: 'mixed in', depthIn: 2 }
};
/** Ammonia goes deeper than other banded products, in; common practice. */
const AMMONIA_DEPTH_IN = 7;

export function liesOf({ placement }: Pick<Pass, 'placement'>): Lies {
	return FACTS[placement].lies;
}

/** Inches under the surface: the pass's own depth, else the usual one of its placement. */
export function depthOf({ placement, depthIn }: Pick<Pass, 'placement' | 'depthIn'>, ammonia = false): number {
	return depthIn ?? (ammonia ? AMMONIA_DEPTH_IN : FACTS[placement].depthIn);
}

export function isOnSurface({ placement }: Pick<Pass, 'placement'>): boolean {
	return FACTS[placement].onSurface === true;
}

/** Inches from the row: the pass's own offset, half the spacing for a band between the rows, else at the row. */
export function offsetOf({ placement, offsetIn }: Pick<Pass, 'placement' | 'offsetIn'>, rowSpacingIn: number): number {
	return offsetIn ?? FACTS[placement].offsetIn ?? (FACTS[placement].betweenRows ? rowSpacingIn / 2 : 0);
}

/** Seed of row crops lies so deep, in: common practice. */
const SEED_DEPTH_IN = 1.5;
/** Within this of the seed a band's salt and ammonia reach it, in: common practice. */
const NEAR_SEED_IN = 3;

/** Whether a band lies so near the seed that its salt and ammonia reach it; what is in the seed row itself is told apart. */
export function isNearSeed(
	pass: Pick<Pass, 'placement' | 'depthIn' | 'offsetIn'>,
	rowSpacingIn: number,
	ammonia = false
): boolean {
	if (pass.placement === 'seed row' || liesOf(pass) !== 'band') return false;
	return Math.hypot(offsetOf(pass, rowSpacingIn), depthOf(pass, ammonia) - SEED_DEPTH_IN) <= NEAR_SEED_IN;
}

/** Whether a pass goes on through drip lines or a pivot. */
export function goesWithTheWater({ placement }: Pick<Pass, 'placement'>): boolean {
	return placement === 'drip' || placement === 'pivot';
}
