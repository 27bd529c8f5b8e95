import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { productRows, readProductCsv } from '../../core/supply/catalogue/product-csv';
import type { InputError } from '../../core/check/problem';
import { manureProduct } from '../../core/supply/manure/manure-product';
import { orderOf } from '../../core/supply/order';
import { cautionsFor } from '../../core/season/plan/hazards';
import { workOrders } from '../../core/sheet/work-orders';
import { sheetDifferences } from '../../core/sheet/sheet-differences';
import type { BookDocument, Pass, SheetContent } from '../../core/schema-types';
import { openBook } from './book/open-book';
import { fillBook } from './book/fill-book';
import { libraryOf } from './current-library';
import { loadFieldYear } from './field/field-year';
import { theLibrary } from './knowledge';
import { listFields } from './stores/fields';
import { changePasses, findFieldYear, setGoal } from './stores/field-years';
import { listOpenPasses } from './stores/order-passes';
import { keepOwnProducts, listOwnProducts, removeOwnProduct } from './stores/own-products';
import { undo, undoable } from './book/act';
import { buildSheet } from '../../core/sheet/build-sheet';

const demo = JSON.parse(readFileSync('demo/district.json', 'utf8')) as BookDocument;
function demoBook() {
	const db = openBook(':memory:');
	fillBook(db, demo);
	return db;
}

describe('the order of the demo book', () => {
	it('adds up to the sum of its fields, by product, to the pound', () => {
		const db = demoBook();
		const { products } = theLibrary();
		const open = listOpenPasses(db, 2027, products);
		const lines = orderOf(open, products);
		expect(lines.length).toBeGreaterThan(5);
		// Counted again field by field, straight from the book.
		const again = new Map<string, number>();
		const rows = db
			.prepare<[], { plan: string; area_ac: number | null }>(
				`SELECT p.plan, f.area_ac FROM pass p JOIN field_year y ON y.id = p.field_year_id JOIN field f ON f.id = y.field_id
				WHERE y.year = 2027 AND p.done_on IS NULL`
			)
			.all();
		for (const { plan, area_ac } of rows) {
			const pass = JSON.parse(plan) as Pass;
			const perAcre = pass.unit === 'lb/ac' ? pass.rate : pass.rate * 2000;
			again.set(pass.product, (again.get(pass.product) ?? 0) + perAcre * (area_ac ?? 0));
		}
		for (const { product, pounds, parts } of lines) {
			expect(Math.abs(pounds - again.get(product.id)!)).toBeLessThan(1);
			expect(Math.abs(parts.reduce((sum, part) => sum + part.pounds, 0) - pounds)).toBeLessThan(1e-6);
		}
		expect([...again.keys()].sort()).toEqual(lines.map(({ product }) => product.id).sort());
		db.close();
	});
});

describe('own products', () => {
	it('go out as CSV and come back the same', () => {
		const own = [{ ...theLibrary().products[0]!, id: 'own-urea', own: true, basis: 'adviser' as const }];
		const csv = productRows(own)
			.map((row) => row.map((cell) => `"${cell}"`).join(','))
			.join('\n');
		const [back] = readProductCsv(csv);
		expect(back).toMatchObject({
			id: 'own-urea',
			analysis: own[0]!.analysis,
			placements: own[0]!.placements,
			nitrogenForms: own[0]!.nitrogenForms,
			own: true
		});
	});
	it.each([
		['', 'the file holds no products'],
		['id,name\na,b', 'has no column “state”'],
		['id,name,state,placements,N\nown,Own,dry,broadcast,much', 'line 2/analysis/N'],
		['id,name,state,placements\nown,Own,solid,broadcast', 'line 2/state'],
		['id,name,state,placements,N,P2O5\nown,Own,dry,broadcast,60,41', '60 N + 41 P2O5 come to 101 % by weight'],
		['id,name,state,placements,N\nown,Own,dry,broadcast,20\nown,Own,dry,broadcast,20', '"own" stands on line 2 already']
	])('a file with a fault gives nothing: %#', (csv, says) => {
		let told = '';
		try {
			readProductCsv(csv);
		} catch (error) {
			told = (error as InputError).problems.map(({ path, message }) => `${path} ${message}`).join('; ');
		}
		expect(told).toContain(says);
	});
	it('are in the library at once, stay while a plan stands on them, and can be undone', () => {
		const db = demoBook();
		const kinds = theLibrary().manures;
		const litter = manureProduct(
			'manure-1',
			'House 2',
			{ totalN: 60, ammoniumN: 10, p2o5: 55, k2o: 45 },
			kinds.kinds[0]!,
			kinds.handling[1]!
		);
		keepOwnProducts(db, [litter], 'Put House 2 into the catalogue');
		expect(libraryOf(db, theLibrary()).products.at(-1)).toEqual(litter);
		const field = listFields(db).find(({ name }) => name === 'Crow Acre')!;
		const year = findFieldYear(db, field.id, 2027)!;
		const spread: Pass = {
			id: 'm',
			date: '2027-04-20',
			label: 'Litter',
			product: 'manure-1',
			rate: 3,
			unit: 'short ton/ac',
			placement: 'incorporated',
			reason: ''
		};
		changePasses(db, year, 'Added', [], [spread]);
		expect(() => removeOwnProduct(db, litter)).toThrow('stands in a plan');
		expect(() => undo(db, undoable(db)!.id - 1)).toThrow('House 2 stands in a plan; remove those passes first.');
		expect(listOwnProducts(db)).toEqual([litter]);
		undo(db, undoable(db)!.id);
		undo(db, undoable(db)!.id);
		expect(listOwnProducts(db)).toEqual([]);
		db.close();
	});
	it('manure of the year before reaches the nitrogen of the next, unless the adviser typed a figure', () => {
		const db = demoBook();
		const kinds = theLibrary().manures;
		const litter = manureProduct(
			'manure-1',
			'House 2',
			{ totalN: 60, ammoniumN: 10, p2o5: 55, k2o: 45 },
			kinds.kinds[0]!,
			kinds.handling[1]!
		);
		keepOwnProducts(db, [litter], 'Put House 2 into the catalogue');
		const library = libraryOf(db, theLibrary());
		const field = listFields(db).find(({ name }) => name === 'Crow Acre')!;
		setGoal(db, field.id, 2028, {
			crop: 'corn-grain',
			yield_goal: 160,
			previous_crop: 'corn-grain',
			planting_date: null,
			row_spacing_in: null,
			target_ph: null
		});
		const before = loadFieldYear(db, library, field.id, 2028, '2027-11-20').advice!;
		expect(before.request.nitrogen?.earlierManureN).toBeUndefined();
		const spread: Pass = {
			id: 'm',
			date: '2027-04-20',
			label: 'Litter',
			product: 'manure-1',
			rate: 3,
			unit: 'short ton/ac',
			placement: 'incorporated',
			reason: ''
		};
		changePasses(db, findFieldYear(db, field.id, 2027)!, 'Added', [], [spread]);
		const after = loadFieldYear(db, library, field.id, 2028, '2027-11-20').advice!;
		// 3 tons x 50 lb organic x 0.12
		expect(after.request.nitrogen?.earlierManureN).toBeCloseTo(18, 6);
		const rate = (advice: typeof after) =>
			advice.answer.rates.find(({ method }) => method === 'tri-state-1995/nitrogen')?.rate ?? 0;
		expect(rate(before) - rate(after)).toBeCloseTo(18, 1);
		db.close();
	});
});

