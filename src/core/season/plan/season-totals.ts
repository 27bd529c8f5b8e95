import { figure, type Figure } from '../../figure/figure';
import type { Nutrient, Pass } from '../../schema-types';
import { passNutrientFigure } from './pass/pass-nutrients';
import { productOf, type PlanContext } from './plan-context';

const TOTALLED: readonly Nutrient[] = ['N', 'P2O5', 'K2O', 'S', 'Mg'];

/** Pounds per acre of each nutrient that the passes supply, each opening into its passes; those with none left out. */
export function seasonTotals(passes: readonly Pass[], { products }: Pick<PlanContext, 'products'>): Figure[] {
	return TOTALLED.flatMap((nutrient) => {
		const parts = passes
			.map((pass) => passNutrientFigure(pass, productOf(pass, products), nutrient))
			.filter(({ value }) => value > 0);
		if (parts.length === 0) return [];
		const value = parts.reduce((sum, part) => sum + part.value, 0);
		return [
			figure({ label: nutrient, value, unit: 'lb/ac', formula: 'sum of the passes', inputs: parts, basis: 'adviser' })
		];
	});
}
