import type { Pass, Product } from '../../../../core/schema-types';
import { isUnderWay } from '../../../../core/season/applied/what-happened';
import { productOf } from '../../../../core/season/plan/plan-context';
import type { Advice } from '../field-year';

/**
 * The passes that are not on the field yet: those a proposal puts others in the place of, and those that stay beside it. What is spread
 * because it is there, manure, stays, and so does the rest of a pass that is under way: the other ground has its share of it.
 */
export function openPasses(
	{ passes, context }: Pick<Advice, 'passes' | 'context'>,
	products: readonly Product[]
): { replaced: Pass[]; kept: Pass[] } {
	const open = passes.map(({ plan }) => plan).filter((plan) => !context.applied.includes(plan));
	const kept = open.filter((plan) => isUnderWay(plan) || productOf(plan, products).manure !== undefined);
	return { replaced: open.filter((plan) => !kept.includes(plan)), kept };
}
