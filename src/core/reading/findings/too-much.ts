import { analyteName } from '../../ground/analyte-names';
import { tooMuchInLeaves, tooMuchOf } from '../../ground/possible-range';
import { entriesOf } from '../../check/typed-object';
import { longDate } from '../../units/day-text';
import { formatNumber } from '../../units/display';
import { canonicalUnit } from '../../units/result-units';
import { toleranceOf } from '../../water/salt';
import { readResult } from '../soil/read-result';
import type { Finding, ReportCheck } from './finding';

const METALS_AND_BORON = ['B', 'Cu', 'Zn', 'Mn'] as const;
/** A paste that is saturated holds about twice the salt of one part soil in one of water, on medium soil: common practice. */
const EXTRACT_PER_ONE_TO_ONE = 2;

/** Soil tests so high that they do harm; common practice. */
export const tooMuchInSoil: ReportCheck = ({ site: { soil, crop } }) =>
	METALS_AND_BORON.flatMap((analyte): Finding[] => {
		const soilPh = readResult(soil, 'pH', ['water']);
		for (const { method, above, belowPh, crops, says } of tooMuchOf(analyte)) {
			const found = method === undefined ? readResult(soil, analyte) : readResult(soil, analyte, [method]);
			const acid = belowPh === undefined || (soilPh.applies && soilPh.value < belowPh);
			if (!found.applies || found.value <= above || !acid || (crops && !crops.includes(crop.id))) continue;
			const [value, limit] = [found.value, above].map((ppm) => formatNumber(ppm, 'ppm'));
			const name = capital(analyteName(analyte));
			const [what = '', ...remedy] = says.split(/(?<=\.) /);
			return [
				{
					code: `too-much-${analyte.toLowerCase()}`,
					severity: 'mind',
					text: `${name} ${value} ${canonicalUnit(analyte)}, above ${limit}, ${what}`,
					remedy: remedy.join(' ')
				}
			];
		}
		return [];
	});

/** Salt that costs this crop yield, as a saturation extract and as one part soil in one of water: labs report both. */
export const salinity: ReportCheck = ({ site: { soil, crop }, waterLimits }) => {
	const found = readResult(soil, 'EC');
	const tolerance = waterLimits && toleranceOf(crop, waterLimits);
	if (!found.applies || !tolerance) return [];
	const { thresholdDsM, slopePercent, citation } = tolerance;
	const lost = (ece: number) => Math.min(100, Math.max(0, (ece - thresholdDsM) * slopePercent));
	const [extract, oneToOne] = [lost(found.value), lost(found.value * EXTRACT_PER_ONE_TO_ONE)];
	if (oneToOne < 1) return [];
	const say = (percent: number) => (percent < 1 ? 'nothing' : `about ${Math.round(percent)} % of the yield`);
	return [
		{
			code: 'salinity',
			severity: 'mind',
			text: `EC ${formatNumber(found.value, 'dS/m')} dS/m costs ${crop.name.toLowerCase()} ${say(extract)} if the lab measured a saturation extract, ${say(oneToOne)} if it measured one part soil in one of water (loss starts at ${thresholdDsM} dS/m in the extract; ${citation ?? 'common practice'}).`,
			remedy: 'Ask the lab for its method. Drain first, then leach with good water; more fertilizer adds to the salt.'
		}
	];
};

/** Leaves with more boron or metal than a crop takes up by itself; common practice. */
export const tooMuchInLeavesCheck: ReportCheck = ({ site: { blockYear } }) => {
	const { leaf } = blockYear;
	if (!leaf) return [];
	const taken = leaf.takenOn === undefined ? '' : ` of ${longDate(leaf.takenOn)}`;
	return entriesOf(leaf).flatMap(([element, value]): Finding[] => {
		const most = METALS_AND_BORON.find((one) => one === element);
		const limit = most && tooMuchInLeaves(most);
		if (limit === undefined || typeof value !== 'number' || value <= limit) return [];
		return [
			{
				code: `leaf-too-much-${element.toLowerCase()}`,
				severity: 'mind',
				text: `Leaf ${element}${taken} is ${formatNumber(value, 'ppm')} ppm, more than ${limit}: far too much, or spray that still lay on the leaves.`,
				remedy: `Wash the next leaves before you send them. Put no more ${element} on until you know.`
			}
		];
	});
};

function capital(name: string): string {
	return name.charAt(0).toUpperCase() + name.slice(1);
}
