import { notApplicable, type Answer } from '../../figure/figure';
import type { PhScale } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { readResult } from './read-result';
import type { SampledSoil } from './sampled-soil';

/** What each scale is called in a sentence. */
export const PH_SCALE_NAME: Record<PhScale, string> = { water: 'water', cacl2: 'CaCl2' };

/**
 * Soil pH on one named scale. A pH measured on the other scale, which differs by 0.5 to 1.0, is never used for it.
 * @returns does not apply where the report gives no pH on this scale
 */
export function readSoilPh(soil: SampledSoil, scale: PhScale): Answer {
	const own = readResult(soil, 'pH', [scale]);
	const other = scale === 'water' ? 'cacl2' : 'water';
	const onOther = own.applies ? own : readResult(soil, 'pH', [other]);
	if (own.applies || !onOther.applies) return own;
	return notApplicable(
		own.label,
		`the report gives pH ${formatNumber(onOther.value, 'pH')} in ${PH_SCALE_NAME[other]}, and this is calibrated on pH in ${PH_SCALE_NAME[scale]}; the two scales are never mixed`,
		`Ask the lab for pH in ${PH_SCALE_NAME[scale]}.`,
		`pH in ${PH_SCALE_NAME[scale]}`
	);
}

/** The scale the report is on: water where it gives both or neither. */
export function reportedScale(soil: SampledSoil): PhScale {
	const water = readResult(soil, 'pH', ['water']);
	return !water.applies && readResult(soil, 'pH', ['cacl2']).applies ? 'cacl2' : 'water';
}
