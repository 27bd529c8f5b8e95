import type { Pass, Product } from '../../../../core/schema-types';
import { isUnderWay } from '../../../../core/season/applied/what-happened';
import { passNutrient } from '../../../../core/season/plan/pass/pass-nutrients';
import { productOf } from '../../../../core/season/plan/plan-context';
import { byCropOfYear } from '../../../../core/season/schedule/second-crop';
import type { Advice } from '../field-year';

/**
 * The passes that are not on the field yet: those a proposal puts others in the place of, and those that stay beside it. What is spread
 * because it is there, manure, stays, and so does the rest of a pass that is under way: the other ground has its share of it. Nitrogen for a
 * second crop stays where none was settled on, by which it could be planned anew.
 */
export function openPasses(
	{ passes, context }: Pick<Advice, 'passes' | 'context'>,
	products: readonly Product[]
): { replaced: Pass[]; kept: Pass[] } {
	const open = passes.map(({ plan }) => plan).filter((plan) => !context.applied.includes(plan));
	const { then } = byCropOfYear(open, context);
	const byHand = (plan: Pass) =>
		context.second?.nitrogen === undefined &&
		then.includes(plan) &&
		passNutrient(plan, productOf(plan, products), 'N') > 0;
	const kept = open.filter(
		(plan) => isUnderWay(plan) || byHand(plan) || productOf(plan, products).manure !== undefined
	);
	return { replaced: open.filter((plan) => !kept.includes(plan)), kept };
}
