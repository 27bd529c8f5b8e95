import { describe, expect, it } from 'vitest';
import type { YearsPage } from '../../pages/office/years-page';
import { yearsDocument } from './years-document';

type Line = YearsPage['lines'][number];
const line: Line = {
	key: 'k',
	name: 'Long Meadow',
	grower: 'Quillet Bros',
	year: 2026,
	crop: 'Corn',
	fields: 1,
	acres: 54,
	plannedN: 180,
	appliedN: 180,
	harvested: 171,
	yieldUnit: 'bu/ac',
	ofGoal: 0.95,
	balance: { N: 112, P2O5: -59.85 },
	running: { P2O5: -120.4 },
	band: 'high',
	cost: 88.5,
	acidity: 320,
	lime: 0
};
const print = (lines: Line[], units: YearsPage['units'] = 'us') =>
	yearsDocument({ from: 2024, to: 2026, by: 'field', units, lines }, '2026-11-23');
const rowsOf = (document: ReturnType<typeof print>): string[][] => {
	const [, { table }] = document.content as unknown as [unknown, { table: { body: (string | { text: string })[][] } }];
	return table.body.map((row) => row.map((cell) => (typeof cell === 'string' ? cell : cell.text)));
};

describe('the book over the years on paper', () => {
	it('has a cell under each heading, and nothing where nothing is known', () => {
		const [heads, row] = rowsOf(print([line]));
		expect(heads).toHaveLength(row!.length);
		expect(Object.fromEntries(heads!.map((head, at) => [head, row![at]]))).toMatchObject({
			Field: 'Long Meadow',
			Year: '2026',
			Harvest: '171 bu',
			'Of goal': '95 %',
			'N balance': '112',
			'P2O5 balance': '-60',
			'K2O balance': '',
			'Running P2O5': '-120',
			'Lime to offset': '320'
		});
	});

	it('is in the units of the book, on its paper', () => {
		const metric = print([line], 'metric');
		expect(metric.pageSize).toBe('A4');
		const [heads, row] = rowsOf(metric);
		// 112 lb/ac are 125.5 kg/ha.
		expect(row![heads!.indexOf('N balance')]).toBe('126');
	});

	it('explains the bold balance only where there is one', () => {
		expect(JSON.stringify(print([line]).content)).toContain('+100 lb/ac or more');
		expect(JSON.stringify(print([{ ...line, band: 'near' }]).content)).not.toContain('or more');
	});

	it('says that a price is missing', () => {
		const rest = (({ cost: _cost, ...others }: Line): Line => others)(line);
		expect(rowsOf(print([rest]))[1]).toContain('price missing');
	});

	it('has charts under the table, two beside each other, each line by its name and dash', () => {
		const keys = [
			{ nutrient: 'N', color: '#1f5f4a', type: 'solid' },
			{ nutrient: 'P2O5', color: '#b2521a', type: 'dashed' }
		];
		const charts = ['A', 'B', 'C'].map((name) => ({ name, svg: '<svg/>', keys }));
		const { content } = yearsDocument(
			{ from: 2024, to: 2026, by: 'grower', units: 'us', lines: [line] },
			'2026-11-23',
			{ charts, left: 3 }
		);
		expect(JSON.stringify(content)).toContain('3 more can be drawn on the page of the years.');
		const rows = (content as { columns?: { stack: unknown[] }[] }[]).slice(-3, -1).map(({ columns }) => columns!);
		expect(rows.map((columns) => columns.length)).toEqual([2, 1]);
		const [title, legend, chart] = rows[1]![0]!.stack as [{ text: string }, { columns: unknown[] }, { svg: string }];
		expect([title.text, chart.svg]).toEqual(['C: balance of the year, lb/ac', '<svg/>']);
		const dashes = legend.columns.map(
			(one) => (one as { columns: [{ canvas: [{ dash?: object }] }] }).columns[0].canvas[0]
		);
		expect(dashes.map(({ dash }) => dash !== undefined)).toEqual([false, true]);
	});
});
