import { figure, type Answer, type Figure } from '../figure/figure';

/**
 * A nitrogen rate less what reaches the crop another way, lb N/ac, never below zero.
 * @param credits the sum of the credits, each a line of its own; at zero the rate stays as it is
 * @returns the rate itself where it does not apply
 */
export function lessCredits(rate: Answer, credits: Figure): Answer {
	if (!rate.applies || credits.value === 0) return rate;
	const enough = rate.value <= credits.value;
	return figure({
		label: rate.label,
		value: Math.max(0, rate.value - credits.value),
		unit: rate.unit,
		formula: enough ? 'the credits cover the nitrogen: none' : 'nitrogen in all - credits',
		inputs: [{ ...rate, label: `${rate.label}, in all`, cautions: [] }, credits],
		basis: rate.basis,
		citation: rate.citation,
		cautions: rate.cautions
	});
}
