import { formatNumber } from '../../units/display';
import { isOrganicSoil, readOrganicMatter } from '../soil/organic-matter';
import { readSoilPh } from '../soil/ph-scale';
import type { ReportCheck } from './finding';

/** Manganese and copper run short on organic soil above this pH in water: common practice. */
const METALS_SHORT_ABOVE = 5.8;

/** Peat and muck: what holds there instead of the rules of mineral soils. */
export const organicSoil: ReportCheck = ({ site: { soil } }) => {
	const matter = readOrganicMatter(soil);
	if (!matter.applies || !isOrganicSoil(soil)) return [];
	const soilPh = readSoilPh(soil, 'water');
	const short = soilPh.applies && soilPh.value > METALS_SHORT_ABOVE;
	return [
		{
			code: 'organic-soil',
			severity: 'mind',
			text: `This is an organic soil (organic matter ${formatNumber(matter.value, '%')} %). The soil itself supplies much nitrogen: crops on deep muck often need little.`,
			remedy: 'Take a nitrate test in the crop. Lime only below pH 5.3, to 5.2 to 5.5.'
		},
		...(short
			? [
					{
						code: 'organic-soil-metals',
						severity: 'mind' as const,
						text: `Manganese and copper run short on organic soil at pH ${formatNumber(soilPh.value, 'pH')}, whatever the soil test says.`,
						remedy: 'Apply no lime. Test leaves for Mn and Cu, and band or spray what is short.'
					}
				]
			: [])
	];
};
