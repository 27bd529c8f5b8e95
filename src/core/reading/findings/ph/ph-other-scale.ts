import { readResult } from '../../soil/read-result';
import type { ReportCheck } from '../finding';

/** pH in CaCl2 is another scale than pH in water, 0.5 to 1.0 lower; one is never held against a target of the other. */
export const phOtherScale: ReportCheck = ({ site: { soil } }) => {
	const water = readResult(soil, 'pH', ['water']);
	const calciumChloride = readResult(soil, 'pH', ['cacl2']);
	if (water.applies || !calciumChloride.applies) return [];
	return [
		{
			code: 'ph-other-scale',
			severity: 'note',
			text: 'The report gives pH in CaCl2 only. Guides that read pH in water, and the band of the crop, say nothing about it; the acid-soil guide on the CaCl2 scale does.',
			remedy: 'For the other guides ask the lab for pH in water as well.'
		}
	];
};
