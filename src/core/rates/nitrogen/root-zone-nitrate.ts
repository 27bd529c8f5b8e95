import { massBalanceWithPrices } from './mass-balance-with-prices';
import { knownParameters } from '../../packs/parameters-of';
import { figure, notApplicable, type Answer } from '../../figure/figure';
import type { CompiledRule } from '../../packs/pack';
import type { Site } from '../../reading/site';
import { depthText } from '../../units/length-text';
import { DEPTH_SLACK_IN, measuredOnlyTo, poundsByLayer, takeNitrate } from '../../reading/soil/soil-pounds';
import { spentAnswer } from '../../reading/soil/read-result';
import { LB_AC_PER_PPM_INCH } from '../../units/factors';

/** As deep as roots of a field crop are sampled. */
const DEEPEST_IN = 48;

/**
 * Mean nitrate-N of the root zone, ppm, each layer weighing by its thickness.
 * @returns does not apply where nitrate is not known down to the depth that the guide asks for
 */
export function readRootZoneNitrate({ soil, crop }: Site, compiled: CompiledRule): Answer {
	const { leastNitrateDepthIn } = knownParameters(massBalanceWithPrices, compiled, crop.id);
	const { parts, reachedIn } = poundsByLayer(soil, 'NO3-N', DEEPEST_IN);
	const label = 'nitrate-N of the root zone';
	const remedy = `${takeNitrate(soil.units, leastNitrateDepthIn).slice(0, -1)} or deeper.`;
	const spent = soil.spent.get('NO3-N');
	if (spent !== undefined) return spentAnswer('NO3-N', spent);
	if (parts.length === 0) return notApplicable(label, 'the report gives no nitrate-N', remedy, 'a nitrate sample');
	if (reachedIn < leastNitrateDepthIn - DEPTH_SLACK_IN) {
		const reason = measuredOnlyTo('nitrate-N', reachedIn, leastNitrateDepthIn, soil.units);
		return notApplicable(label, reason, remedy);
	}
	const pounds = parts.reduce((sum, part) => sum + part.value, 0);
	return figure({
		label: `${label}, ${depthText(0, reachedIn, soil.units)}`,
		value: pounds / (LB_AC_PER_PPM_INCH * reachedIn),
		unit: 'ppm',
		formula: `mean by depth: pounds / (0.3 x ${+reachedIn.toFixed(1)} in)`,
		inputs: parts,
		basis: 'measured'
	});
}
