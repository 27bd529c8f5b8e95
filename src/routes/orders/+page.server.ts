import { figure } from '$core/figure/figure';
import { orderOf, treatedAcres } from '$core/supply/order';
import { currentLibrary } from '$lib/server/current-library';
import { planningYear } from '$lib/server/field/planning-year';
import { LB_PER_SHORT_TON } from '$core/units/factors';
import { readDealers } from '$lib/server/stores/dealers';
import { listOpenPasses } from '$lib/server/stores/order-passes';
import { pricesOn } from '$lib/server/stores/prices';
import { newestSheets } from '$lib/server/stores/sheets';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import { yearOf } from '$lib/server/field/year-of';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url }) => {
	const asked = url.searchParams.get('year');
	const year = asked ? yearOf(asked) : planningYear(today());
	const open = listOpenPasses(theBook(), year, currentLibrary().products);
	const { products, additives } = currentLibrary();
	const prices = pricesOn(theBook(), today());
	const dealers = readDealers(theBook());
	const sheets = newestSheets(theBook(), year);
	const fields = new Map(open.map(({ fieldId, field, grower }) => [fieldId, { id: fieldId, name: field, grower }]));
	return {
		title: 'Orders',
		year,
		preparedBy: readSettings(theBook()).preparedBy,
		lines: orderOf(open, products).map(({ product, ...line }) => {
			const price = prices.get(`product:${product.id}`);
			return {
				...line,
				id: product.id,
				needed: figure({
					label: `${product.name} for all fields`,
					value: line.pounds,
					unit: 'lb',
					formula: 'sum of the fields: rate x acres of each open pass',
					inputs: line.parts.map(({ field, pounds }) =>
						figure({ label: field, value: pounds, unit: 'lb', basis: 'adviser' })
					),
					basis: 'adviser'
				}),
				dealer: dealers[product.id] ?? '',
				name: product.name,
				cost: price === undefined ? undefined : (line.pounds / LB_PER_SHORT_TON) * price
			};
		}),
		additives: treatedAcres(open).map(({ additive, acres }) => {
			const price = prices.get(`additive:${additive}`);
			const name = additives.find(({ id }) => id === additive)?.name ?? additive;
			return { name, acres, cost: price === undefined ? undefined : price * acres };
		}),
		names: Object.fromEntries(products.map(({ id, name }) => [id, name])),
		fields: [...fields.values()].map((field) => ({ ...field, sheet: sheets.get(field.id) }))
	};
};
