import { formatNumber } from '../../units/display';
import type { ReportCheck } from './finding';

/** An expected crop of a full year, in the off year of a block that bears every other year. */
export const offYear: ReportCheck = ({ site: { block, blockYear, crop, yieldGoal } }) => {
	const { usualGoal } = crop;
	if (block?.bears !== 'every other year' || blockYear.bearing !== 'off' || yieldGoal < usualGoal) return [];
	const goal = formatNumber(yieldGoal, crop.yieldUnit);
	return [
		{
			code: 'off-year',
			severity: 'mind',
			text: `It is the off year of this block, and the expected crop of ${goal} ${crop.yieldUnit} is that of a full one: rates by crop load and removal follow it.`,
			remedy: 'Set the expected crop to what an off year bears.'
		}
	];
};
