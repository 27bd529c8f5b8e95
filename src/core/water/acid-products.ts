import { figure, notApplicable, type Answer, type Figure } from '../figure/figure';
import type { Product } from '../schema-types';
import { lbPerAcreFoot } from './acid';
import { allKnown } from '../figure/all-known';
import { LB_PER_SHORT_TON } from '../units/factors';

/** What an acid of the catalogue may bring beside its acid. */
const BROUGHT = ['N', 'P2O5', 'S'] as const;

/** An acid of the catalogue for an acre-foot of water. */
export interface AcidProduct {
	product: Product;
	/** lb of the product. */
	pounds: Answer;
	/** gal of a liquid; undefined of a dry one. */
	gallons: Answer | undefined;
	/** Dollars of it; does not apply while its price is not known. */
	cost: Answer;
	/** lb of each nutrient in it: they count against the rates. */
	brings: Partial<Record<(typeof BROUGHT)[number], Answer>>;
}

/**
 * What an acre-foot of water takes of every acid of the catalogue: meq/L x litres / equivalents of a kilogram.
 * @param priceOf $ per short ton of a product, by its id
 */
export function acidProducts(
	acid: Answer,
	products: readonly Product[],
	priceOf: (product: string) => number | undefined = () => undefined
): AcidProduct[] {
	return products.flatMap((product): AcidProduct[] => {
		if (!product.acid) return [];
		const { eqPerKg, basis, citation } = product.acid;
		const label = `${product.name} for an acre-foot`;
		const pounds = allKnown(label, { acid }, (known) =>
			figure({
				label,
				// A kilogram of so many equivalents weighs 1000 / eq grams for each of them.
				value: known.acid.value * lbPerAcreFoot(1000 / eqPerKg),
				unit: 'lb per acre-foot',
				formula: 'meq/L x litres of an acre-foot / equivalents in a kilogram',
				inputs: [known.acid, figure({ label: 'acid in a kilogram', value: eqPerKg, unit: 'eq/kg', basis, citation })],
				basis
			})
		);
		return [
			{
				product,
				pounds,
				gallons: gallonsOf(product, pounds),
				cost: costOf(product, pounds, priceOf(product.id)),
				brings: bringsOf(product, pounds)
			}
		];
	});
}

function gallonsOf({ name, densityLbPerGal, basis, citation }: Product, pounds: Answer): Answer | undefined {
	if (densityLbPerGal === undefined) return undefined;
	const label = `${name}, gallons`;
	return allKnown(label, { pounds }, (known) =>
		figure({
			label,
			value: known.pounds.value / densityLbPerGal,
			unit: 'gal per acre-foot',
			formula: 'pounds / density',
			inputs: [known.pounds, figure({ label: 'density', value: densityLbPerGal, unit: 'lb/gal', basis, citation })],
			basis
		})
	);
}

function costOf({ name }: Product, pounds: Answer, perShortTon: number | undefined): Answer {
	const label = `cost of ${name}`;
	if (perShortTon === undefined) {
		return notApplicable(label, `no price for ${name} is known`, 'Enter its price under Prices.');
	}
	const price = figure({ label: `price of ${name}`, value: perShortTon, unit: '$ per short ton', basis: 'adviser' });
	return allKnown(label, { pounds }, (known) =>
		figure({
			label,
			value: (known.pounds.value * perShortTon) / LB_PER_SHORT_TON,
			unit: '$ per acre-foot',
			formula: `pounds / ${LB_PER_SHORT_TON} x price`,
			inputs: [known.pounds, price],
			basis: 'adviser'
		})
	);
}

function bringsOf({ analysis, basis, citation }: Product, pounds: Answer): AcidProduct['brings'] {
	const found: AcidProduct['brings'] = {};
	for (const nutrient of BROUGHT) {
		const percent = analysis[nutrient];
		if (percent === undefined) continue;
		const content: Figure = figure({ label: `${nutrient} in it`, value: percent, unit: '%', basis, citation });
		found[nutrient] = allKnown(`${nutrient} in that acid`, { pounds }, (known) =>
			figure({
				label: `${nutrient} in that acid`,
				value: (known.pounds.value * percent) / 100,
				unit: 'lb per acre-foot',
				formula: 'pounds x percent / 100',
				inputs: [known.pounds, content],
				basis
			})
		);
	}
	return found;
}
