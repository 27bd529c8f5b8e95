import { priceItemFault } from '../../field/supply/price-items';
import { pricesPage } from './prices-page';
import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Pass } from '../../../../core/schema-types';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { setDealer } from '../../stores/dealers';
import { listFields } from '../../stores/fields';
import { changePasses, findFieldYear, listPasses, markDone } from '../../stores/field-years';
import { saveGuide, setGuideOff } from '../../stores/guides';
import { setHouseRules } from '../../stores/house-rules';
import { setPrices } from '../../stores/prices';
import { changeSettings } from '../../stores/settings';
import { addWeather, setOutlook } from '../../stores/stations';
import { curvesPage } from './curves-page';
import { guidesPage } from './guides-page';
import { houseRulesPage } from './house-rules-page';
import { mapPage } from './map-page';
import { ordersPage } from './orders-page';
import { productsPage } from './products-page';
import { rosterPage } from './roster-page';
import { weatherPage } from './weather-page';

const district = readFileSync('demo/district.json', 'utf8');
let db: Database;
let today: string;

beforeEach(() => {
	db = openBook(':memory:');
	fillBook(db, JSON.parse(district));
	today = '2026-11-23';
});

const desk = () => new Desk(db, libraryOf(db, theLibrary()), today);
const idOf = (name: string) => listFields(db).find((field) => field.name === name)!.id;
const yearOf = (name: string, year = 2027) => findFieldYear(db, idOf(name), year)!;
const plansOf = (name: string) => listPasses(db, yearOf(name).id).map(({ plan }) => plan);

describe('the roster', () => {
	const row = (name: string) => rosterPage(desk()).rows.find((one) => one.name === name)!;

	it('has every field of the book once, by the crop of the planning year', () => {
		const { rows, year } = rosterPage(desk());
		expect(year).toBe(2027);
		expect(rows.map(({ id }) => id).sort()).toEqual(
			listFields(db)
				.map(({ id }) => id)
				.sort()
		);
		expect(row('Kingfisher Bend')).toMatchObject({
			cropName: 'Corn',
			yieldUnit: 'bu/ac of 56 lb',
			units: 'us',
			grower: 'Tarrow & Daughters'
		});
		today = '2026-08-31';
		expect(rosterPage(desk()).year).toBe(2026);
		expect(row('Kingfisher Bend').cropName).toBe('Soybean');
	});

	it('counts what is chosen and planned, and shows the next open pass', () => {
		const first = plansOf('Crow Acre')[0]!;
		expect(row('Crow Acre')).toMatchObject({
			passes: plansOf('Crow Acre').length,
			nextPass: first.date,
			nextLabel: first.label
		});
		markDone(db, yearOf('Crow Acre'), first, first.date);
		expect(row('Crow Acre').nextPass).toBe(plansOf('Crow Acre')[1]!.date);
		expect(row('Kingfisher Bend')).toMatchObject({ passes: 0, nextPass: null });
	});

	it('says what is due within a fortnight, passes of a kind together, late ones too', () => {
		today = plansOf('Crow Acre')[0]!.date;
		const { due } = rosterPage(desk());
		const labels = due.map(({ label }) => label);
		expect(new Set(labels).size).toBe(labels.length);
		const last = new Date(Date.parse(today) + 14 * 86_400_000).toISOString().slice(0, 10);
		for (const { from, passes } of due) {
			expect(passes.length).toBeGreaterThan(0);
			expect(passes[0]!.date).toBe(from);
			for (const { date } of passes) expect(date <= last).toBe(true);
		}
		expect(due.flatMap(({ passes }) => passes).some(({ field }) => field === 'Crow Acre')).toBe(true);
		today = '2026-01-01';
		expect(
			rosterPage(desk())
				.due.flatMap(({ passes }) => passes)
				.every(({ date }) => date <= '2026-01-15')
		).toBe(true);
	});
});

