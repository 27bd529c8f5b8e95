import { notApplicable, type Answer } from '../../figure/figure';
import type { PhScale } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { readResult } from './read-result';
import type { SoilLayer } from './soil-layers';

/** What each scale is called in a sentence. */
export const PH_SCALE_NAME: Record<PhScale, string> = { water: 'water', cacl2: 'CaCl2' };

/**
 * Soil pH on one named scale. A pH measured on the other scale, which differs by 0.5 to 1.0, is never used for it.
 * @returns does not apply where the report gives no pH on this scale
 */
export function readSoilPh(layers: readonly SoilLayer[], scale: PhScale): Answer {
	const own = readResult(layers, 'pH', [scale]);
	const other = scale === 'water' ? 'cacl2' : 'water';
	const onOther = own.applies ? own : readResult(layers, 'pH', [other]);
	if (own.applies || !onOther.applies) return own;
	return notApplicable(
		own.label,
		`the report gives pH ${formatNumber(onOther.value, 'pH')} in ${PH_SCALE_NAME[other]}, and this is calibrated on pH in ${PH_SCALE_NAME[scale]}; the two scales are never mixed`,
		`Ask the lab for pH in ${PH_SCALE_NAME[scale]}.`
	);
}

/** The scale the report is on: water where it gives both or neither. */
export function reportedScale(layers: readonly SoilLayer[]): PhScale {
	const water = readResult(layers, 'pH', ['water']);
	return !water.applies && readResult(layers, 'pH', ['cacl2']).applies ? 'cacl2' : 'water';
}
