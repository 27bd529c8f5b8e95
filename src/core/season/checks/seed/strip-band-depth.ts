import { quantityIn } from '../../../units/amount-text';
import type { PassCheck } from '../../../schema-types';
import { depthOf } from '../../plan/placement-facts';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, tooShallowIn, deepEnoughIn, bestIn } = RULES['strip-band-depth'];

/** A strip band that is deeper than it pays, or so shallow that it lies beside the seed. */
export const stripBandDepthCheck: SeasonCheck = (passes, { units }) =>
	passes.flatMap((pass): PassCheck[] => {
		if (pass.placement !== 'deep strip band') return [];
		const depth = depthOf(pass);
		const base = { rule: 'strip-band-depth', pass: pass.id, basis };
		const remedies = [
			{ label: `Put it ${quantityIn(units, bestIn, 'in')} deep`, passes: [{ ...pass, depthIn: bestIn }] }
		];
		const deep = quantityIn(units, depth, 'in');
		const good = quantityIn(units, [bestIn - 1, deepEnoughIn], 'in');
		if (depth <= tooShallowIn) {
			const text = `A strip band ${deep} deep under the row lies beside the seed: ${good}.`;
			return [{ ...base, severity: 'mind', text, remedies }];
		}
		if (depth <= deepEnoughIn) return [];
		const text = `A strip band ${deep} deep: ${good} is good, deeper is not better and costs power.`;
		return [{ ...base, severity: 'note', text, remedies }];
	});
