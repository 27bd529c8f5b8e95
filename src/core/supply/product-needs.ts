import { keysOf } from '../check/typed-object';
import { figure, type Answer, type Figure } from '../figure/figure';
import type { Nutrient, Pass, Product } from '../schema-types';
import { LB_PER_SHORT_TON } from '../units/factors';
import { gallonsPerAcre, passPounds, wholeField } from '../season/plan/pass/pass-figures';
import { nutrientContent } from '../season/plan/pass/pass-nutrients';
import { productOf } from '../season/plan/plan-context';

/** What a plan still needs of one product. */
export interface ProductNeed {
	product: Product;
	/** lb/ac over all its passes. */
	perAcre: Figure;
	gallons: Answer;
	/** Short tons for the whole field; does not apply where the area is not known. */
	order: Answer;
}

/** The products of some passes, each once, in the order of the passes. */
export function productNeeds(
	passes: readonly Pass[],
	products: readonly Product[],
	areaAcres: number | undefined
): ProductNeed[] {
	const used = [...new Set(passes.map((pass) => productOf(pass, products)))];
	return used.map((product) => {
		const parts = passes.filter((pass) => pass.product === product.id).map((pass) => passPounds(pass, product));
		const perAcre = figure({
			label: `${product.name} over the season`,
			value: parts.reduce((sum, part) => sum + part.value, 0),
			unit: 'lb/ac',
			formula: 'sum of the passes',
			inputs: parts,
			basis: 'adviser'
		});
		return {
			product,
			perAcre,
			gallons: gallonsPerAcre(perAcre, product),
			order: inShortTons(wholeField(perAcre, areaAcres))
		};
	});
}

/**
 * Dollars per pound of the only nutrient in a product: price / 2000 / fraction.
 * @param pricePerShortTon $ per short ton of product
 * @returns undefined for a product with several nutrients (what the others are worth is a matter of credit) or none
 */
export function pricePerPound(product: Product, pricePerShortTon: number | undefined): Figure | undefined {
	const [nutrient, ...more] = keysOf<Nutrient>(product.analysis);
	if (pricePerShortTon === undefined || !nutrient || more.length > 0) return undefined;
	const content = nutrientContent(product, nutrient);
	return figure({
		label: content.label,
		value: pricePerShortTon / LB_PER_SHORT_TON / (content.value / 100),
		unit: `$/lb ${nutrient}`,
		formula: 'price / 2000 / fraction',
		inputs: [
			figure({ label: `price of ${product.name}`, value: pricePerShortTon, unit: '$ per short ton', basis: 'adviser' }),
			content
		],
		basis: 'adviser'
	});
}

function inShortTons(pounds: Answer): Answer {
	if (!pounds.applies) return pounds;
	return figure({
		...pounds,
		value: pounds.value / LB_PER_SHORT_TON,
		unit: 'short tons',
		formula: 'pounds / 2000',
		inputs: [pounds]
	});
}
