import { valueIfKnown, type Answer } from '../../../core/figure/figure';
import { siteTargetPh } from '../../../core/reading/target-ph';
import { creditedPrice } from '../../../core/supply/credited-price';
import { offeredFor } from '../../../core/supply/catalogue/offered-for';
import { productNeeds } from '../../../core/supply/product-needs';
import { sourceAdvice } from '../../../core/supply/source-advice';
import { inSystem } from '../../../core/units/rate-units';
import type { Desk, FieldAddress } from '../desk';

const COMPARED = ['N', 'P2O5', 'K2O', 'S'] as const;

/** The page of supply: what is needed, what it costs, and what the sources bring. */
export function supplyPage(desk: Desk, address: FieldAddress) {
	const { field, year, advice, prices } = desk.fieldYear(address);
	const products = desk.library.products.filter((product) => offeredFor(product, advice?.crop.id));
	const open = (advice?.passes ?? []).filter(({ doneOn }) => doneOn === null).map(({ plan }) => plan);
	const ofProduct = new Map(
		products.flatMap(({ id }) => {
			const price = prices.get(`product:${id}`);
			return price === undefined ? [] : [[id, price] as const];
		})
	);
	return {
		open,
		loads: desk.settings.loads,
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
		cost: advice && inSystem(advice.cost, field.units),
		needs: productNeeds(open, products, field.area_ac ?? undefined).map(({ product, ...need }) => ({
			name: product.name,
			...need
		}))
	};
}

function valueOf(answer: Answer): number {
	return answer.applies ? answer.value : Infinity;
}
