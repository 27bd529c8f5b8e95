import { figure, notApplicable, type Answer } from '../../figure/figure';
import { interpolate } from '../../reading/line-through-points';
import type { Product } from '../../schema-types';
import { G_PER_LB, L_PER_GAL } from '../../units/factors';

/** Stock is made with water at this temperature where none is measured, C: that of the tables. */
export const USUAL_WATER_C = 20;

/**
 * What dissolves of a product in a gallon of water, lb: g/L x 0.00835, between the temperatures of its card in a straight line.
 * @param waterC temperature of the water, C
 * @returns does not apply to liquids, to what does not dissolve, and colder than its card knows
 */
export function solubilityAt({ name, dissolves, solubility }: Product, waterC: number): Answer {
	const label = `${name} that a gallon of water dissolves`;
	if (dissolves === 'liquid') return notApplicable(label, 'it is a liquid', 'It needs no water of its own.');
	if (dissolves === 'not' || (dissolves === 'partly' && !solubility)) {
		return notApplicable(label, `${name} does not dissolve, or only in part`, 'Choose a product that dissolves.');
	}
	if (!solubility) {
		return notApplicable(label, `how much of ${name} dissolves is not in its card`, 'Go by its label.', 'solubility');
	}
	const { points, basis, citation } = solubility;
	const coldest = points[0]!.waterC;
	if (waterC < coldest) {
		const reason = `its card knows water of ${coldest} C and warmer, and colder water holds less`;
		return notApplicable(label, reason, 'Warm the water, or go by the label.', 'solubility in cold water');
	}
	const grams = figure({
		label: `dissolves in water of ${waterC} C`,
		value: interpolate(
			points.map(({ waterC: at, gPerL }) => [at, gPerL]),
			waterC
		),
		unit: 'g/L',
		basis,
		citation
	});
	return figure({
		label,
		value: (grams.value * L_PER_GAL) / G_PER_LB,
		unit: 'lb/gal',
		formula: 'g/L x 0.00835',
		inputs: [grams],
		basis,
		citation
	});
}
