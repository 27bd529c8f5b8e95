import type { Nutrient, RateNutrient } from '$core/schema-types';

/** The CSS colour of a nutrient, the same everywhere (src/app.css). */
export function nutrientColor(nutrient: RateNutrient | Nutrient): string {
	const name = nutrient.replace('P2O5', 'p').replace('K2O', 'k').toLowerCase();
	return `var(--nutrient-${name})`;
}
