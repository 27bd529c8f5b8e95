import { randomUUID } from 'node:crypto';
import { InputError } from '../../../../core/check/problem';
import type {
	AppliedAnswer,
	CreatedAnswer,
	DealerAction,
	EnteredPrices,
	ManureAction,
	MixAction,
	PriceFileAction,
	PricesAction,
	ProductAction,
	ProductFileAction,
	ReadBack,
	TakenProducts
} from '../../../../core/schema-types';
import type { CommonBlend } from '../../../../core/supply/blend/common-blend';
import { checkAnalysis } from '../../../../core/supply/catalogue/check-analysis';
import { sieveFault } from '../../../../core/supply/catalogue/quarry-lime';
import { readProductCsv } from '../../../../core/supply/catalogue/product-csv';
import { readPriceCsv } from '../../../../core/supply/price-csv';
import { manureProduct } from '../../../../core/supply/manure/manure-product';
import { prescriptionDifferences } from '../../../../core/zones/prescription/prescription-differences';
import { checkPriceItem, priceItemFault } from '../../field/supply/price-items';
import { mixForFields } from '../../field/supply/mix-for-fields';
import { readApart } from '../../files/apart/read-apart';
import { theLibrary } from '../../knowledge';
import { setDealer } from '../../stores/dealers';
import { keepOwnProducts, listOwnProducts, removeOwnProduct } from '../../stores/own-products';
import { addAsApplied, findPrescription, type PrescriptionRecord } from '../../stores/plan/prescriptions';
import { enterPrices, pricesOn, setPrices } from '../../stores/prices';
import { EXAMPLE_IDS, json, MAP_FILE, operation, type Call } from '../operation';

