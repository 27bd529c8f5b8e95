import { formatNumber } from '../../../units/display';
import type { SeasonCheck } from '../check';

/** The distances that the adviser keeps on this field. */
export const setbacksCheck: SeasonCheck = (passes, { setbacks }) => {
	if (passes.length === 0 || setbacks.length === 0) return [];
	const list = setbacks.map(({ from, feet }) => `${formatNumber(feet, 'ft')} ft from ${from}`).join(', ');
	return [
		{
			rule: 'setbacks',
			severity: 'note',
			text: `Keep ${list}; where local law asks for more, that.`,
			basis: 'adviser',
			remedies: []
		}
	];
};
