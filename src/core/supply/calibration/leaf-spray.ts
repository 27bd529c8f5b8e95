import { figure, type Figure } from '../../figure/figure';
import { LB_PER_GAL_OF_WATER, LB_PER_SHORT_TON } from '../../units/factors';

/** What a spray over the leaves delivers, and what part of the need that is. */
export interface LeafSpray {
	/** lb of the product to the acre. */
	product: Figure;
	/** lb of the nutrient to the acre. */
	delivered: Figure;
	/** Percent of the need. */
	share: Figure;
	/** $ for a pound of the nutrient on the leaf. */
	cost: Figure;
}

/**
 * A spray over the leaves: gal/ac x 8.345 x strength / 100 x analysis / 100; common practice.
 * @param gallons to the acre, above 0
 * @param strength of the spray, percent of product by weight, above 0
 * @param analysis percent of the nutrient in the product, above 0
 * @param need of the crop, lb/ac, above 0
 * @param price $ for a short ton of the product, above 0
 */
export function leafSpray(gallons: number, strength: number, analysis: number, need: number, price: number): LeafSpray {
	const typed = (label: string, value: number, unit: string) => figure({ label, value, unit, basis: 'adviser' });
	const inProduct = typed('nutrient in the product', analysis, '%');
	const product = figure({
		label: 'product',
		value: (gallons * LB_PER_GAL_OF_WATER * strength) / 100,
		unit: 'lb/ac',
		formula: `gal/ac x ${LB_PER_GAL_OF_WATER} x strength / 100`,
		inputs: [typed('spray', gallons, 'gal/ac'), typed('strength', strength, '%')],
		basis: 'practice'
	});
	const delivered = figure({
		label: 'delivered',
		value: (product.value * analysis) / 100,
		unit: 'lb/ac',
		formula: 'product x analysis / 100',
		inputs: [product, inProduct],
		basis: 'practice'
	});
	return {
		product,
		delivered,
		share: figure({
			label: 'part of the need',
			value: (100 * delivered.value) / need,
			unit: '%',
			formula: 'delivered / need x 100',
			inputs: [delivered, typed('need', need, 'lb/ac')],
			basis: 'practice'
		}),
		cost: figure({
			label: 'the nutrient delivered',
			value: price / LB_PER_SHORT_TON / (analysis / 100),
			unit: '$/lb',
			formula: `price / ${LB_PER_SHORT_TON} / analysis x 100, without the trip`,
			inputs: [typed('price', price, '$/short ton'), inProduct],
			basis: 'practice'
		})
	};
}
