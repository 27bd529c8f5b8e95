import { figure, notApplicable, type Answer } from '../figure/figure';
import type { PhScale } from '../schema-types';
import { formatNumber } from '../units/display';
import { PH_SCALE_NAME } from './ph-scale';
import type { Site } from './site';

/**
 * The pH to aim for on a scale: the adviser's, else the crop's; never above the top of the crop's band, because
 * liming past it ties up zinc, iron and manganese.
 * @returns does not apply where no target on this scale is known, or the adviser's lies above the crop's cap
 */
export function siteTargetPh({ targetPh, targetPhScale = 'water', crop }: Site, scale: PhScale): Answer {
	const label = 'target pH';
	const band = crop.preferredPh?.scale === scale ? crop.preferredPh : undefined;
	const name = crop.name.toLowerCase();
	if (targetPh !== undefined && targetPhScale === scale) {
		if (band && targetPh > band.high) {
			return notApplicable(
				label,
				`the target of ${formatNumber(targetPh, 'pH')} is above ${formatNumber(band.high, 'pH')}, the most for ${name}: liming past it ties up zinc, iron and manganese`,
				`Set a target of ${formatNumber(band.high, 'pH')} or less, or write your own rate with the reason.`
			);
		}
		return figure({ label, value: targetPh, unit: 'pH', basis: 'adviser' });
	}
	if (!band) {
		return notApplicable(
			label,
			`no target pH in ${PH_SCALE_NAME[scale]} is known for ${name}`,
			`Set a target pH in ${PH_SCALE_NAME[scale]} for the field.`
		);
	}
	return figure({ label, value: band.target, unit: 'pH', basis: band.basis, citation: band.citation });
}
