import { lengthText } from '../../../units/length-text';
import type { SeasonCheck } from '../check';

/** The distances that the adviser keeps on this field. */
export const setbacksCheck: SeasonCheck = (passes, { setbacks, units }) => {
	if (passes.length === 0 || setbacks.length === 0) return [];
	const list = setbacks.map(({ from, feet }) => `${lengthText(feet, units)} from ${from}`).join(', ');
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
