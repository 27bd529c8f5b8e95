import type { CalibrateRequest, CalibrationFit, LeafElement, LeafRanges } from '../../schema-types';
import { leafUnit } from '../../units/leaf-units';
import { citationOfSites, roundedCritical } from './citation-of-sites';

/**
 * Leaf ranges of the adviser's own with the critical value of one element from sites as its lower end. All else stays as it
 * stands in the ranges they are made from; an upper end that is no longer above the lower one goes.
 * @param criticalValue % of dry matter, ppm for boron and the metals
 */
export function calibratedRanges(
	{ criticalP, ranges, citation, ...from }: LeafRanges,
	element: LeafElement,
	{ model, interval }: Pick<CalibrationFit, 'model' | 'interval'>,
	criticalValue: number,
	sites: CalibrateRequest['observations']
): LeafRanges {
	const low = roundedCritical(criticalValue);
	const high = ranges[element]?.high;
	const own = `${element}: ${citationOfSites(sites, model, low, interval, leafUnit(element))}`;
	return {
		...from,
		// Phosphorus by own sites does not go by nitrogen.
		...(criticalP && element !== 'P' ? { criticalP } : {}),
		ranges: { ...ranges, [element]: { low, ...(high !== undefined && high > low ? { high } : {}) } },
		basis: 'adviser',
		citation: citation ? `${own} All else: ${citation}` : own
	};
}