describe('orders over the book', () => {
	const line = (id: string, year: string | null = null) => ordersPage(desk(), year).lines.find((one) => one.id === id);
	const urea = (change: Partial<Pass> = {}): Pass => ({
		id: 'new',
		date: '2027-04-20',
		label: 'Urea',
		product: 'urea',
		rate: 100,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: '',
		...change
	});
	const plan = (name: string, pass: Pass) => changePasses(db, yearOf(name), 'x', [], [pass]);

	it('sums rate x acres of the open passes of a product, with each field in the worksheet', () => {
		for (const { name } of listFields(db)) {
			const year = findFieldYear(db, idOf(name), 2027);
			if (!year) continue;
			const plans = listPasses(db, year.id).flatMap(({ plan: { id }, doneOn }) => (doneOn ? [] : [id]));
			changePasses(db, year, 'x', plans, []);
		}
		plan('Kingfisher Bend', urea());
		plan('Crow Acre', urea({ rate: 50 }));
		const acres = (name: string) => listFields(db).find((field) => field.name === name)!.area_ac!;
		const pounds = 100 * acres('Kingfisher Bend') + 50 * acres('Crow Acre');
		expect(line('urea')!.needed).toMatchObject({ applies: true, value: pounds, unit: 'lb' });
		expect(
			line('urea')!
				.needed.inputs.map(({ label }) => label)
				.sort()
		).toEqual(['Crow Acre', 'Kingfisher Bend']);
		expect(ordersPage(desk(), null).lines).toHaveLength(1);
		expect(
			ordersPage(desk(), null)
				.fields.map(({ name }) => name)
				.sort()
		).toEqual(['Crow Acre', 'Kingfisher Bend']);
		expect(ordersPage(desk(), '2026').lines).toEqual([]);
		expect(() => ordersPage(desk(), 'soon')).toThrow();
		markDone(db, yearOf('Crow Acre'), plansOf('Crow Acre')[0]!, '2027-04-20');
		expect(line('urea')!.needed.value).toBeCloseTo(100 * acres('Kingfisher Bend'), 9);
	});

	it('costs by the short ton at the price in force, from the dealer who was named', () => {
		plan('Kingfisher Bend', urea());
		const { value } = line('urea')!.needed;
		setPrices(db, '2026-11-01', new Map([['product:urea', 500]]));
		expect(line('urea')!.cost).toBeCloseTo((value / 2000) * 500, 6);
		setPrices(db, '2026-12-01', new Map([['product:urea', 900]]));
		expect(line('urea')!.cost).toBeCloseTo((value / 2000) * 500, 6);
		expect(line('urea')!.dealer).toBe('');
		setDealer(
			db,
			theLibrary().products.find(({ id }) => id === 'urea')!,
			'River Elevator'
		);
		expect(line('urea')!.dealer).toBe('River Elevator');
	});

	it('counts the acres that an inhibitor goes on', () => {
		plan('Kingfisher Bend', urea({ additive: 'urease inhibitor' }));
		const treated = () => ordersPage(desk(), null).additives.find(({ name }) => /urease/i.test(name))!;
		expect(treated().acres).toBeGreaterThanOrEqual(62);
		setPrices(db, '2026-11-20', new Map([['additive:urease inhibitor', 3]]));
		expect(treated().cost).toBeCloseTo(treated().acres * 3, 9);
		db.exec('DELETE FROM price');
		expect(treated().cost).toBeUndefined();
	});
});

describe('the page of prices', () => {
	const item = (name: string) => pricesPage(desk()).items.find((one) => one.item === name)!;

	it('shows what holds today, since when, and how it moved', () => {
		setPrices(db, '2026-02-01', new Map([['product:urea', 400]]));
		setPrices(db, '2026-11-01', new Map([['product:urea', 500]]));
		setPrices(db, '2099-01-01', new Map([['product:urea', 900]]));
		const urea = item('product:urea');
		expect(urea).toMatchObject({ group: 'Product', unit: '$ per short ton', price: 500, since: '2026-11-01' });
		expect(urea.change).toMatchObject({ unit: '%', value: expect.closeTo(25, 9) as number });
		// 500 / 2000 / 0.46
		expect(urea.perPound).toMatchObject({ unit: '$/lb N', value: expect.closeTo(0.5435, 4) as number });
		expect(urea.history.map(({ since }) => since).slice(0, 3)).toEqual(['2099-01-01', '2026-11-01', '2026-02-01']);
	});

	it('lists everything that may have a price, and invents none', () => {
		db.exec('DELETE FROM price');
		const { items } = pricesPage(desk());
		expect(new Set(items.map(({ group }) => group))).toEqual(
			new Set(['Crop', 'Nutrient', 'Product', 'Additive', 'Trip'])
		);
		for (const one of items) {
			expect(priceItemFault(one.item, theLibrary()), one.item).toBeUndefined();
			expect([one.price, one.since, one.change, one.perPound]).toEqual([undefined, undefined, undefined, undefined]);
		}
		setPrices(db, '2026-03-01', new Map([['trip:spray', 0]]));
		setPrices(db, '2026-04-01', new Map([['trip:spray', 9]]));
		expect(item('trip:spray').change).toBeUndefined();
	});
});

