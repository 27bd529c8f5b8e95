import { describe, expect, it } from 'vitest';
import { guessMapping } from './guess-mapping';
import { mappingProblems } from './mapping-problems';
import { readLabRows } from './read-lab-rows';

const HEADERS = [
	'Field',
	'Sampled',
	'Crop',
	'Plant part',
	'Stage',
	'Spot',
	'Leaves',
	'N (%)',
	'P (g/kg)',
	'Mn',
	'N:S ratio'
];
const ROW = ['North', '2026-07-08', 'Soybean', 'top trifoliate', 'R1', 'bad', '20', '4.6', '2.4', '60', '15'];
const mapping = guessMapping(HEADERS, [ROW]);
const crops = [
	{ id: 'soybean', name: 'Soybean' },
	{ id: 'corn', name: 'Corn' }
] as const;
const read = (...cells: string[][]) => readLabRows(cells, mapping, 2, crops);
const changed = (column: string, text: string) => ROW.map((cell, at) => (HEADERS[at] === column ? text : cell));

describe('a file of leaf tests', () => {
	it('is known by its header line, and every column by its name', () => {
		expect(mapping.leaf).toEqual({ crop: '', part: '', stage: '' });
		expect(mapping.columns.map(({ role, element, unit }) => element ?? role + (unit ?? ''))).toEqual(
			'field date crop part stage spot leaves N P Mn ignore'.split(' ')
		);
		expect(mapping.columns.slice(7, 10).map(({ unit }) => unit)).toEqual(['%', 'g/kg', 'ppm']);
		expect(guessMapping(['Field', 'Date', 'Total N %', 'P %'], []).leaf).toBeDefined();
		expect(guessMapping(['Field', 'Date', 'pH', 'N %', 'P ppm'], []).leaf).toBeUndefined();
	});

	it('gives leaf tests in the units of the ranges', () => {
		const [row] = read(ROW);
		expect(row).toMatchObject({ problems: [], layer: undefined, spot: 'bad' });
		expect(row?.leaf).toEqual({
			takenOn: '2026-07-08',
			crop: 'soybean',
			part: 'top trifoliate',
			stage: 'R1',
			spot: 'bad',
			leaves: 20,
			results: { N: 4.6, P: 0.24, Mn: 60 }
		});
	});

	it.each([
		['Sampled', '', 'the day is missing'],
		['Crop', 'Maize', '“Maize” is no crop of the book; known: soybean, corn'],
		['Crop', '', 'the crop is missing'],
		['Stage', '', 'the stage is missing'],
		['Spot', 'corner', 'write whole, good or bad'],
		['Leaves', 'many', 'whole number of leaves'],
		['N (%)', '46', 'cannot be'],
		['P (g/kg)', '<0.1', 'no value to read against a range'],
		['Mn', 'low', 'is no number']
	])('with %s “%s” a row is bad and says: %s', (column, text, message) => {
		const [row] = read(changed(column, text));
		expect(row?.leaf).toBeUndefined();
		expect(row?.problems).toHaveLength(1);
		expect(row?.problems[0]).toMatchObject({ column: HEADERS.indexOf(column) });
		expect(row?.problems[0]?.message).toContain(message);
	});

	it('takes crop, part and stage of the whole file where a cell is empty', () => {
		const file = { ...mapping, leaf: { crop: 'Corn', part: 'ear leaf', stage: 'R1' } };
		const bare = changed('Crop', '').map((cell, at) => (HEADERS[at] === 'Plant part' ? '' : cell));
		expect(readLabRows([bare], file, 2, crops)[0]?.leaf).toMatchObject({ crop: 'corn', part: 'ear leaf', stage: 'R1' });
	});

	it('does not read the same leaves twice; another spot is another test', () => {
		expect(read(ROW, changed('Spot', 'good')).map(({ problems }) => problems)).toEqual([[], []]);
		expect(read(ROW, ROW)[1]?.problems[0]?.message).toContain('crop, part, stage and spot as line 2');
	});

	it('is refused with an element twice or in a unit that leaves do not come in', () => {
		const manganese = (unit: { unit?: 'lb/ac' }) =>
			mappingProblems({
				...mapping,
				columns: mapping.columns.map((column) =>
					column.element === 'Mn' ? { header: 'Mn', role: 'result' as const, element: 'Mn' as const, ...unit } : column
				)
			});
		expect(manganese({ unit: 'lb/ac' })).toEqual(['“Mn”: Mn of leaves is not given in “lb/ac”.']);
		expect(manganese({})).toEqual(['“Mn”: say the unit of Mn.']);
		expect(mappingProblems({ ...mapping, columns: [...mapping.columns, mapping.columns[8]!] })).toEqual([
			'Two columns are marked as P.'
		]);
	});
});

describe('a soil file with a column for the spot', () => {
	it('keeps the spot of a row', () => {
		const soil = guessMapping(['Field', 'Date', 'Spot', 'pH'], []);
		const rows = readLabRows(
			[
				['North', '2026-07-08', 'bad', '5.4'],
				['North', '2026-07-08', 'good', '6.2']
			],
			soil,
			2,
			[]
		);
		expect(rows.map(({ spot, problems }) => [spot, problems.length])).toEqual([
			['bad', 0],
			['good', 0]
		]);
	});
});
