import type { DecisionPlan, Pass } from '$core/schema-types';
import { tidy } from '$core/units/display';
import { MM_PER_IN } from '$core/units/factors';
import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';

/** A decision as it is typed, in the reader's units. */
export interface TypedDecision {
	name: string;
	on: string;
	look: DecisionPlan['look'];
	since: string;
	is: DecisionPlan['is'];
	amount: string;
	product: string;
	rate: string;
	unit: Pass['unit'];
	placement: Pass['placement'];
	date: string;
}

/**
 * The decision that was typed.
 * @returns what is wrong, in words
 */
export function readDecision(typed: TypedDecision, units: UnitSystem): DecisionPlan | string {
	const { on, look, since, is, product, unit, placement, date } = typed;
	const name = typed.name.trim();
	if (name === '') return 'Give the decision a name.';
	const [amount, rate] = [Number(typed.amount), Number(typed.rate)];
	if (typed.amount.trim() === '' || !(amount >= 0)) return `The limit must be a number from 0; got “${typed.amount}”.`;
	if (!(rate > 0)) return `The rate must be a number above 0; got “${typed.rate}”.`;
	const inPounds = (value: number) => valueFromSystem(value, 'lb/ac', units);
	const inches = units === 'metric' ? tidy(amount / MM_PER_IN) : amount;
	return {
		name,
		on,
		look,
		...(look === 'rain' ? { since } : {}),
		is,
		amount: look === 'rain' ? inches : inPounds(amount),
		pass: {
			id: 'decided',
			date,
			label: name,
			product,
			rate: valueFromSystem(rate, unit, units),
			unit,
			placement,
			reason: 'By a decision of the plan.'
		}
	};
}
