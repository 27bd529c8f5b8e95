import type { Product } from '../../../../core/schema-types';
import { inSystem, perYieldOf, type UnitSystem } from '../../../../core/units/rate-units';
import { figure, type Answer } from '../../../../core/figure/figure';
import { NUTRIENTS } from '../../../../core/season/plan/pass/pass-nutrients';
import { TRIP_KINDS } from '../../../../core/season/plan/pass/trip-cost';
import { pricePerPound } from '../../../../core/supply/product-needs';
import type { Library } from '../../knowledge';
import type { Desk } from '../../desk';
import { listPrices } from '../../stores/prices';

/** Something that has a price. */
export interface PriceItem {
	item: string;
	name: string;
	/** In which it is kept: "$ per lb" and the like, with the weight of a bushel. */
	unit: string;
	group: string;
}

/** All that can have a price in a book, in the order of the list: crops, nutrients, products, additives, trips. */
export function priceItems({ crops, products, additives }: Library): PriceItem[] {
	return [
		...crops.map(({ id, name, ...crop }) => ({
			item: `grain:${id}`,
			name,
			unit: `$ per ${perYieldOf(crop)}`,
			group: 'Crop'
		})),
		...NUTRIENTS.map((nutrient) => ({
			item: `nutrient:${nutrient}`,
			name: nutrient,
			unit: '$ per lb',
			group: 'Nutrient'
		})),
		...products.map(({ id, name }) => ({ item: `product:${id}`, name, unit: '$ per short ton', group: 'Product' })),
		...additives.map(({ id, name }) => ({
			item: `additive:${id}`,
			name,
			unit: '$ per treated acre',
			group: 'Additive'
		})),
		...TRIP_KINDS.map(({ id, name }) => ({ item: `trip:${id}`, name, unit: '$ per acre', group: 'Trip' }))
	];
}

/** The prices of the whole book, each with what it was before. */
export function pricesPage({ book, library, today, settings: { units } }: Desk) {
	const entered = new Map<string, { since: string; amount: number }[]>();
	for (const { item, since, amount } of listPrices(book)) {
		entered.set(item, [...(entered.get(item) ?? []), { since, amount }]);
	}
	const productOf = new Map(library.products.map((product) => [`product:${product.id}`, product]));
	return {
		title: 'Prices',
		units,
		items: priceItems(library).map((item) => {
			const history = entered.get(item.item) ?? [];
			const inForce = history.filter(({ since }) => since <= today);
			const [now, before] = inForce;
			const product = productOf.get(item.item);
			return {
				...item,
				price: now?.amount,
				since: now?.since,
				change: now && before ? changeOf(item, now.amount, before) : undefined,
				perPound: priced(product, now?.amount, units),
				history
			};
		})
	};
}

/** Of a product, what its leading nutrient costs. */
function priced(product: Product | undefined, amount: number | undefined, units: UnitSystem): Answer | undefined {
	const perPound = product && pricePerPound(product, amount);
	return perPound && inSystem(perPound, units);
}

/** What an item costs more than before, in percent of it; none where it cost nothing before. */
function changeOf({ name }: PriceItem, now: number, before: { since: string; amount: number }): Answer | undefined {
	if (before.amount === 0) return undefined;
	const price = (label: string, value: number) => figure({ label, value, unit: '$', basis: 'adviser' });
	return figure({
		label: `${name}, change against before`,
		value: (now / before.amount - 1) * 100,
		unit: '%',
		formula: '(now / before - 1) x 100',
		inputs: [price('now', now), price(`before, entered ${before.since}`, before.amount)],
		basis: 'adviser'
	});
}
