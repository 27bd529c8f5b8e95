import { readResult } from '../read-result';
import type { ReportCheck } from './finding';

/** pH in CaCl2 is another scale than pH in water, 0.5 to 1.0 lower; one is never held against a target of the other. */
export const phOtherScale: ReportCheck = ({ site: { layers } }) => {
	const water = readResult(layers, 'pH', ['water']);
	const calciumChloride = readResult(layers, 'pH', ['cacl2']);
	if (water.applies || !calciumChloride.applies) return [];
	return [
		{
			code: 'ph-other-scale',
			severity: 'mind',
			text: 'The report gives pH in CaCl2 only, and the guides in use read pH in water: neither the band of the crop nor lime can be judged by them.',
			remedy: 'Ask the lab for pH in water as well.'
		}
	];
};
