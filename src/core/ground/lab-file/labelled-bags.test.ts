import { describe, expect, it } from 'vitest';
import { guessMapping } from './guess-mapping';
import type { LabelledBag } from './labelled-bag';
import { mappingProblems } from './mapping-problems';
import { readLabRows } from './read-lab-rows';

const bag = (code: string, more: Partial<LabelledBag> = {}): [string, LabelledBag] => [
	code,
	{
		code,
		fieldId: 'brick-kiln',
		field: 'Brick Kiln',
		grower: 'Quillet Bros',
		zone: 'Sand knob',
		depth: { top: 0, bottom: 30, depthUnit: 'cm' },
		pulledOn: '2026-11-18',
		back: false,
		...more
	}
];
const BAGS = new Map([
	bag('27-0001-45'),
	bag('27-0002-42', { zone: 'Bottom' }),
	bag('27-0003-39', { back: true }),
	bag('27-0004-36', { pulledOn: undefined })
]);
const HEADERS = ['Lab No', 'Your sample', 'pH (1:1)'];
const read = (...rows: string[][]) =>
	readLabRows(rows, guessMapping(HEADERS, [['5240', '27-0001-45', '5.7']]), 2, [], BAGS);

describe('a lab’s file that gives the codes of bags back', () => {
	it('is known by them, whatever the lab calls the column, and needs no column for the field', () => {
		const mapping = guessMapping(HEADERS, [['5240', '27-0001-45', '5.7']]);
		expect(mapping.columns.map(({ role }) => role)).toEqual(['ignore', 'sample number', 'result']);
		expect(mappingProblems(mapping)).toEqual([]);
		const both = guessMapping(['Lab No', 'Sample ID', 'pH (1:1)'], [['5240', '27-0001-45', '5.7']]);
		expect(both.columns.map(({ role }) => role)).toEqual(['ignore', 'sample number', 'result']);
		const asField = guessMapping(['Field', 'Lab No', 'pH (1:1)'], [['27-0001-45', '5240', '5.7']]);
		expect(asField.columns.map(({ role }) => role)).toEqual(['field', 'sample number', 'result']);
		const other = guessMapping(HEADERS, [['5240', 'north 1', '5.7']]);
		expect(other.columns.map(({ role }) => role)).toEqual(['sample number', 'ignore', 'result']);
		expect(mappingProblems({ ...other, columns: other.columns.slice(1) })).toEqual([
			'No column is marked as the field name.'
		]);
	});

	it('goes to field, depth and day of the label, two zones of a field beside each other', () => {
		const rows = read(['5240', '27-0001-45', '5.7'], ['5241', '27000242', '6.1']);
		expect(rows.map(({ problems }) => problems)).toEqual([[], []]);
		expect(rows[0]).toMatchObject({ field: 'Brick Kiln', grower: 'Quillet Bros', date: '2026-11-18' });
		expect(rows[0]?.layer).toMatchObject({ top: 0, bottom: 30, depthUnit: 'cm' });
		expect(rows.map(({ bag: named }) => named?.zone)).toEqual(['Sand knob', 'Bottom']);
	});

	it('goes by the lab’s own day and depth where it gives them', () => {
		const headers = ['Sample', 'Date', 'Depth (in)', 'pH (1:1)'];
		const cells = ['27-0001-45', '2026-11-20', '0-6', '5.7'];
		const [row] = readLabRows([cells], guessMapping(headers, [cells]), 2, [], BAGS);
		expect(row).toMatchObject({ date: '2026-11-20', layer: { bottom: 6, depthUnit: 'in' } });
	});

	it.each([
		['27-0001-54', 'a digit of it is wrong'],
		['27-0009-21', 'no bag of this book has the code 27-0009-21'],
		['27-0003-39', 'is back already'],
		['27-0004-36', 'has no day of sampling: mark it as pulled']
	])('waits with “%s”: %s', (code, message) => {
		const [row] = read(['5240', code, '5.7']);
		expect(row?.layer).toBeUndefined();
		expect(row?.problems.map((one) => one.message).join()).toContain(message);
	});

	it('waits where the row names another field than the label', () => {
		const headers = ['Field', 'Sample', 'pH (1:1)'];
		const of = (field: string) => {
			const cells = [field, '27-0001-45', '5.7'];
			return readLabRows([cells], guessMapping(headers, [cells]), 2, [], BAGS)[0]!.problems;
		};
		expect(of('brick kiln')).toEqual([]);
		expect(of('North')).toEqual([
			{ column: 0, message: 'the row says North, and bag 27-0001-45 was planned for Brick Kiln' }
		]);
	});
});
