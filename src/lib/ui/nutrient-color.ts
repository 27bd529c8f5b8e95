import type { Nutrient, RateNutrient } from '$core/schema-types';

/** The CSS colour of a nutrient, the same everywhere (src/app.css). */
export function nutrientColor(nutrient: RateNutrient | Nutrient): string {
	return nutrient === 'lime' ? 'var(--nutrient-lime)' : `var(--nutrient-${nutrient.charAt(0).toLowerCase()})`;
}