describe('work orders', () => {
	const { products, cautions, crops } = theLibrary();
	const sheetOf = (passes: Pass[]): SheetContent =>
		buildSheet({
			preparedBy: 'A',
			issuedOn: '2027-03-01',
			grower: 'G',
			field: { name: 'F', areaAcres: 10 },
			year: 2027,
			crop: crops[0]!,
			plantingDate: '2027-05-01',
			previousCrop: undefined,
			soilSource: '',
			soilValues: [],
			chosen: [],
			passes,
			stages: [],
			passCosts: new Map(passes.map(({ id }) => [id, { applies: false, label: '', reason: 'no price', remedy: '' }])),
			findings: [],
			checks: [
				{ rule: 'setbacks', severity: 'note', text: 'Keep 100 ft from the well.', basis: 'adviser', remedies: [] }
			],
			packs: [],
			request: JSON.parse(readFileSync('demo/requests/corn-after-soybean.json', 'utf8')) as SheetContent['request'],
			products,
			leafTests: [],
			decisions: [],
			station: { name: 'Fen Gauge', simulated: false },
			cautionList: cautions,
			loads: { tankGal: 1000, boxLb: 12_000, batchLb: 12_000, weighLb: 50 },
			prescriptions: new Map()
		});
	const passOf = (product: string, change: Partial<Pass> = {}): Pass => ({
		id: product,
		date: '2027-05-01',
		label: product,
		product,
		rate: 10,
		unit: 'lb/ac',
		placement: products.find(({ id }) => id === product)!.placements[0]!,
		reason: '',
		...change
	});
	it('no product, placement or inhibitor that can hurt goes out without its caution', () => {
		for (const product of products) {
			for (const placement of product.placements) {
				const pass = passOf(product.id, { placement, additive: 'urease inhibitor' });
				const [order] = workOrders(sheetOf([pass]));
				for (const caution of cautionsFor(product, pass, cautions)) expect(order!.cautions).toContain(caution);
				for (const hazard of product.hazards.filter((one) => one !== 'surface-urea')) {
					expect(cautions.cautions[hazard], hazard).toBeDefined();
					expect(order!.cautions).toContain(cautions.cautions[hazard]);
				}
				expect(order!.cautions).toContain(cautions.always);
				expect(order!.cautions).toContain(cautions.inhibitor);
				if (placement === 'drip' || placement === 'pivot') expect(order!.cautions).toContain(cautions.irrigation);
				if (placement === 'seed row') expect(order!.cautions).toContain(cautions.seedRow);
			}
		}
	});
	it('one for each trip, in order of date, with the setbacks', () => {
		const orders = workOrders(
			sheetOf([
				passOf('urea', { date: '2027-06-01' }),
				passOf('uan-28', { trip: 't' }),
				passOf('ammonium-thiosulfate', { trip: 't' })
			])
		);
		expect(orders.map(({ passes }) => passes.length)).toEqual([2, 1]);
		expect(orders[0]!.title).toBe('uan-28 + ammonium-thiosulfate');
		for (const { warnings } of orders) expect(warnings).toEqual(['Keep 100 ft from the well.']);
	});
	it('a sheet says what the last one said otherwise', () => {
		const before = sheetOf([passOf('urea'), passOf('map')]);
		const after = sheetOf([passOf('urea', { date: '2027-05-09', rate: 20 }), passOf('potash')]);
		expect(sheetDifferences(before, after)).toEqual([
			'urea: on 9 May 2027, before 1 May 2027; 20 lb/ac, before 10 lb/ac.',
			'New: potash on 1 May 2027, Muriate of potash 0-0-60, 10 lb/ac.',
			'No longer: map on 1 May 2027.'
		]);
		expect(sheetDifferences(before, before)).toEqual([]);
	});
});
