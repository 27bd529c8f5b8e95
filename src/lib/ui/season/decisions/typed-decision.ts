import type { DecisionPlan, Pass } from '$core/schema-types';
import { DecisionPlanBounds, PassBounds } from '$core/schema-types/bounds';
import { limitPer, limitUnit } from '$core/season/decisions/decision-limit';
import { tidy } from '$core/units/display';
import { factsIn, inOtherUnit, typedNumbers, type NumberFacts } from '../../forms/number-within';
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

/** What stands for a limit in a form, in the reader's unit. */
export function limitFacts(look: DecisionPlan['look'], units: UnitSystem): NumberFacts {
	return {
		...inOtherUnit(DecisionPlanBounds.amount, limitPer(look, units)),
		unit: limitUnit(look, units)
	};
}

/** The same for the rate of its pass. */
export function rateFacts(unit: Pass['unit'], units: UnitSystem): NumberFacts {
	return factsIn({ ...PassBounds.rate, label: 'Product' }, unit, units);
}

/**
 * The decision that was typed.
 * @returns what is wrong, in words
 */
export function readDecision(typed: TypedDecision, units: UnitSystem): DecisionPlan | string {
	const { on, look, since, is, product, unit, placement, date } = typed;
	const name = typed.name.trim();
	if (name === '') return 'Give the decision a name.';
	const facts = { amount: limitFacts(look, units), rate: rateFacts(unit, units) };
	const read = typedNumbers({ amount: typed.amount, rate: typed.rate }, facts, ['amount', 'rate']);
	if (typeof read === 'string') return read;
	return {
		name,
		on,
		look,
		...(look === 'rain' ? { since } : {}),
		is,
		amount: tidy(read.amount / limitPer(look, units)),
		pass: {
			id: 'decided',
			date,
			label: name,
			product,
			rate: valueFromSystem(read.rate, unit, units),
			unit,
			placement,
			reason: 'By a decision of the plan.'
		}
	};
}