describe('the other pages of the whole book', () => {
	it('curves: each with its rate of the economic optimum, or what is missing for one', () => {
		const { curves } = curvesPage(desk());
		expect(curves.length).toBeGreaterThan(0);
		for (const { best, lowestRate, highestRate } of curves) {
			if (!best.applies) expect(best.reason.length).toBeGreaterThan(5);
			else expect(best.value >= lowestRate && best.value <= highestRate).toBe(true);
		}
		db.exec('DELETE FROM price');
		expect(curvesPage(desk()).curves.every(({ best }) => !best.applies && /price/.test(best.reason))).toBe(true);
	});

	it('products: the catalogue with the book’s own, and a caution for each hazard', () => {
		const { products, hazards, placements, kinds, handling } = productsPage(desk());
		expect(products.length).toBeGreaterThan(30);
		const known = new Set(hazards.map(({ id }) => id));
		for (const product of products) for (const hazard of product.hazards) expect(known.has(hazard), hazard).toBe(true);
		expect(new Set(placements).size).toBe(placements.length);
		expect([kinds.length > 3, handling.length > 2]).toEqual([true, true]);
	});

	it('guides: the adviser’s own come first, and one that is set aside says so', () => {
		const own = JSON.parse(readFileSync('demo/packs/central-plains-2003.json', 'utf8'));
		saveGuide(db, own, '2026-11-01T00:00:00Z');
		setGuideOff(db, 'tri-state-2020', 'x', true);
		const { guides } = guidesPage(desk());
		expect(guides[0]).toMatchObject({ id: 'central-plains-2003', own: true, off: false });
		expect(guides.filter((guide) => guide.off).map(({ id }) => id)).toEqual(['tri-state-2020']);
		const { gives } = guides.find(({ id }) => id === 'tri-state-1995')!;
		expect(gives).toEqual(expect.arrayContaining(['N', 'P2O5', 'K2O', 'lime']));
		expect(new Set(gives).size).toBe(gives.length);
	});

	it('weather: what a station measured, and what is expected of the next days', () => {
		const before = weatherPage(desk());
		expect(before.outlook.own).toBe(false);
		expect(before.stations.some(({ id }) => id === before.inUse.id)).toBe(true);
		expect(before.cold.early <= before.cold.usual && before.cold.usual <= before.cold.late).toBe(true);
		addWeather(db, 'Long Meadow', 41, [
			{ date: '2026-05-01', minC: 4, maxC: 18, rainMm: 0 },
			{ date: '2026-05-03', minC: 5, maxC: 19, rainMm: 7 }
		]);
		setOutlook(db, { from: '2026-11-23', rainMm: Array<number>(10).fill(2) });
		const after = weatherPage(desk());
		expect(after.stations.find(({ name }) => name === 'Long Meadow')).toMatchObject({
			days: 2,
			first: '2026-05-01',
			last: '2026-05-03',
			simulated: true
		});
		expect(after.outlook.own).toBe(true);
		expect(after.outlook.days.map(({ rainMm }) => rainMm)).toEqual(Array<number>(10).fill(2));
	});

	it('map and own rules: the fields with their crop; what the adviser keeps to beside the usual', () => {
		expect(mapPage(desk()).fields).toHaveLength(listFields(db).length);
		expect(mapPage(desk()).fields.find(({ name }) => name === 'Crow Acre')).toMatchObject({
			crop: 'Corn',
			areaAc: 17.5,
			soil: { pH: 4.9, P: 8, K: 104 },
			next: 'sheet'
		});
		expect(houseRulesPage(desk()).rules).toEqual({ noGo: [] });
		setHouseRules(db, { noGo: [{ name: 'Chapel', from: '2027-05-06', to: '2027-05-06' }] } as never);
		expect(houseRulesPage(desk()).rules.noGo).toHaveLength(1);
		expect(houseRulesPage(desk()).usual.lbAc).toBeGreaterThan(0);
		expect(houseRulesPage(desk()).growers).toContain('Tarrow & Daughters');
	});

	it('own days of one grower are no days of another', () => {
		const rule = { from: '01-01', to: '12-31', what: 'everything' as const, reason: 'Buyer’s contract.' };
		const stopped = (name: string) =>
			desk().fieldYear({ field: idOf(name), year: '2027' }).advice!.context.houseRules.noGo;
		setHouseRules(db, { noGo: [{ ...rule, grower: 'Tarrow & Daughters' }] });
		expect(stopped('Kingfisher Bend')).toHaveLength(1);
		expect(stopped('Long Meadow')).toEqual([]);
	});

	it('an empty book has pages too', () => {
		db = openBook(':memory:');
		expect(rosterPage(desk())).toMatchObject({ rows: [], due: [] });
		expect(ordersPage(desk(), null)).toMatchObject({ lines: [], fields: [], preparedBy: '' });
		changeSettings(db, { preparedBy: 'Ada' });
		expect(ordersPage(desk(), null).preparedBy).toBe('Ada');
		expect(curvesPage(desk()).curves).toEqual([]);
	});
});
