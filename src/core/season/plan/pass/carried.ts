import type { Nutrient, Pass } from '../../../schema-types';
import { productOf, type PlanContext } from '../plan-context';
import { passNutrient } from './pass-nutrients';

/** Pounds of a nutrient per acre over a list of passes. */
export function carried(
	passes: readonly Pass[],
	nutrient: Nutrient,
	{ products }: Pick<PlanContext, 'products'>
): number {
	return passes.reduce((sum, pass) => sum + passNutrient(pass, productOf(pass, products), nutrient), 0);
}
