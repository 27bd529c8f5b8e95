import { notApplicable, type Answer } from '../../figure/figure';
import { DEPTH_SLACK_IN, poundsByLayer, sumOfLayers } from './soil-pounds';
import { spentAnswer } from './read-result';
import type { SampledSoil } from './sampled-soil';

const TAKE_NITRATE = 'Take a nitrate sample, 0 to 24 in.';
/** The root zone that a nitrate credit or the room in the ground speaks of, in. */
const ROOT_ZONE_IN = 24;

/**
 * Nitrate-N and ammonium-N now in the root zone, lb/ac, over whatever depth down to 24 in was sampled.
 * @returns does not apply where no nitrate was measured
 */
export function mineralNitrogen(soil: SampledSoil): Answer {
	const nitrate = poundsByLayer(soil, 'NO3-N', ROOT_ZONE_IN);
	const ammonium = poundsByLayer(soil, 'NH4-N', ROOT_ZONE_IN);
	const label = `mineral N, 0-${+nitrate.reachedIn.toFixed(1)} in`;
	const spent = soil.spent.get('NO3-N');
	if (spent !== undefined) return spentAnswer('NO3-N', spent);
	if (nitrate.parts.length === 0) {
		return notApplicable('mineral N', 'the report gives no nitrate-N', TAKE_NITRATE, 'a nitrate sample');
	}
	const shallow = nitrate.reachedIn < ROOT_ZONE_IN - DEPTH_SLACK_IN;
	const caution = `Nitrate was measured only to ${+nitrate.reachedIn.toFixed(1)} in; there may be more below.`;
	return sumOfLayers(label, [...nitrate.parts, ...ammonium.parts], shallow ? [caution] : []);
}
