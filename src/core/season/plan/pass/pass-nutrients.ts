import { figure, type Figure } from '../../../figure/figure';
import type { Nutrient, Pass, Product } from '../../../schema-types';
import { LB_PER_SHORT_TON } from '../../../units/factors';

/** Every nutrient that a product's card may hold, in the order in which they are read. */
export const NUTRIENTS = [
	'N',
	'P2O5',
	'K2O',
	'S',
	'Mg',
	'Ca',
	'B',
	'Zn',
	'Mn',
	'Cu'
] as const satisfies readonly Nutrient[];

/** What tells how much of its product a pass puts on. */
type Amount = Pick<Pass, 'rate' | 'unit' | 'share'>;

/** Pounds of a nutrient that a pass puts on, for each acre of the field: product x percent / 100. */
export function passNutrient(pass: Amount, product: Product, nutrient: Nutrient): number {
	return poundsPerAcre(pass, product) * fractionOf(product, nutrient);
}

/** The same with its steps. */
export function passNutrientFigure(pass: Pass, product: Product, nutrient: Nutrient): Figure {
	return figure({
		label: `${nutrient} in ${pass.label}`,
		value: passNutrient(pass, product, nutrient),
		unit: 'lb/ac',
		formula: 'product x percent / 100',
		inputs: [
			overTheField(
				pass,
				figure({ label: product.name, value: poundsWhereItGoes(pass, product), unit: 'lb/ac', basis: 'adviser' })
			),
			nutrientContent(product, nutrient)
		],
		basis: product.basis,
		citation: product.citation
	});
}

/** Percent of a nutrient on the product's card, by weight. */
export function nutrientContent({ name, analysis, basis, citation }: Product, nutrient: Nutrient): Figure {
	return figure({ label: `${nutrient} in ${name}`, value: analysis[nutrient] ?? 0, unit: '%', basis, citation });
}

/** Pounds of product per acre that carry so many pounds of a nutrient: pounds / fraction. */
export function productFor(poundsOfNutrient: number, product: Product, nutrient: Nutrient): number {
	const fraction = fractionOf(product, nutrient);
	if (fraction === 0) throw new RangeError(`${product.name} supplies no ${nutrient}`);
	return poundsOfNutrient / fraction;
}

function fractionOf(product: Product, nutrient: Nutrient): number {
	return (product.analysis[nutrient] ?? 0) / 100;
}

/**
 * Pounds of product for each acre of the field, whatever unit the pass is written in; of a pass on a part of the field, the mean over all of it.
 * @throws RangeError for gallons of a product without a density, which no pass is kept with
 */
export function poundsPerAcre(pass: Amount, product: Product): number {
	return poundsWhereItGoes(pass, product) * (pass.share ?? 1);
}

/** Pounds of product per acre of the ground that a pass goes on. */
export function poundsWhereItGoes({ rate, unit }: Amount, product: Product): number {
	if (unit === 'lb/ac') return rate;
	if (unit === 'short ton/ac') return rate * LB_PER_SHORT_TON;
	if (product.densityLbPerGal === undefined) throw new RangeError(`${product.name} is not measured in gallons`);
	return rate * product.densityLbPerGal;
}

/** An amount per acre of the ground that a pass goes on, as the mean over the field. */
export function overTheField({ share }: Pick<Pass, 'share'>, amount: Figure): Figure {
	if (share === undefined) return amount;
	return figure({
		...amount,
		value: amount.value * share,
		formula: 'rate x part of the field',
		inputs: [amount, figure({ label: 'part of the field', value: share, unit: '', basis: 'measured' })]
	});
}
