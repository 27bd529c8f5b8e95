import { figure, notApplicable, type Answer } from '../../../figure/figure';
import type { Pass, Product } from '../../../schema-types';
import { passNutrient } from './pass-nutrients';

/**
 * lb of pure CaCO3 per acre that undo the acid of a pass, by its product; below zero where it sweetens.
 * @returns does not apply where the acid of a product with nitrogen or elemental sulfur is not known
 */
export function passAcidity(pass: Pass, product: Product): Answer {
	const label = `lime to offset acidity of ${pass.label}`;
	const { acidity } = product;
	if (!acidity) {
		if (passNutrient(pass, product, 'N') === 0) return figure({ label, value: 0, unit: 'lb/ac', basis: 'practice' });
		return notApplicable(label, `the acid that ${product.name} makes is not known`, 'Ask its maker.');
	}
	const { per, caco3Lb, basis, citation } = acidity;
	const nutrient = figure({
		label: `${per} in it`,
		value: passNutrient(pass, product, per),
		unit: 'lb/ac',
		basis: 'adviser'
	});
	const each = figure({ label: `CaCO3 for each lb of ${per}`, value: caco3Lb, unit: 'lb', basis, citation });
	return figure({
		label,
		value: nutrient.value * caco3Lb,
		unit: 'lb/ac',
		formula: `${per} x CaCO3 for each lb`,
		inputs: [nutrient, each],
		basis,
		citation
	});
}
