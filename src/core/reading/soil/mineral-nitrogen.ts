import { notApplicable, type Answer } from '../../figure/figure';
import { quantityIn } from '../../units/amount-text';
import { depthText } from '../../units/length-text';
import { DEPTH_SLACK_IN, ROOT_ZONE_IN, poundsByLayer, sumOfLayers, takeNitrate } from './soil-pounds';
import { spentAnswer } from './read-result';
import type { SampledSoil } from './sampled-soil';

/**
 * Nitrate-N and ammonium-N now in the root zone, lb/ac, over whatever depth down to 24 in was sampled.
 * @returns does not apply where no nitrate was measured
 */
export function mineralNitrogen(soil: SampledSoil): Answer {
	const nitrate = poundsByLayer(soil, 'NO3-N', ROOT_ZONE_IN);
	const ammonium = poundsByLayer(soil, 'NH4-N', ROOT_ZONE_IN);
	const label = `mineral N, ${depthText(0, nitrate.reachedIn, soil.units)}`;
	const spent = soil.spent.get('NO3-N');
	if (spent !== undefined) return spentAnswer('NO3-N', spent);
	if (nitrate.parts.length === 0) {
		return notApplicable('mineral N', 'the report gives no nitrate-N', takeNitrate(soil.units), 'a nitrate sample');
	}
	const shallow = nitrate.reachedIn < ROOT_ZONE_IN - DEPTH_SLACK_IN;
	const caution = `Nitrate was measured only to ${quantityIn(soil.units, nitrate.reachedIn, 'in')}; there may be more below.`;
	return sumOfLayers(label, [...nitrate.parts, ...ammonium.parts], shallow ? [caution] : []);
}
