import type { Pass } from '../schema-types';
import { formatNumber } from '../units/display';

/** Where a pass goes and with what: "injected, 7 in deep, with nitrification inhibitor". */
export function placementText({
	placement,
	depthIn,
	additive
}: Pick<Pass, 'placement' | 'depthIn' | 'additive'>): string {
	const depth = depthIn === undefined ? '' : `, ${formatNumber(depthIn, 'in')} in deep`;
	return `${placement}${depth}${additive ? `, with ${additive}` : ''}`;
}
