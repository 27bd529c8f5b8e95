// The book over the years by field, grower and as a whole, against a sum by hand over three years of a demo field.
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Database } from 'better-sqlite3';
import type { BookDocument } from '../../../../core/schema-types';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { yearsPage } from './years-page';

const demo = JSON.parse(readFileSync('demo/district.json', 'utf8')) as BookDocument;
let book: Database;
beforeEach(() => {
	book = openBook(':memory:');
	fillBook(book, demo);
});
const page = (query: string) =>
	yearsPage(new Desk(book, libraryOf(book, theLibrary()), '2026-11-23'), new URLSearchParams(query));

describe('the book over the years', () => {
	it('shows the last three years that are not planned any more', () => {
		const { from, to, by, lines } = page('');
		expect([from, to, by]).toEqual([2024, 2026, 'field']);
		expect(lines.filter(({ name }) => name === 'Brick Kiln').map(({ year }) => year)).toEqual([2026, 2025, 2024]);
		expect(page('to=2027').lines.some(({ year }) => year === 2027)).toBe(true);
		expect(() => page('to=soon')).toThrow();
	});
	it('balances three years of a field as a hand does, and adds them up', () => {
		// Kingfisher Bend: 51 bu soybean in 2024, 181 bu corn in 2025, 52 bu soybean in 2026 with 100 lb of potash (0-0-60) before it. A bushel takes
		// 0.73 lb P2O5 and 1.17 lb K2O, of corn 0.35 and 0.25 (IPNI tables, from memory).
		const [last, corn, first] = page('').lines.filter(({ name }) => name === 'Kingfisher Bend');
		expect(first!.balance.P2O5).toBeCloseTo(-51 * 0.73, 9);
		expect(corn!.balance.P2O5).toBeCloseTo(-181 * 0.35, 9);
		expect(last!.balance.K2O).toBeCloseTo(60 - 52 * 1.17, 9);
		expect(last!.running.P2O5).toBeCloseTo(-(51 + 52) * 0.73 - 181 * 0.35, 9);
		expect(last!.running.K2O).toBeCloseTo(60 - (51 + 52) * 1.17 - 181 * 0.25, 9);
		// 181 bu corn without any nitrogen in the book.
		expect(corn).toMatchObject({ appliedN: 0, band: 'short' });
		expect(corn!.balance.N).toBeCloseTo(-181 * 0.67, 9);
		expect(corn!.ofGoal).toBeCloseTo(181 / 175, 9);
	});
	it('of a grower is a mean by acres of the fields that can say', () => {
		const fields = page('from=2025&to=2025').lines.filter(({ grower }) => grower === 'Quillet Bros');
		const [line] = page('by=grower&from=2025&to=2025').lines.filter(({ grower }) => grower === 'Quillet Bros');
		const known = fields.filter(({ balance }) => balance.P2O5 !== undefined);
		const acres = known.reduce((sum, one) => sum + one.acres, 0);
		expect(line!.fields).toBe(4);
		expect(line!.balance.P2O5).toBeCloseTo(
			known.reduce((sum, one) => sum + one.acres * one.balance.P2O5!, 0) / acres,
			9
		);
		expect(page('by=book&from=2025&to=2025').lines).toHaveLength(1);
	});
	it('answers of an empty book', () => {
		book = openBook(':memory:');
		expect(page('').lines).toEqual([]);
	});
});
