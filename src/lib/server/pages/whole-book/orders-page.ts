import { figure } from '../../../../core/figure/figure';
import { orderOf, treatedAcres } from '../../../../core/supply/order';
import { planningYear } from '../../field/planning-year';
import { LB_PER_SHORT_TON } from '../../../../core/units/factors';
import { readDealers } from '../../stores/dealers';
import { listOpenPasses } from '../../stores/order-passes';
import { pricesOn } from '../../stores/prices';
import { newestSheets } from '../../stores/sheets';
import type { Desk } from '../../desk';
import { yearOf } from '../../field/year-of';

/** What is to be ordered for the open passes of a year, over all fields. */
export function ordersPage({ book, library, today, settings }: Desk, asked: string | null) {
	const year = asked ? yearOf(asked) : planningYear(today);
	const open = listOpenPasses(book, year, library.products);
	const { products, additives } = library;
	const prices = pricesOn(book, today);
	const dealers = readDealers(book);
	const sheets = newestSheets(book, year);
	const fields = new Map(open.map(({ fieldId, field, grower }) => [fieldId, { id: fieldId, name: field, grower }]));
	return {
		title: 'Orders',
		year,
		preparedBy: settings.preparedBy,
		units: settings.units,
		lines: orderOf(open, products, settings.units).map(({ product, ...line }) => {
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
}
