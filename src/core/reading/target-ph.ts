import { figure, notApplicable, type Answer } from '../figure/figure';
import type { Site } from './site';

/** The pH (water) to aim for: the adviser's, else the crop's; does not apply where neither is known. */
export function siteTargetPh({ targetPh, crop }: Site): Answer {
	const label = 'target pH';
	if (targetPh !== undefined) return figure({ label, value: targetPh, unit: 'pH', basis: 'adviser' });
	const band = crop.preferredPh;
	if (!band)
		return notApplicable(
			label,
			`no target pH is known for ${crop.name.toLowerCase()}`,
			'Set a target pH for the field.'
		);
	return figure({ label, value: band.target, unit: 'pH', basis: band.basis, citation: band.citation });
}
