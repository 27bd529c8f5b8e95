import { formatNumber } from '../../../units/display';
import { readResult } from '../../soil/read-result';
import { isOrganicSoil } from '../../soil/organic-matter';
import { siteTargetPh } from '../../target-ph';
import type { ReportCheck } from '../finding';

/** Soil pH says whether to lime; only the buffer pH says how much. */
export const missingBufferPh: ReportCheck = ({ site }) => {
	const soilPh = readResult(site.soil, 'pH', ['water']);
	const bufferPh = readResult(site.soil, 'bufferPh');
	const target = siteTargetPh(site, 'water');
	if (
		isOrganicSoil(site.soil) ||
		bufferPh.applies ||
		!soilPh.applies ||
		!target.applies ||
		soilPh.value >= target.value
	)
		return [];
	return [
		{
			code: 'no-buffer-ph',
			severity: 'mind',
			text: `Soil pH ${formatNumber(soilPh.value, 'pH')} is under the target of ${formatNumber(target.value, 'pH')}, and the report gives no buffer pH to size the lime by.`,
			remedy: 'Ask the lab for buffer pH (SMP or Sikora) on the kept sample.'
		}
	];
};
