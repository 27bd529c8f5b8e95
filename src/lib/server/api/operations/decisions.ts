import { InputError } from '../../../../core/check/problem';
import type { CreatedAnswer, Decision, DecisionPlan, KeepPlanAction } from '../../../../core/schema-types';
import { productFault } from '../../../../core/season/plan/pass/product-fault';
import { dateFault } from '../../../../core/season/plan/season-span';
import { ActionError } from '../../book/action-error';
import { plantingDateOf } from '../../field/field-request';
import {
	addDecision,
	keepPlan,
	listDecisions,
	listKeptPlans,
	removeDecision,
	removeKeptPlan,
	takeDecision,
	takeKeptPlan,
	type KeptPlanRecord
} from '../../stores/plan/decisions';
import { goalAt } from '../at';
import { DECISION_EXAMPLE } from '../examples';
import { json, operation, type Call } from '../operation';

const ON = '/api/fields/{field}/{year}';

function decisionAt(call: Call<'{field}{year}{decision}'>): Decision {
	return listDecisions(call.desk.book, goalAt(call).id).find(({ id }) => id === call.params.decision)!;
}

function keptPlanAt(call: Call<'{field}{year}{keptPlan}'>): KeptPlanRecord {
	return listKeptPlans(call.desk.book, goalAt(call).id).find(({ id }) => id === call.params.keptPlan)!;
}

export const decisionOperations = [
	operation(`POST ${ON}/decisions`, {
		summary: 'Plans a decision: on a day something is looked at, and by what it is a pass goes on or not',
		body: json<DecisionPlan>('plan#/definitions/DecisionPlan'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: DECISION_EXAMPLE,
		run: (call, plan) => {
			const { book, library } = call.desk;
			const goal = goalAt(call);
			const { pass, on, look, since } = plan;
			const wrong = (path: string, message: string) => {
				throw new InputError([{ path, message }]);
			};
			const fault = dateFault(pass, library.products, plantingDateOf(goal, library));
			if (fault) wrong('/pass/date', fault);
			const product = productFault(pass, library.products);
			if (product) wrong(`/pass/${product.key}`, product.message);
			if (pass.date < on) wrong('/pass/date', `must not be before the look on ${on}; got "${pass.date}"`);
			if (look === 'rain' && (since === undefined || since >= on)) {
				wrong('/since', `must be a day before the look on ${on}; got "${since ?? 'none'}"`);
			}
			return { id: addDecision(book, goal, plan) };
		}
	}),
	operation(`POST ${ON}/decisions/{decision}/pass`, {
		summary: 'Puts the pass of a decision into the plan',
		run: (call) => {
			const decision = decisionAt(call);
			if (decision.madeOn !== undefined) throw new ActionError('This was decided already; its pass is in the plan.');
			takeDecision(call.desk.book, goalAt(call), decision, call.desk.today);
		}
	}),
	operation(`DELETE ${ON}/decisions/{decision}`, {
		summary: 'Deletes a decision; a pass that it put into the plan stays',
		run: (call) => removeDecision(call.desk.book, goalAt(call), decisionAt(call))
	}),
	operation(`POST ${ON}/kept-plans`, {
		summary: 'Keeps the plan as it stands under a name, to be laid beside others over simulated seasons',
		body: json<KeepPlanAction>('plan#/definitions/KeepPlanAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: { name: 'All in spring' },
		run: (call, { name }) => ({ id: keepPlan(call.desk.book, goalAt(call), name.trim()) })
	}),
	operation(`POST ${ON}/kept-plans/{keptPlan}/use`, {
		summary: 'Puts a plan that was kept in place of the one in use; what was applied stays',
		run: (call) => takeKeptPlan(call.desk.book, goalAt(call), keptPlanAt(call))
	}),
	operation(`DELETE ${ON}/kept-plans/{keptPlan}`, {
		summary: 'Deletes a plan that was kept',
		run: (call) => removeKeptPlan(call.desk.book, goalAt(call), keptPlanAt(call))
	})
] as const;
