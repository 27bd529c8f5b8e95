import { quantityIn } from '../../units/amount-text';
import { formatNumber } from '../../units/display';
import type { UnitSystem } from '../../units/rate-units';
import type { Pass } from '../../schema-types';

/**
 * The ground that a pass goes on, in words: "on 38 ac", or "on 48 % of the field" where its area is not known.
 * @returns undefined for the whole field
 */
export function partText(
	{ share }: Pick<Pass, 'share'>,
	areaAcres: number | undefined,
	units: UnitSystem
): string | undefined {
	if (share === undefined) return undefined;
	if (areaAcres === undefined) return `on ${formatNumber(100 * share, '%')} % of the field`;
	return `on ${quantityIn(units, share * areaAcres, 'ac')}`;
}
