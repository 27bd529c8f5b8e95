import { keysOf } from '../../check/typed-object';
import { formatNumber } from '../../units/display';
import { analyteName } from '../../ground/analyte-names';
import { isSand } from '../../ground/sand';
import { readOrganicMatter } from '../soil/organic-matter';
import type { SampledSoil } from '../soil/sampled-soil';
import { readResult, reportingLimit } from '../soil/read-result';
import type { ReportCheck } from './finding';

/**
 * DTPA ppm under which a metal is short: Lindsay and Norvell 1978, Soil Science Society of America Journal 42, from
 * memory. Zinc for corn is read a little wider in practice (0.8 to 1.0).
 */
const CRITICAL_DTPA_PPM = { Zn: 0.8, Fe: 4.5, Mn: 1.0, Cu: 0.2 } as const;
/** Organic matter, %, from which copper is asked for: peat, common practice. */
const PEAT_PERCENT = 20;
const LIMED_PH = 7;
/** Muck ties manganese up sooner: common practice. */
const LIMED_MUCK_PH = 5.8;

/** Metals under their critical level, and ground where they run short though nobody has measured them. */
export const tiedUpMetals: ReportCheck = ({ site: { soil, field } }) => {
	const short = keysOf(CRITICAL_DTPA_PPM).flatMap((metal) => {
		const ppm = readResult(soil, metal, ['dtpa']);
		if (!ppm.applies || ppm.value >= CRITICAL_DTPA_PPM[metal]) return [];
		const name = analyteName(metal);
		const limit = reportingLimit(ppm);
		if (limit !== undefined && limit > CRITICAL_DTPA_PPM[metal]) {
			return [
				{
					code: `unknown-${metal.toLowerCase()}`,
					severity: 'note' as const,
					text: `Cannot tell whether ${name} is short: the lab reports it only as below ${formatNumber(limit, 'ratio')} ppm, and the critical level is ${CRITICAL_DTPA_PPM[metal]}.`,
					remedy: 'Ask for a test with a lower limit, or test leaves.'
				}
			];
		}
		return [
			{
				code: `short-${metal.toLowerCase()}`,
				severity: 'note' as const,
				text: `${name.charAt(0).toUpperCase()}${name.slice(1)} ${formatNumber(ppm.value, 'ratio')} ppm (DTPA) is under the critical ${CRITICAL_DTPA_PPM[metal]} (Lindsay and Norvell 1978, from memory).`,
				remedy:
					metal === 'Fe'
						? 'Iron put on the soil is tied up; choose tolerant varieties, chelate in the row or feed the leaf.'
						: 'See it under Rates; where the soil ties it up, feed the leaf.'
			}
		];
	});
	const organicMatter = readOrganicMatter(soil);
	const sandy = isSand(field.textureClass);
	const peat = organicMatter.applies && organicMatter.value > PEAT_PERCENT;
	const soilPh = readResult(soil, 'pH', ['water']);
	const asked = [
		...((peat || sandy) && !measured(soil, 'Cu') ? [`copper (${peat ? 'peat' : 'sand'})`] : []),
		...(soilPh.applies &&
		((sandy && soilPh.value > LIMED_PH) || (peat && soilPh.value > LIMED_MUCK_PH)) &&
		!measured(soil, 'Mn')
			? ['manganese (limed light or peat ground)']
			: [])
	];
	if (asked.length === 0) return short;
	return [
		...short,
		{
			code: 'ask-for-metals',
			severity: 'note',
			text: `The report does not give ${asked.join(' and ')}, which runs short on such ground.`,
			remedy: 'Ask the lab for it by DTPA, or take leaf samples from a good and a bad spot.'
		}
	];
};

function measured(soil: SampledSoil, metal: 'Cu' | 'Mn'): boolean {
	return readResult(soil, metal).applies;
}
