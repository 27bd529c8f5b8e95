import { productOf } from '$core/season/plan-context';
import { fieldYearOf } from '$lib/server/params';
import { theLibrary } from '$lib/server/knowledge';
import type { PageServerLoad } from './$types';

const PRICED = ['N', 'P2O5', 'K2O', 'S'] as const;

export const load: PageServerLoad = ({ params }) => {
	const { field, year, advice, prices, goal } = fieldYearOf(params);
	const { products, crops } = theLibrary();
	const needed = new Map<string, number>();
	for (const { plan, doneOn } of advice?.passes ?? []) {
		if (doneOn !== null) continue;
		const pounds = plan.unit === 'short ton/ac' ? plan.rate * 2000 : plan.rate;
		needed.set(plan.product, (needed.get(plan.product) ?? 0) + pounds);
	}
	return {
		fieldId: field.id,
		year,
		areaAcres: field.area_ac,
		cost: advice?.cost,
		needs: [...needed].map(([product, poundsPerAcre]) => {
			const { name, densityLbPerGal } = productOf({ product }, products);
			return { product, name, poundsPerAcre, densityLbPerGal };
		}),
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
		products: products.map(({ id, name, analysis }) => ({
			item: `product:${id}`,
			name,
			analysis,
			price: prices.get(`product:${id}`)
		}))
	};
};