export const supplyOperations = [
	operation('PATCH /api/prices', {
		summary: 'Enters prices from today on',
		body: json<PricesAction>('actions#/definitions/PricesAction'),
		example: { prices: { 'product:urea': 540, 'grain:corn-grain': 4.6 } },
		stands: ({ desk }, { prices }) => {
			const now = pricesOn(desk.book, desk.today);
			return Object.fromEntries(Object.keys(prices).map((item) => [item, now.get(item) ?? null]));
		},
		run: ({ desk }, { prices }) => {
			for (const item of Object.keys(prices)) checkPriceItem(item, desk.library);
			setPrices(desk.book, desk.today, new Map(Object.entries(prices)));
		}
	}),
	operation('POST /api/prices/file', {
		summary: 'Imports prices from CSV, each from its own day on: all of them, or none',
		body: json<PriceFileAction>('actions#/definitions/PriceFileAction'),
		answer: json<EnteredPrices>('answers#/definitions/EnteredPrices'),
		example: { csv: 'item,price,since\nproduct:urea,540,2026-01-10\n' },
		run: ({ desk }, { csv }) => {
			const prices = readPriceCsv(csv, desk.today, (item) => priceItemFault(item, desk.library));
			enterPrices(desk.book, prices);
			return { entered: prices.length };
		}
	}),
	operation('POST /api/products', {
		summary: 'Keeps a product of the adviser’s own; one of the same name is replaced, a shipped one is not',
		body: json<ProductAction>('actions#/definitions/ProductAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: {
			product: {
				id: 'new',
				name: 'Pond ash',
				state: 'dry',
				analysis: { K2O: 5 },
				placements: ['broadcast'],
				hazards: [],
				basis: 'adviser'
			}
		},
		run: ({ desk }, { product }) => {
			if (theLibrary().products.some(({ name }) => name.toLowerCase() === product.name.toLowerCase())) {
				const message = `“${product.name}” is in the shipped catalogue; give yours a name of its own`;
				throw new InputError([{ path: '/product/name', message }]);
			}
			checkAnalysis(product, '/product');
			const fault = sieveFault(product.lime);
			if (fault) throw new InputError([{ path: '/product/lime/passing', message: fault }]);
			const known = listOwnProducts(desk.book).find(({ name }) => name === product.name);
			// The id is the book's to give.
			const id = known?.id ?? `own-${randomUUID().slice(0, 8)}`;
			keepOwnProducts(desk.book, [{ ...product, id, own: true }], `Put ${product.name} into the catalogue`);
			return { id };
		}
	}),
	operation('POST /api/products/file', {
		summary: 'Takes own products in from CSV: all of them, or none',
		body: json<ProductFileAction>('actions#/definitions/ProductFileAction'),
		answer: json<TakenProducts>('answers#/definitions/TakenProducts'),
		example: { csv: 'id,name,state,K2O,placements\npond-ash,Pond ash,dry,5,broadcast\n' },
		run: ({ desk }, { csv }) => {
			const shipped = new Set(theLibrary().products.map(({ id }) => id));
			const products = readProductCsv(csv);
			const own = products.filter(({ id }) => !shipped.has(id));
			if (own.length === 0) {
				const message = 'holds only products of the shipped catalogue; give your own an id of its own';
				throw new InputError([{ path: 'file', message }]);
			}
			keepOwnProducts(desk.book, own, `Took ${own.length} products into the catalogue`);
			return { taken: own.length, passedOver: products.length - own.length };
		}
	}),
	operation('DELETE /api/products/{product}', {
		summary: 'Removes a product of the adviser’s own, where no plan needs it',
		run: ({ params, desk }) =>
			removeOwnProduct(
				desk.book,
				listOwnProducts(desk.book).find(({ id }) => id === params.product)!
			)
	}),
	operation('POST /api/manure', {
		summary: 'Puts a manure with its analysis into the catalogue; one of the same name is replaced',
		body: json<ManureAction>('actions#/definitions/ManureAction'),
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		example: { name: 'Barn 2', kind: 'dairy-manure', handling: 'surface', totalN: 10, p2o5: 5, k2o: 9 },
		run: ({ desk }, { name, kind, handling, ...analysis }) => {
			const { manures } = desk.library;
			const found = one(manures.kinds, kind, '/kind');
			const how = one(manures.handling, handling, '/handling');
			if ((analysis.ammoniumN ?? 0) > analysis.totalN) {
				const message = `must not be above the total ${analysis.totalN}; got ${analysis.ammoniumN}`;
				throw new InputError([{ path: '/ammoniumN', message }]);
			}
			const known = listOwnProducts(desk.book).find((product) => product.manure && product.name === name);
			const id = known?.id ?? `manure-${randomUUID().slice(0, 8)}`;
			const product = manureProduct(id, name, { ...analysis, ammoniumN: analysis.ammoniumN }, found, how);
			keepOwnProducts(desk.book, [product], `Put ${name} into the catalogue`);
			return { id };
		}
	}),
	operation('PUT /api/dealers', {
		summary: 'Says from whom a product comes; an empty name from nobody',
		body: json<DealerAction>('actions#/definitions/DealerAction'),
		example: { product: 'urea', dealer: 'River Elevator' },
		run: ({ desk }, { product, dealer }) => {
			const found = desk.library.products.find(({ id }) => id === product);
			if (!found) throw new InputError([{ path: '/product', message: `"${product}" is not in the catalogue` }]);
			setDealer(desk.book, found, dealer.trim());
		}
	}),
	operation('POST /api/orders/mix', {
		summary:
			'Finds the cheapest mix for the open dry broadcast passes of several fields, at a rate of its own for each',
		body: json<MixAction>('actions#/definitions/MixAction'),
		answer: json<CommonBlend>('answers#/definitions/SharedMix'),
		example: { year: 2027, fields: [EXAMPLE_IDS.field, EXAMPLE_IDS.otherField] },
		names: ({ fields }) => ({ field: fields }),
		run: ({ desk }, action) => mixForFields(desk, action)
	}),
	operation('POST /api/prescriptions/{prescription}/read-back', {
		summary: 'Says what a file says otherwise than the prescription; nothing is kept',
		file: MAP_FILE,
		answer: json<ReadBack>('answers#/definitions/ReadBack'),
		run: async (call, _, file) => {
			const { content } = prescriptionAt(call);
			const read = await readApart('prescription', { file, unit: content.unit }, call.gone);
			return { parts: read.parts.length, differences: prescriptionDifferences(content, read) };
		}
	}),
	operation('POST /api/prescriptions/{prescription}/as-applied', {
		summary: 'Books what a monitor logged: points with a column of the rate, in the unit of the prescription',
		query: {
			column: 'The column of the rate; the first that is named rate or applied where left out',
			on: 'The day; today where left out'
		},
		file: MAP_FILE,
		answer: json<AppliedAnswer>('answers#/definitions/AppliedAnswer'),
		run: async (call, _, file) => {
			const { desk, query, gone } = call;
			const prescription = prescriptionAt(call);
			const day = query.get('on') ?? desk.today;
			const column = query.get('column') ?? undefined;
			const applied = await readApart('asApplied', { file, prescription: prescription.content, day, column }, gone);
			addAsApplied(desk.book, prescription, applied);
			return { points: applied.points };
		}
	})
] as const;

function prescriptionAt({ params, desk }: Call<'{prescription}'>): PrescriptionRecord {
	return findPrescription(desk.book, params.prescription)!;
}

function one<T extends { id: string }>(list: readonly T[], id: string, path: string): T {
	const found = list.find((entry) => entry.id === id);
	if (found) return found;
	throw new InputError([{ path, message: `"${id}" is not known; known: ${list.map((entry) => entry.id).join(', ')}` }]);
}
