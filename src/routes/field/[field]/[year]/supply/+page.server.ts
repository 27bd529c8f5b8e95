import { pricePerPound, productNeeds } from '$core/supply/product-needs';
import { inSystem } from '$core/units/rate-units';
import { fieldYearOf } from '$lib/server/params';
import { currentLibrary } from '$lib/server/current-library';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

const PRICED = ['N', 'P2O5', 'K2O', 'S', 'Mg', 'Ca', 'B', 'Zn', 'Mn', 'Cu'] as const;

export const load: PageServerLoad = ({ params }) => {
	const { field, year, advice, prices, goal } = fieldYearOf(params);
	const { products, crops } = currentLibrary();
	const open = (advice?.passes ?? []).filter(({ doneOn }) => doneOn === null).map(({ plan }) => plan);
	return {
		fieldId: field.id,
		year,
		cost: advice && inSystem(advice.cost, readSettings(theBook()).units),
		needs: productNeeds(open, products, field.area_ac ?? undefined).map(({ product, ...need }) => ({
			name: product.name,
			...need
		})),
		grain: goal && {
			item: `grain:${goal.crop}`,
			name: crops.find(({ id }) => id === goal.crop)?.name ?? goal.crop,
			unit: crops.find(({ id }) => id === goal.crop)?.yieldUnit.replace('/ac', '') ?? '',
			price: prices.get(`grain:${goal.crop}`)
		},
		nutrients: PRICED.map((nutrient) => ({
			item: `nutrient:${nutrient}`,
			name: nutrient,
			price: prices.get(`nutrient:${nutrient}`)
		})),
		products: products.map((product) => {
			const item = `product:${product.id}`;
			const price = prices.get(item);
			return { item, name: product.name, price, perPound: pricePerPound(product, price) };
		})
	};
};
