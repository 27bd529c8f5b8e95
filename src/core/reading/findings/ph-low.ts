import { formatNumber } from '../../units/display';
import { PH_SCALE_NAME, readSoilPh } from '../ph-scale';
import type { ReportCheck } from './finding';

/** pH first: nothing else pays while it is too low for the crop. Compared on the band's own scale only. */
export const phLow: ReportCheck = ({ site: { layers, crop } }) => {
	const band = crop.preferredPh;
	if (!band) return [];
	const soilPh = readSoilPh(layers, band.scale);
	if (!soilPh.applies || soilPh.value >= band.low) return [];
	const scale = band.scale === 'water' ? '' : ` in ${PH_SCALE_NAME[band.scale]}`;
	return [
		{
			code: 'ph-low',
			severity: 'mind',
			text: `pH ${formatNumber(soilPh.value, 'pH')}${scale}: ${crop.name.toLowerCase()} wants ${band.low} to ${band.high}.`,
			remedy: 'See lime under Rates before paying for other nutrients.'
		}
	];
};
