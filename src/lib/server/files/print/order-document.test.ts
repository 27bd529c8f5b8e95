import { describe, expect, it } from 'vitest';
import type { OpenPass } from '../../../../core/supply/order';
import type { Pass } from '../../../../core/schema-types';
import { theLibrary } from '../../knowledge';
import { orderDocument } from './order-document';

const { products } = theLibrary();
const open = (grower: string, field: string, acres: number | undefined, pass: Partial<Pass>): OpenPass => ({
	units: 'us',
	fieldId: field,
	field,
	grower,
	acres,
	pass: {
		id: `${field}-${pass.product}`,
		date: '2027-04-20',
		label: 'Pass',
		product: 'urea',
		rate: 100,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: '',
		...pass
	}
});
const HEAD = { year: 2027, orderedOn: '2026-11-23', preparedBy: 'Ada', dealers: { urea: 'River Elevator' } };
const PASSES = [
	open('Tarrow', 'North', 40, { product: 'urea' }),
	open('Quillet', 'Heronry', 20, { product: 'potash', rate: 150 }),
	open('Tarrow', 'South', 10, { product: 'urea', rate: 200, date: '2027-04-02' }),
	open('Quillet', 'Fen', undefined, { product: 'urea' })
];

/** Every text of a document, page by page. */
function pagesOf(content: unknown): string[] {
	const pages: string[][] = [[]];
	const walk = (node: unknown): void => {
		if (typeof node === 'string' || typeof node === 'number') pages.at(-1)!.push(String(node));
		else if (Array.isArray(node)) node.forEach(walk);
		else if (typeof node === 'object' && node !== null) {
			if ('pageBreak' in node) pages.push([]);
			const { text, columns, table, stack, ul } = node as Record<string, unknown>;
			[text, columns, (table as { body?: unknown } | undefined)?.body, stack, ul].forEach(walk);
		}
	};
	walk(content);
	return pages.map((page) => page.join(' | '));
}

describe('the order on paper', () => {
	const pages = pagesOf(orderDocument(PASSES, products, HEAD).content);

	it('has a page for each grower with what his own fields need, and nothing of another’s', () => {
		expect(pages).toHaveLength(2);
		const [tarrow, quillet] = pages;
		expect(tarrow).toContain('Order for Tarrow, 2027');
		expect(tarrow).toContain('23 Nov 2026');
		// 40 x 100 + 10 x 200 lb are 3 short tons.
		expect(tarrow).toMatch(/Urea 46-0-0.*\b3(\.0)?\b/);
		expect(tarrow).not.toMatch(/Potash|Heronry|Fen/i);
		expect(quillet).toContain('Order for Quillet, 2027');
		// 20 x 150 lb
		expect(quillet).toMatch(/1\.5\b/);
		expect(quillet).not.toMatch(/North|South/);
	});

	it('names the dealer, the first day, and the fields whose area is not known', () => {
		expect(pages[0]).toContain('River Elevator');
		expect(pages[0]).toContain('2 Apr 2027');
		expect(pages[1]).toContain('Fen');
	});

	it('says on each page when it was made, and that plans change', () => {
		const { footer, info } = orderDocument(PASSES, products, HEAD);
		const [text] = pagesOf((footer as (page: number, count: number) => unknown)(1, 2));
		expect(text).toContain('on 23 Nov 2026. Void if the plans change.');
		expect(text).toContain('1 of 2');
		expect(info?.creationDate?.toISOString()).toBe('2026-11-23T00:00:00.000Z');
	});

	it('is empty paper where nothing is open', () => expect(orderDocument([], products, HEAD).content).toEqual([]));
});
