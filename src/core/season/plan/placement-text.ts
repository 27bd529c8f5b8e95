import type { Pass } from '../../schema-types';
import { quantityIn } from '../../units/amount-text';
import { placementName } from '../../units/placement-name';
import type { UnitSystem } from '../../units/rate-units';

/** Where a pass goes and with what: "injected, 7 in deep, with nitrification inhibitor". */
export function placementText(
	{ placement, depthIn, offsetIn, additive }: Pick<Pass, 'placement' | 'depthIn' | 'offsetIn' | 'additive'>,
	units: UnitSystem
): string {
	const depth = depthIn === undefined ? '' : `, ${quantityIn(units, depthIn, 'in')} deep`;
	const offset = offsetIn === undefined ? '' : `, ${quantityIn(units, offsetIn, 'in')} off the row`;
	return `${placementName(placement)}${depth}${offset}${additive ? `, with ${additive}` : ''}`;
}
