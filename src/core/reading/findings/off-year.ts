import { quantityIn } from '../../units/amount-text';
import { yieldUnitOf } from '../../units/rate-units';
import type { ReportCheck } from './finding';

/** An expected crop of a full year, in the off year of a block that bears every other year. */
export const offYear: ReportCheck = ({ site: { block, blockYear, crop, yieldGoal, units } }) => {
	const { usualGoal } = crop;
	if (block?.bears !== 'every other year' || blockYear.bearing !== 'off' || yieldGoal < usualGoal) return [];
	const goal = quantityIn(units, yieldGoal, yieldUnitOf(crop));
	return [
		{
			code: 'off-year',
			severity: 'mind',
			text: `It is the off year of this block, and the expected crop of ${goal} is that of a full one: rates by crop load and removal follow it.`,
			remedy: 'Set the expected crop to what an off year bears.'
		}
	];
};
