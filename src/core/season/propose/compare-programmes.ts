import { figure, type Answer } from '../../figure/figure';
import type { Pass, Product, SeasonRequest } from '../../schema-types';
import type { Alternative } from './alternatives';
import { checkSeason } from '../checks/check-season';
import { modelledCapacityCheck } from '../checks/ground/modelled-capacity';
import { passCost, planCost, type PriceOf } from '../plan/pass/pass-cost';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';
import { runSeason, type RunAnswer, type SeasonKnowledge } from '../model/run-season';
import { tripsCost } from '../plan/pass/trip-cost';
import { tripCount } from '../plan/trips';

/** A programme in one season, beside others with the same nitrogen. */
export interface ComparedProgramme {
	name: string;
	passes: Pass[];
	/** Trips that bring nitrogen. */
	trips: number;
	/** Products and trips, $/ac. */
	cost: Answer;
	balance: RunAnswer['balance'];
	stops: number;
	minds: number;
}

/** The same season for each programme: what it loses by which way, what is left, what it costs and what the rules say. */
export function compareProgrammes(
	alternatives: readonly Alternative[],
	context: PlanContext,
	request: SeasonRequest,
	knowledge: SeasonKnowledge,
	priceOf: PriceOf
): ComparedProgramme[] {
	return alternatives.map(({ name, passes }) => {
		const nitrogen = nitrogenPasses(passes, context.products);
		const run = runSeason({ ...request, passes: [...passes] }, knowledge);
		const checks = [...checkSeason(passes, context), ...modelledCapacityCheck(run, context)];
		return {
			name,
			passes,
			trips: tripCount(nitrogen),
			cost: nitrogenCost(nitrogen, context.products, priceOf),
			balance: run.balance,
			stops: checks.filter(({ severity }) => severity === 'stop').length,
			minds: checks.filter(({ severity }) => severity === 'mind').length
		};
	});
}

/** The passes that bring nitrogen. */
export function nitrogenPasses(passes: readonly Pass[], products: readonly Product[]): Pass[] {
	return passes.filter((pass) => passNutrient(pass, productOf(pass, products), 'N') > 0);
}

/** What some passes cost with their trips, $/ac; does not apply while the price of a product is missing. */
export function nitrogenCost(passes: readonly Pass[], products: readonly Product[], priceOf: PriceOf): Answer {
	const bought = planCost(passes.map((pass) => passCost(pass, productOf(pass, products), priceOf)));
	if (!bought.applies) return bought;
	const trips = tripsCost(passes, (pass) => productOf(pass, products), priceOf);
	return figure({
		label: 'products and trips',
		value: bought.value + trips.value,
		unit: '$/ac',
		formula: 'products + trips',
		inputs: [bought, trips],
		basis: 'adviser'
	});
}
