import type { Answer, Figure } from '../../figure/figure';
import type { Pass, Product, SeasonRequest } from '../../schema-types';
import type { Alternative } from './alternatives';
import { checkSeason } from '../checks/check-season';
import { modelledCapacityCheck } from '../checks/ground/modelled-capacity';
import { costParts } from '../plan/pass/cost-parts';
import type { PriceOf } from '../plan/pass/pass-cost';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';
import { runSeason, type RunAnswer, type SeasonKnowledge } from '../model/run-season';
import { tripCount } from '../plan/trips';

/** A programme in one season, beside others with the same nitrogen. */
export interface ComparedProgramme {
	name: string;
	passes: Pass[];
	/** Trips that bring nitrogen. */
	trips: number;
	/** Products and trips of the whole plan, $/ac. */
	cost: Answer;
	/** The nitrogen in its products, $/ac: what they bring besides is taken off. */
	nitrogen: Figure | undefined;
	/** All its trips, $/ac. */
	tripsCost: Figure;
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
		const { total, nutrients, trips } = costParts(passes, (pass) => productOf(pass, context.products), priceOf);
		const checks = [...checkSeason(passes, context), ...modelledCapacityCheck(run, context)];
		return {
			name,
			passes,
			trips: tripCount(nitrogen),
			cost: total,
			nitrogen: nutrients.find(({ nutrient }) => nutrient === 'N')?.cost,
			tripsCost: trips,
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
