import { formatNumber } from '../../../units/display';
import { PH_SCALE_NAME, readSoilPh } from '../../soil/ph-scale';
import { isOrganicSoil } from '../../soil/organic-matter';
import type { Finding, ReportCheck } from '../finding';

/** Where the crop's band is on the other scale, or not known: pH below this is too low for most, by scale; common practice. */
const LOW_FOR_MOST = { water: 5.8, cacl2: 5.5 } as const;

/** Organic soil below this pH in water calls for lime: tri-state bulletin E-2567 (1995), from memory. */
const LOW_FOR_ORGANIC = 5.3;

function organicLow(soilPh: number): Finding[] {
	if (soilPh >= LOW_FOR_ORGANIC) return [];
	const text = `pH ${formatNumber(soilPh, 'pH')}: organic soil does best at 5.2 to 5.5.`;
	return [{ code: 'ph-low', severity: 'mind', text, remedy: 'See lime under Rates.' }];
}

/** pH first: nothing else pays while it is too low for the crop. Never compared across the scales. */
export const phLow: ReportCheck = ({ site: { soil, crop } }) => {
	const band = crop.preferredPh;
	const name = crop.name.toLowerCase();
	for (const scale of ['water', 'cacl2'] as const) {
		const soilPh = readSoilPh(soil, scale);
		if (!soilPh.applies) continue;
		const own = band?.scale === scale ? band : undefined;
		if (isOrganicSoil(soil) && scale === 'water') return organicLow(soilPh.value);
		if (soilPh.value >= (own?.low ?? LOW_FOR_MOST[scale])) return [];
		const reads = `pH ${formatNumber(soilPh.value, 'pH')}${scale === 'water' ? '' : ` in ${PH_SCALE_NAME[scale]}`}`;
		const text = own
			? `${reads}: ${name} wants ${own.low} to ${own.high}.`
			: `${reads} is low for most crops; lime is called for below ${LOW_FOR_MOST[scale]}.`;
		return [
			{ code: 'ph-low', severity: 'mind', text, remedy: 'See lime under Rates before paying for other nutrients.' }
		];
	}
	return [];
};
