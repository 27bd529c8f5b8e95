import { formatNumber } from '../../../units/display';
import { readSoilPh } from '../../soil/ph-scale';
import { highestTarget } from '../../target-ph';
import type { ReportCheck } from '../finding';

/** A target above what the crop can use limes past it, on either scale. */
export const targetAboveBand: ReportCheck = ({ site: { targetPh, targetPhScale = 'water', crop, soil } }) => {
	const most = highestTarget(crop, targetPhScale);
	if (targetPh === undefined || targetPh <= most) return [];
	const soilPh = readSoilPh(soil, targetPhScale);
	if (soilPh.applies && soilPh.value >= targetPh) return [];
	return [
		{
			code: 'target-above-band',
			severity: 'mind',
			text: `The target pH ${formatNumber(targetPh, 'pH')} is above ${formatNumber(most, 'pH')}, the most for ${crop.name.toLowerCase()}: over-liming ties up zinc, iron and manganese.`,
			remedy: `Set a target of ${formatNumber(most, 'pH')} or less.`
		}
	];
};
