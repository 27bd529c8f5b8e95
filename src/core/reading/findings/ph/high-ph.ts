import { SALTY_EC, SODIUM_PERCENT } from '../../high-ph/limits';
import { FREE_LIME_PH } from '../../soil/free-lime';
import { valueIfKnown } from '../../../figure/figure';
import { formatNumber } from '../../../units/display';
import { baseSaturation } from '../../soil/cec';
import { readOrganicMatter } from '../../soil/organic-matter';
import { readResult } from '../../soil/read-result';
import type { ReportCheck } from '../finding';

/** % organic matter below which carbonate at the surface speaks of lost topsoil; calcareous prairie has more: judgement. */
const THIN_TOPSOIL_PERCENT = 1.5;

/** High pH is a diagnosis, not a lime line: drainage, lost topsoil, or a soil to be managed around. */
export const highPh: ReportCheck = ({ site: { soil, crop }, cec }) => {
	const soilPh = readResult(soil, 'pH', ['water']);
	if (!soilPh.applies || soilPh.value <= Math.max(crop.preferredPh?.high ?? 0, FREE_LIME_PH)) return [];
	const reads = `pH ${formatNumber(soilPh.value, 'pH')} is high`;
	const salinity = valueIfKnown(readResult(soil, 'EC'));
	const sodium = baseSaturation(soil, cec).Na?.value;
	const signs = [
		salinity !== undefined && salinity > SALTY_EC ? `EC ${formatNumber(salinity, 'dS/m')} dS/m` : '',
		sodium !== undefined && sodium > SODIUM_PERCENT ? `sodium ${formatNumber(sodium, '%')} % of CEC` : ''
	].filter(Boolean);
	if (signs.length > 0) {
		return [
			{
				code: 'high-ph-drainage',
				severity: 'mind',
				text: `${reads}, with ${signs.join(' and ')}: salts and poor drainage.`,
				remedy:
					'Drain it first; then gypsum where sodium is high, and water to leach. No acidifying product pays before that.'
			}
		];
	}
	const carbonate = valueIfKnown(readResult(soil, 'carbonate'));
	const organicMatter = valueIfKnown(readOrganicMatter(soil));
	if (carbonate && organicMatter !== undefined && organicMatter < THIN_TOPSOIL_PERCENT) {
		return [
			{
				code: 'high-ph-lost-topsoil',
				severity: 'mind',
				text: `${reads}, with ${formatNumber(carbonate, '%')} % carbonate at the surface and only ${formatNumber(organicMatter, '%')} % organic matter: the topsoil is lost.`,
				remedy:
					'Rebuild it with manure, cover crops and less tillage; until then band phosphorus and feed zinc and iron to the leaf.'
			}
		];
	}
	const unknown = [
		...(salinity === undefined ? ['EC'] : []),
		...(sodium === undefined ? ['sodium'] : []),
		...(carbonate === undefined ? ['carbonate'] : [])
	];
	const ask = unknown.length > 0 ? ` To be surer, ask the lab for ${unknown.join(', ')}.` : '';
	return [
		{
			code: 'high-ph-manage',
			severity: 'note',
			text: `${reads}, and neither salts nor lost topsoil show in the report: manage around it.`,
			remedy: `Band phosphorus, use chelated or leaf-fed iron and zinc, choose tolerant varieties.${ask}`
		}
	];
};
