import { figure, notApplicable, type Answer } from '../figure/figure';
import type { PhScale } from '../schema-types';
import { formatNumber } from '../units/display';
import { PH_SCALE_NAME } from './soil/ph-scale';
import type { Site } from './site';

/**
 * The pH to aim for on a scale: the adviser's, else the crop's; never above the top of the crop's band, because
 * liming past it ties up zinc, iron and manganese.
 * @returns does not apply where no target on this scale is known, or the adviser's lies above the crop's cap
 */
export function siteTargetPh({ targetPh, targetPhScale = 'water', crop }: Site, scale: PhScale): Answer {
	const label = 'target pH';
	const band = crop.preferredPh?.scale === scale ? crop.preferredPh : undefined;
	const most = highestTarget(crop, scale);
	const name = crop.name.toLowerCase();
	if (targetPh !== undefined && targetPhScale === scale) {
		if (targetPh > most) {
			return notApplicable(
				label,
				`the target of ${formatNumber(targetPh, 'pH')} is above ${formatNumber(most, 'pH')}, the most for ${name}: liming past it ties up zinc, iron and manganese`,
				`Set a target of ${formatNumber(most, 'pH')} or less, or write your own rate with the reason.`
			);
		}
		return figure({ label, value: targetPh, unit: 'pH', basis: 'adviser' });
	}
	if (!band) {
		return notApplicable(
			label,
			`no target pH in ${PH_SCALE_NAME[scale]} is known for ${name}`,
			`Set a target pH in ${PH_SCALE_NAME[scale]} for the field.`,
			`a target pH in ${PH_SCALE_NAME[scale]}`
		);
	}
	return figure({ label, value: band.target, unit: 'pH', basis: band.basis, citation: band.citation });
}

/** No crop is limed past these where its own band is not known: common practice. */
const HIGHEST = { water: 7, cacl2: 6.5 } as const;
/** pH in CaCl2 reads lower than in water by this at least; used only as the bound of a target, never to convert. Common practice. */
const LEAST_BELOW_WATER = 0.5;

/** The highest pH that liming may aim for on a scale: the top of the crop's band, on the other scale by the least they differ. */
export function highestTarget({ preferredPh: band }: Site['crop'], scale: PhScale): number {
	if (!band) return HIGHEST[scale];
	if (band.scale === scale) return band.high;
	return scale === 'cacl2' ? band.high - LEAST_BELOW_WATER : band.high + 2 * LEAST_BELOW_WATER;
}
