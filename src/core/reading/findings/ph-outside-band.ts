import { formatNumber } from '../../units/display';
import { readResult } from '../read-result';
import type { ReportCheck } from './finding';

/** Above this pH (water) free lime is likely, and high pH becomes a diagnosis: common practice. */
const FREE_LIME_PH = 7.3;

/** pH first: nothing else pays while it is wrong for the crop. */
export const phOutsideBand: ReportCheck = ({ site: { layers, crop } }) => {
	const soilPh = readResult(layers, 'pH', ['water']);
	const band = crop.preferredPh;
	if (!soilPh.applies || !band) return [];
	const reads = `pH ${formatNumber(soilPh.value, 'pH')}`;
	const wants = `${crop.name.toLowerCase()} wants ${band.low} to ${band.high}`;
	if (soilPh.value < band.low) {
		return [
			{
				code: 'ph-low',
				severity: 'mind',
				text: `${reads}: ${wants}.`,
				remedy: 'See lime under Rates before paying for other nutrients.'
			}
		];
	}
	if (soilPh.value <= Math.max(band.high, FREE_LIME_PH)) return [];
	return [
		{
			code: 'ph-high',
			severity: 'note',
			text: `${reads}: ${wants}. High pH is a diagnosis, not a lime line: salts and poor drainage, or lost topsoil, or free lime.`,
			remedy:
				'Drain salty ground; rebuild lost topsoil with manure and cover crops; else manage around it: band phosphorus, feed iron and zinc to the leaf.'
		}
	];
};
