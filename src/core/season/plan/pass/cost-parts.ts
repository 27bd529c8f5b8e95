import { figure, type Answer, type Figure } from '../../../figure/figure';
import type { Nutrient, Pass, Product } from '../../../schema-types';
import { NUTRIENTS, passNutrient } from './pass-nutrients';
import { passCost, planCost, type PriceOf } from './pass-cost';
import { tripsCost } from './trip-cost';

/** What a plan costs, by what the money is for, $/ac. */
export interface CostParts {
	/** What the products of the passes cost for each nutrient; they add up to the products. */
	nutrients: { nutrient: Nutrient | 'lime'; cost: Figure }[];
	products: Answer;
	trips: Figure;
	/** Products and trips. */
	total: Answer;
}

/**
 * The cost of some passes by nutrient, products and trips, $/ac. A product that carries several nutrients is shared among them by what
 * each is worth at its own price (`nutrient:<id>`, $ per lb); one that has no price counts for nothing where another of the product has one.
 * An inhibitor counts as nitrogen, lime is its own line.
 * @returns products and total do not apply while the price of a product is missing, and say which
 */
export function costParts(passes: readonly Pass[], productOf: (pass: Pass) => Product, priceOf: PriceOf): CostParts {
	const priced = passes.map((pass) => ({ pass, cost: passCost(pass, productOf(pass), priceOf) }));
	const products = planCost(priced.map(({ cost }) => cost));
	const trips = tripsCost(passes, productOf, priceOf);
	const shares = priced.flatMap(({ pass, cost }) =>
		cost.applies ? sharesOf(pass, productOf(pass), cost, priceOf) : []
	);
	const nutrients = ([...NUTRIENTS, 'lime'] as const).flatMap((nutrient) => {
		const inputs = shares.filter((share) => share.nutrient === nutrient).map(({ cost }) => cost);
		if (inputs.length === 0) return [];
		const value = inputs.reduce((sum, one) => sum + one.value, 0);
		const formula = 'sum of the passes';
		const cost = figure({ label: `cost of ${nutrient}`, value, unit: '$/ac', formula, inputs, basis: 'adviser' });
		return [{ nutrient, cost }];
	});
	const total = products.applies
		? figure({
				label: 'products and trips',
				value: products.value + trips.value,
				unit: '$/ac',
				formula: 'products + trips',
				inputs: [products, trips],
				basis: 'adviser'
			})
		: products;
	return { nutrients, products, trips, total };
}

function sharesOf(
	pass: Pass,
	product: Product,
	cost: Figure,
	priceOf: PriceOf
): { nutrient: Nutrient | 'lime'; cost: Figure }[] {
	if (product.lime) return [{ nutrient: 'lime', cost }];
	const carried = NUTRIENTS.flatMap((nutrient) => {
		const pounds = passNutrient(pass, product, nutrient);
		return pounds > 0 ? [{ nutrient, pounds, price: priceOf(`nutrient:${nutrient}`) ?? 0 }] : [];
	});
	// Without any price the main one, by pounds, carries the cost.
	const worth = carried.reduce((sum, { pounds, price }) => sum + pounds * price, 0);
	const main = carried.reduce((most, one) => (one.pounds > most ? one.pounds : most), 0);
	return carried.flatMap(({ nutrient, pounds, price }) => {
		const share = worth > 0 ? (pounds * price) / worth : pounds === main ? 1 : 0;
		if (share === 0) return [];
		const part = figure({
			label: `${nutrient} of ${pass.label}`,
			value: cost.value * share,
			unit: '$/ac',
			formula: 'cost x its share of what the nutrients are worth',
			inputs: [cost, figure({ label: 'share', value: share * 100, unit: '%', basis: 'adviser' })],
			basis: 'adviser'
		});
		return [{ nutrient, cost: part }];
	});
}
