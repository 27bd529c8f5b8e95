import { formatNumber } from '../../../units/display';
import type { PassCheck } from '../../../schema-types';
import { depthOf } from '../../plan/placement-facts';
import type { SeasonCheck } from '../check';

/** Strip-till bands under the row: good from here to there, in; at the first number they lie beside the seed. Common practice. */
const TOO_SHALLOW_IN = 3;
const DEEP_ENOUGH_IN = 8;
const BEST_IN = 7;

/** A strip band that is deeper than it pays, or so shallow that it lies beside the seed. */
export const stripBandDepthCheck: SeasonCheck = (passes) =>
	passes.flatMap((pass): PassCheck[] => {
		if (pass.placement !== 'deep strip band') return [];
		const depth = depthOf(pass);
		const base = { rule: 'strip-band-depth', pass: pass.id, basis: 'practice' as const };
		const remedies = [{ label: `Put it ${BEST_IN} in deep`, passes: [{ ...pass, depthIn: BEST_IN }] }];
		const inches = formatNumber(depth, 'in');
		if (depth <= TOO_SHALLOW_IN) {
			const text = `A strip band ${inches} in deep under the row lies beside the seed: 6 to 8 in.`;
			return [{ ...base, severity: 'mind', text, remedies }];
		}
		if (depth <= DEEP_ENOUGH_IN) return [];
		const text = `A strip band ${inches} in deep: 6 to 8 in is good, deeper is not better and costs power.`;
		return [{ ...base, severity: 'note', text, remedies }];
	});
