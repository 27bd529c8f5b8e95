import type { Pass } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { placementName } from '../../units/placement-name';

/** Where a pass goes and with what: "injected, 7 in deep, with nitrification inhibitor". */
export function placementText({
	placement,
	depthIn,
	offsetIn,
	additive
}: Pick<Pass, 'placement' | 'depthIn' | 'offsetIn' | 'additive'>): string {
	const depth = depthIn === undefined ? '' : `, ${formatNumber(depthIn, 'in')} in deep`;
	const offset = offsetIn === undefined ? '' : `, ${formatNumber(offsetIn, 'in')} in off the row`;
	return `${placementName(placement)}${depth}${offset}${additive ? `, with ${additive}` : ''}`;
}
