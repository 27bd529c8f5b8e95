import { readInLayer } from '../read-result';
import type { ReportCheck } from './finding';

/** ppm above which a value was more likely in other units: common practice. */
const LIKELY_MOST_PPM = { P: 300, K: 2000 } as const;

/** A soil test so high that it was probably written in other units. */
export const unitSlip: ReportCheck = ({ site: { layers } }) =>
	layers.flatMap((layer) =>
		(['P', 'K'] as const).flatMap((analyte) => {
			const ppm = readInLayer(layer, analyte);
			if (!ppm.applies || ppm.value <= LIKELY_MOST_PPM[analyte]) return [];
			return [
				{
					code: 'unit-slip',
					severity: 'mind' as const,
					text: `${analyte} of ${Math.round(ppm.value)} ppm in ${layer.depthText} is above ${LIKELY_MOST_PPM[analyte]}; was it in lb/ac?`,
					remedy: 'Check the unit on the report and correct the sample.'
				}
			];
		})
	);
