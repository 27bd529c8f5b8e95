import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { InputError } from '../../../../core/check/problem';
import type { Pass } from '../../../../core/schema-types';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { listFields } from '../../stores/fields';
import { changePasses, findFieldYear, listPasses } from '../../stores/field-years';
import { setPrices } from '../../stores/prices';
import { mixForFields } from './mix-for-fields';
import { checkPriceItem } from './price-items';

const district = readFileSync('demo/district.json', 'utf8');
let db: Database;
beforeEach(() => {
	db = openBook(':memory:');
	fillBook(db, JSON.parse(district));
	db.exec("DELETE FROM price WHERE item LIKE 'product:%'");
	setPrices(
		db,
		'2026-11-01',
		new Map([
			['product:urea', 500],
			['product:map', 700],
			['product:potash', 450]
		])
	);
});

const desk = () => new Desk(db, libraryOf(db, theLibrary()), '2026-11-23');
const idOf = (name: string) => listFields(db).find((field) => field.name === name)!.id;

/** Leaves a field with one pass of the year, spread dry. */
function only(name: string, change: Partial<Pass>): string {
	const year = findFieldYear(db, idOf(name), 2027)!;
	const open = listPasses(db, year.id).flatMap(({ plan: { id }, doneOn }) => (doneOn ? [] : [id]));
	const pass: Pass = {
		id: 'new',
		date: '2027-04-20',
		label: 'Spread',
		product: 'potash',
		rate: 100,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: '',
		...change
	};
	changePasses(db, year, 'x', open, [pass]);
	return year.field_id;
}

describe('one mix for several fields', () => {
	it('meets each field at a rate of its own, in proportion where they want the same', async () => {
		const fields = [only('Kingfisher Bend', { rate: 100 }), only('Heronry', { rate: 200 })];
		const { fields: rates, lead, mix, cost } = await mixForFields(desk(), { year: 2027, fields });
		expect(lead).toBe('K2O');
		expect(mix.uses.map(({ id }) => id)).toEqual(['potash']);
		const rate = (name: string) => rates.find((one) => one.name === name)!.rate;
		expect(rate('Heronry')).toBeCloseTo(2 * rate('Kingfisher Bend'), 6);
		// 450 $ a ton are 22.5 cents a pound.
		const acres = (name: string) => listFields(db).find((field) => field.name === name)!.area_ac!;
		expect(cost).toBeCloseTo((100 * acres('Kingfisher Bend') + 200 * acres('Heronry')) * 0.225, 2);
	});

	it('counts only dry goods spread on top, not yet applied, on fields that were named', async () => {
		const [kingfisher, heronry] = [only('Kingfisher Bend', {}), only('Heronry', { placement: 'side band' })];
		await expect(mixForFields(desk(), { year: 2027, fields: [kingfisher, heronry] })).rejects.toThrow('At least two');
		only('Heronry', { product: 'uan-28' });
		await expect(mixForFields(desk(), { year: 2027, fields: [kingfisher, heronry] })).rejects.toThrow('At least two');
		only('Heronry', {});
		await expect(mixForFields(desk(), { year: 2027, fields: [kingfisher, 'none'] })).rejects.toThrow('At least two');
		await expect(mixForFields(desk(), { year: 2026, fields: [kingfisher, heronry] })).rejects.toThrow('At least two');
		db.prepare('UPDATE field SET area_ac = NULL WHERE id = ?').run(heronry);
		await expect(mixForFields(desk(), { year: 2027, fields: [kingfisher, heronry] })).rejects.toThrow('At least two');
	});

	it('says so where the fields share no nutrient', async () => {
		const fields = [only('Kingfisher Bend', { product: 'urea' }), only('Heronry', { product: 'potash' })];
		await expect(mixForFields(desk(), { year: 2027, fields })).rejects.toThrow('share no nutrient');
	});

	it('buys only what has a price', async () => {
		const fields = [only('Kingfisher Bend', { product: 'map' }), only('Heronry', { product: 'map' })];
		const { mix } = await mixForFields(desk(), { year: 2027, fields });
		expect(mix.uses.every(({ id }) => ['urea', 'map', 'potash'].includes(id))).toBe(true);
		db.exec("DELETE FROM price WHERE item = 'product:map'");
		await expect(mixForFields(desk(), { year: 2027, fields })).rejects.toThrow('No mix serves');
	});
});

describe('what a price can be of', () => {
	const refused = (item: string): string => {
		try {
			checkPriceItem(item, theLibrary());
			return '';
		} catch (error) {
			return (error as InputError).message;
		}
	};

	it.each(['grain:corn-grain', 'product:urea', 'nutrient:P2O5', 'additive:urease inhibitor', 'trip:spreader'])(
		'%s is known',
		(item) => {
			const known = refused(item);
			expect(known === '' || item.startsWith('trip')).toBe(true);
		}
	);

	it.each([
		['grain:kelp', 'is no grain; known: corn-grain'],
		['product:dust', 'is no product; known: '],
		['nutrient:Xx', 'is no nutrient; known: N, P2O5'],
		['additive:magic', 'is no additive'],
		['trip:balloon', 'is no trip'],
		['moon:cheese', 'must begin with what it is: grain:, product:'],
		['urea', 'must begin with what it is: grain:, product:, nutrient:, additive:, trip: as in product:urea']
	])('%s is refused with what there is', (item, says) => expect(refused(item)).toContain(`/prices/${item} ${says}`));
});
