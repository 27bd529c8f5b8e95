import { formatNumber } from '../../units/display';
import { readSoilPh } from '../ph-scale';
import type { ReportCheck } from './finding';

/** A target above the crop's band limes past what the crop can use. */
export const targetAboveBand: ReportCheck = ({ site: { targetPh, targetPhScale = 'water', crop, layers } }) => {
	const band = crop.preferredPh;
	if (targetPh === undefined || !band || band.scale !== targetPhScale || targetPh <= band.high) return [];
	const soilPh = readSoilPh(layers, band.scale);
	if (soilPh.applies && soilPh.value >= targetPh) return [];
	return [
		{
			code: 'target-above-band',
			severity: 'mind',
			text: `The target pH ${formatNumber(targetPh, 'pH')} is above ${formatNumber(band.high, 'pH')}, the most for ${crop.name.toLowerCase()}: over-liming ties up zinc, iron and manganese.`,
			remedy: `Set a target of ${formatNumber(band.high, 'pH')} or less.`
		}
	];
};
