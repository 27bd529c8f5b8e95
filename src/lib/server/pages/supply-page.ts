import { valueIfKnown, type Answer } from '../../../core/figure/figure';
import { siteTargetPh } from '../../../core/reading/target-ph';
import { NUTRIENTS } from '../../../core/season/plan/pass/pass-nutrients';
import { TRIP_KINDS } from '../../../core/season/plan/pass/trip-cost';
import { creditedPrice } from '../../../core/supply/credited-price';
import { pricePerPound, productNeeds } from '../../../core/supply/product-needs';
import { sourceAdvice } from '../../../core/supply/source-advice';
import { inSystem } from '../../../core/units/rate-units';
import type { Desk, FieldAddress } from '../desk';

const COMPARED = ['N', 'P2O5', 'K2O', 'S'] as const;

/** The page of supply: what is needed, prices, and what the sources bring. */
export function supplyPage(desk: Desk, address: FieldAddress) {
	const { field, year, advice, prices, goal } = desk.fieldYear(address);
	const { products, crops, additives } = desk.library;
	const settings = desk.settings;
	const open = (advice?.passes ?? []).filter(({ doneOn }) => doneOn === null).map(({ plan }) => plan);
	const ofProduct = new Map(
		products.flatMap(({ id }) => {
			const price = prices.get(`product:${id}`);
			return price === undefined ? [] : [[id, price] as const];
		})
	);
	return {
		open,
		loads: settings.loads,
		additives: additives.map(({ id, name }) => ({
			item: `additive:${id}`,
			name,
			price: prices.get(`additive:${id}`)
		})),
		trips: TRIP_KINDS.map(({ id, name }) => ({ item: `trip:${id}`, name, price: prices.get(`trip:${id}`) })),
		acres: field.area_ac ?? undefined,
		catalogue: products,
		ofProduct,
		advice: advice
			? sourceAdvice(open, {
					context: advice.context,
					targetPh: valueIfKnown(siteTargetPh(advice.site, 'water')),
					magnesiumShort: advice.answer.findings.some(({ code }) => code === 'magnesium-low')
				})
			: [],
		wanted: advice?.context.chosen ?? {},
		plantingDate: advice?.context.plantingDate,
		compared: COMPARED.map((nutrient) => ({
			nutrient,
			products: products
				.filter(({ id, analysis }) => (analysis[nutrient] ?? 0) > 0 && ofProduct.has(id))
				.map((product) => ({
					name: product.name,
					price: creditedPrice(product, nutrient, ofProduct.get(product.id), (other) => prices.get(`nutrient:${other}`))
				}))
				.sort((a, b) => valueOf(a.price) - valueOf(b.price))
		})),
		fieldId: field.id,
		year,
		cost: advice && inSystem(advice.cost, settings.units),
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
		nutrients: NUTRIENTS.map((nutrient) => ({
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
}

function valueOf(answer: Answer): number {
	return answer.applies ? answer.value : Infinity;
}
