import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Answer } from '../../../../core/figure/figure';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { bookPage } from '../../pages/book-page';
import { listFields } from '../../stores/fields';

const db = openBook(':memory:');
fillBook(db, JSON.parse(readFileSync('demo/district.json', 'utf8')));
const desk = () => new Desk(db, libraryOf(db, theLibrary()), '2026-11-23');
const field = (name: string) => listFields(db).find((one) => one.name === name)!.id;
const page = (name: string, year: number) => bookPage(desk(), { field: field(name), year: String(year) });
const rounded = (answer: Answer) => (answer.applies ? Math.round(answer.value * 10) / 10 : answer.reason);

describe('a field that is looked back on', () => {
	// Three harvests of the demo by hand, removals of the balance: 51 and 52 bu soybean x 0.73, 181 bu corn x 0.35 lb P2O5.
	it('has its soil tests beside the balance of the harvests between', () => {
		const [p] = page('Kingfisher Bend', 2026).moves.filter(({ nutrient }) => nutrient === 'P2O5');
		expect(p).toMatchObject({ before: 12, after: 10, said: 'Fell with the balance, by less than it says.' });
		expect(rounded(p!.balance)).toBeCloseTo(-(51 * 0.73 + 181 * 0.35 + 52 * 0.73), 1);
		expect(rounded(p!.expected)).toBe(-6.9);
	});

	it('has what each approach would have advised on the sample from before that year', () => {
		const { advised } = page('Kingfisher Bend', 2026);
		expect(advised?.sampledOn).toBe('2023-10-20');
		const removal = advised?.rows.find(({ method }) => method === 'crop-removal/phosphorus');
		// The goal was 50 bu: 36.5 lb; the harvest of 52 took 38.
		expect([removal!.advised, removal!.applied, removal!.balance].map(rounded)).toEqual([36.5, 0, -1.5]);
		expect(advised?.rows.some(({ nutrient, applied }) => nutrient === 'K2O' && rounded(applied) === 60)).toBe(true);
	});

	it('goes by the sample of then, not by a later one, and says where there is none', () => {
		expect(page('Kingfisher Bend', 2023).advised?.sampledOn).toBe('2020-10-14');
		expect(page('Heronry', 2024).advised).toEqual({ sampledOn: undefined, rows: [] });
		expect(page('Kingfisher Bend', 2027).advised).toBeUndefined();
	});
});
