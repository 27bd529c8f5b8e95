import { yieldUnitOf } from '../../../../core/units/rate-units';
import { inhibitorTwin } from '../../../../core/season/model/inhibitor-twin';
import { tripCount } from '../../../../core/season/plan/trips';
import { valueIfKnown } from '../../../../core/figure/figure';
import type { DecisionPlan, Pass } from '../../../../core/schema-types';
import { alternativesTo, type Alternative } from '../../../../core/season/propose/alternatives';
import { costParts } from '../../../../core/season/plan/pass/cost-parts';
import { productOf } from '../../../../core/season/plan/plan-context';
import { nitrogenPasses } from '../../../../core/season/propose/compare-programmes';
import type { StressSetup } from '../../../../workers/stress-messages';
import type { Desk } from '../../desk';
import { listDecisions, listKeptPlans } from '../../stores/plan/decisions';
import { pricesOn } from '../../stores/prices';
import type { Advice, FieldYear } from '../field-year';
import { seasonRequestOf } from './season-run';

/** What a worker needs to try a plan and its alternatives over simulated seasons. */
export function stressSetup({ book, library, today }: Desk, { field }: FieldYear, advice: Advice): StressSetup {
	const decisions = listDecisions(book, advice.goal.id).flatMap(({ plan, madeOn }) =>
		madeOn === undefined ? [plan] : []
	);
	const prices = pricesOn(book, today);
	const request = seasonRequestOf(advice, 'normal', field.units);
	const { crops, products, schedules, seasonModel, stages } = library;
	const { station } = advice.context;
	const twin = inhibitorTwin(request.passes, advice.context);
	const costOf = (passes: readonly Pass[]) =>
		valueIfKnown(
			costParts(
				nitrogenPasses(passes, products),
				(pass) => productOf(pass, products),
				(item) => prices.get(item)
			).total
		);
	const [plan, ...others] = alternativesTo(request.passes, advice.context);
	const tried: Tried[] = [
		{ ...plan!, decisions },
		...(decisions.length > 0 ? withoutDeciding(request.passes, decisions, advice) : []),
		...others,
		...(twin ? [{ ...twin, decisions }] : []),
		...listKeptPlans(book, advice.goal.id)
	];
	const programmes = tried.map(({ name, passes, decisions: own = [] }) => ({
		name,
		passes: tripCount(nitrogenPasses(passes, products)),
		request: { ...request, passes },
		nitrogenCost: costOf(passes),
		decisions: own.map((decision) => ({ plan: decision, cost: costOf([decision.pass]) })),
		inhibitors: twin?.passes === passes ? (twin.guarded ? ('with' as const) : ('without' as const)) : undefined
	}));
	return {
		programmes,
		knowledge: { crops, products, schedules, seasonModel, stages, stations: [station] },
		grainPrice: prices.get(`grain:${advice.crop.id}`),
		yieldUnit: yieldUnitOf(advice.crop)
	};
}

interface Tried extends Alternative {
	decisions?: readonly DecisionPlan[];
}

/** What a plan that decides stands against: its base alone, and all that it might put on, once before planting. */
function withoutDeciding(passes: readonly Pass[], decisions: readonly DecisionPlan[], { context }: Advice): Tried[] {
	const [, early] = alternativesTo([...passes, ...decisions.map(({ pass }) => pass)], context);
	return [
		{ name: 'This plan, nothing added', passes: [...passes] },
		...(early ? [{ ...early, name: `${early.name}, with what may be added` }] : [])
	];
}
