import type { PassCheck } from '../../../schema-types';
import { dateFault } from '../../plan/season-span';
import type { SeasonCheck } from '../check';

/** A pass dated outside its season: nothing is worked out with it until its day is mended. */
export const dateInSeasonCheck: SeasonCheck = (passes, { plantingDate, products }) =>
	passes.flatMap((pass): PassCheck[] => {
		const fault = dateFault(pass, products, plantingDate);
		if (!fault) return [];
		const text = `The day of ${pass.label} ${fault}. Nothing is worked out with this pass until its day is set right.`;
		return [{ rule: 'date-in-season', severity: 'stop', pass: pass.id, text, basis: 'practice', remedies: [] }];
	});
