import type { MixAction } from '../../../../core/schema-types';
import { passNutrients } from '../../../../core/season/plan/pass/pass-figures';
import { productOf } from '../../../../core/season/plan/plan-context';
import { apartPairs } from '../../../../core/supply/blend/apart-pairs';
import { commonBlend, type CommonBlend, type SharingField } from '../../../../core/supply/blend/common-blend';
import { loadSolver } from '../../../../core/supply/blend/solver';
import { LB_PER_SHORT_TON } from '../../../../core/units/factors';
import { ActionError } from '../../book/action-error';
import type { Desk } from '../../desk';
import { listOpenPasses } from '../../stores/order-passes';
import { pricesOn } from '../../stores/prices';

/**
 * The cheapest mix that serves the open dry broadcast passes of several fields, at a rate of its own for each.
 * @throws ActionError where fewer than two of them have such a pass, or no mix serves them
 */
export async function mixForFields(desk: Desk, { year, fields, maxProducts }: MixAction): Promise<CommonBlend> {
	const prices = pricesOn(desk.book, desk.today);
	const shelf = desk.library.products.filter(
		({ id, lime, state, manure }) => prices.has(`product:${id}`) && state === 'dry' && !lime && !manure
	);
	const sharing = sharingFields(desk, year, new Set(fields));
	if (sharing.length < 2) {
		throw new ActionError('At least two of these fields need an area and an open dry broadcast pass.');
	}
	const found = commonBlend(
		sharing,
		{
			products: shelf.map(({ id, name, analysis }) => ({
				id,
				name,
				analysis,
				pricePerLb: prices.get(`product:${id}`)! / LB_PER_SHORT_TON
			})),
			apart: apartPairs(shelf),
			...(maxProducts ? { maxProducts } : {})
		},
		await loadSolver()
	);
	if (!found)
		throw new ActionError('No mix serves these fields: they share no nutrient, or too few products are allowed.');
	return found;
}

function sharingFields({ book, library }: Desk, year: number, asked: ReadonlySet<string>): SharingField[] {
	const { products } = library;
	const byField = new Map<string, SharingField>();
	for (const { fieldId, field, acres, pass } of listOpenPasses(book, year, products)) {
		const product = productOf(pass, products);
		if (
			!asked.has(fieldId) ||
			acres === undefined ||
			pass.placement !== 'broadcast' ||
			product.state !== 'dry' ||
			product.lime
		)
			continue;
		const sharing = byField.get(fieldId) ?? { name: field, acres, demand: {} };
		for (const { nutrient, pounds } of passNutrients(pass, product)) {
			sharing.demand[nutrient] = (sharing.demand[nutrient] ?? 0) + pounds.value;
		}
		byField.set(fieldId, sharing);
	}
	return [...byField.values()];
}
