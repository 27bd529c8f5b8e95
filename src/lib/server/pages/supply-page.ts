import { figure, valueIfKnown, type Answer } from '../../../core/figure/figure';
import { siteTargetPh } from '../../../core/reading/target-ph';
import { creditedPrice } from '../../../core/supply/credited-price';
import { catalogueFor } from '../../../core/supply/catalogue/offered-for';
import type { CutLine } from '../../../core/supply/cash-cut';
import { BALANCED, removalOf } from '../../../core/season/plan/balance/nutrient-balance';
import { passCost, planCost } from '../../../core/season/plan/pass/pass-cost';
import { passNutrient } from '../../../core/season/plan/pass/pass-nutrients';
import { productOf } from '../../../core/season/plan/plan-context';
import { onTheirDays } from '../../../core/season/applied/what-happened';
import { costParts } from '../../../core/season/plan/pass/cost-parts';
import type { Pass, Product } from '../../../core/schema-types';
import type { Advice } from '../field/field-year';
import type { PriceList } from '../stores/prices';
import { productNeeds } from '../../../core/supply/product-needs';
import { sourceAdvice } from '../../../core/supply/source-advice';
import { inSystem, type UnitSystem } from '../../../core/units/rate-units';
import { hasTrait } from '../../../core/season/plan/crop-traits';
import type { Desk, FieldAddress } from '../desk';

const COMPARED = ['N', 'P2O5', 'K2O', 'S'] as const;

/** The page of supply: what is needed, what it costs, and what the sources bring. */
export function supplyPage(desk: Desk, address: FieldAddress) {
	const { field, year, advice, prices } = desk.fieldYear(address);
	const open = (advice?.passes ?? []).filter(({ doneOn }) => doneOn === null).map(({ plan }) => plan);
	const products = catalogueFor(desk.library.products, advice?.crop.id, open);
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
					price: inSystem(
						creditedPrice(product, nutrient, ofProduct.get(product.id), (other) => prices.get(`nutrient:${other}`)),
						field.units
					)
				}))
				.sort((a, b) => valueOf(a.price) - valueOf(b.price))
		})),
		cut: advice?.crop.perennial && open.length > 0 ? cutOf(advice, open, desk, prices) : undefined,
		palms: advice !== undefined && hasTrait(advice.crop, 'palm'),
		fieldId: field.id,
		year,
		costs: advice && costsOf(advice, desk.library.products, prices, field.units),
		needs: productNeeds(open, products, field.area_ac ?? undefined).map(({ product, ...need }) => ({
			name: product.name,
			...need
		}))
	};
}

/** What the whole plan costs by nutrient, for its products and for its trips. */
function costsOf({ passes }: Advice, products: readonly Product[], prices: PriceList, units: UnitSystem) {
	const parts = costParts(
		onTheirDays(passes),
		(pass) => productOf(pass, products),
		(item) => prices.get(item)
	);
	return {
		nutrients: parts.nutrients.map(({ nutrient, cost }) => ({ nutrient, cost: inSystem(cost, units) })),
		products: inSystem(parts.products, units),
		trips: inSystem(parts.trips, units),
		total: inSystem(parts.total, units)
	};
}

/** What a plan cut for cash flow is worked out from. */
function cutOf({ site, crop }: Advice, open: readonly Pass[], { library }: Desk, prices: PriceList) {
	const goal = figure({ label: 'expected crop', value: site.yieldGoal, unit: crop.yieldUnit, basis: 'adviser' });
	const removed = BALANCED.flatMap((nutrient) => {
		const out = removalOf(crop, nutrient, goal, site.residueShare, library.packs);
		return out.applies ? [[nutrient, out] as const] : [];
	});
	const used = [...new Set(open.map(({ product }) => product))];
	return {
		removed: Object.fromEntries(removed),
		lines: used.map((id) => {
			const product = productOf({ product: id }, library.products);
			const passes = open.filter((pass) => pass.product === id);
			return {
				product: id,
				name: product.name,
				cost: planCost(passes.map((pass) => passCost(pass, product, (item) => prices.get(item)))),
				brings: Object.fromEntries(
					BALANCED.map((nutrient) => [
						nutrient,
						passes.reduce((sum, pass) => sum + passNutrient(pass, product, nutrient), 0)
					])
				) as CutLine['brings']
			};
		})
	};
}

function valueOf(answer: Answer): number {
	return answer.applies ? answer.value : Infinity;
}
