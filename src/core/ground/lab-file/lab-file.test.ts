import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LabMapping } from '../../schema-types';
import { applyMapping, guessMapping } from './guess-mapping';
import { mappingProblems } from './mapping-problems';
import { readLabRows } from './read-lab-rows';

const HEADERS = [
	'Client',
	'Field ID',
	'Lab No',
	'Date Sampled',
	'Depth (in)',
	'pH (1:1)',
	'Buffer pH (SMP)',
	'P Bray P1 (ppm)',
	'K (ppm)'
];
const ROW = ['Tarrow', 'North', '12', '11/09/2026', '0-8', '5.6', '6.4', '10', '120'];
const mapping = guessMapping(HEADERS, [ROW]);
const read = (...cells: string[][]) => readLabRows(cells, mapping, 2, []);
const changed = (column: string, text: string) => ROW.map((cell, at) => (HEADERS[at] === column ? text : cell));

describe('the first guess at a header line', () => {
	it('knows the columns about the sample', () => {
		expect(mapping.columns.slice(0, 5).map(({ role }) => role)).toEqual([
			'grower',
			'field',
			'sample number',
			'date',
			'depth'
		]);
	});

	it.each([
		['pH (1:1)', 'pH', 'water', 'pH'],
		['ph_cacl2', 'pH', 'cacl2', 'pH'],
		['Buffer pH (SMP)', 'bufferPh', 'smp', 'pH'],
		['LTI', 'bufferPh', undefined, 'LTI'],
		['P Bray P1 (ppm)', 'P', 'bray-p1', 'ppm'],
		['Olsen P mg/kg', 'P', 'olsen', 'mg/kg'],
		['p_colwell', 'P', 'colwell', undefined],
		['Mg (mg/kg)', 'Mg', undefined, 'mg/kg'],
		['Zn DTPA (ppm)', 'Zn', 'dtpa', 'ppm'],
		['NO3-N lbs/A', 'NO3-N', undefined, undefined],
		['CEC', 'CEC', undefined, 'meq/100g'],
		['OM (%)', 'OM', undefined, '%'],
		['EC (mmho/cm)', 'EC', undefined, 'mmho/cm']
	])('%s is %s by %s in %s', (header, analyte, method, unit) => {
		const [column] = guessMapping([header], []).columns;
		expect([column?.analyte, column?.method, column?.unit]).toEqual([analyte, method, unit]);
	});

	it.each(['Base Sat % K', '% Ca', 'Lime recommendation', 'Notes', 'Ca:Mg ratio'])('leaves %s alone', (header) => {
		expect(guessMapping([header], []).columns[0]?.role).toBe('ignore');
	});

	it('tells the order of dates by a day above 12', () => {
		expect(guessMapping(HEADERS, [changed('Date Sampled', '25/10/2026')]).dateOrder).toBe('day-month-year');
		expect(guessMapping(HEADERS, [changed('Date Sampled', '2026-10-25')]).dateOrder).toBe('year-month-day');
	});

	it('asks what a lab means by pounds an acre', () => {
		expect(mappingProblems(guessMapping(['field', 'P (lb/ac)'], []))).toEqual([
			'“P (lb/ac)”: say the unit of phosphorus. Ask the lab whether its lb/ac are those of the sampled layer or ppm x 2.'
		]);
	});

	it('does not guess a unit that could be wrong by half', () => {
		const guess = guessMapping(['field', 'K'], []);
		expect(guess.columns[1]).toEqual({ header: 'K', role: 'result', analyte: 'K' });
		expect(mappingProblems(guess)).toEqual(['“K”: say the unit of potassium.']);
	});
});

it('a remembered mapping follows its columns by name when they move', () => {
	const remembered: LabMapping = {
		...mapping,
		columns: mapping.columns.map((column) =>
			column.header === 'K (ppm)' ? { ...column, method: 'mehlich-3' as const } : column
		)
	};
	const again = applyMapping(['K (ppm)', 'Field ID', 'Zinc'], remembered);
	expect(again.columns.map(({ analyte, method }) => [analyte, method])).toEqual([
		['K', 'mehlich-3'],
		[undefined, undefined],
		['Zn', undefined]
	]);
});

describe('a row', () => {
	it('becomes a layer with what the lab wrote', () => {
		const [row] = read(ROW);
		expect(row).toMatchObject({ line: 2, field: 'North', grower: 'Tarrow', date: '2026-11-09', problems: [] });
		expect(row?.layer).toMatchObject({ top: 0, bottom: 8, depthUnit: 'in' });
		expect(row?.layer?.results.map(({ value }) => value)).toEqual([5.6, 6.4, 10, 120]);
	});

	it.each([
		['<0.5', { value: 0.5, qualifier: '<' }],
		['> 400', { value: 400, qualifier: '>' }],
		['1,240', { value: 1240 }],
		['.8', { value: 0.8 }]
	])('reads %s', (text, expected) => {
		const results = read(changed('K (ppm)', text))[0]?.layer?.results;
		expect(results?.at(-1)).toMatchObject(expected);
	});

	it.each(['', '-', 'n/a', 'NT'])('takes “%s” as not measured', (text) => {
		expect(read(changed('K (ppm)', text))[0]?.layer?.results).toHaveLength(3);
	});

	it.each([
		['K (ppm)', '5,4', 'decimal comma'],
		['K (ppm)', '-3', 'below zero'],
		['K (ppm)', 'high', 'is no number'],
		['K (ppm)', '1e9', 'is no number'],
		['K (ppm)', '9999999', 'too large'],
		['pH (1:1)', '56', 'pH 56 cannot be true; soil lies between'],
		['Date Sampled', '31/31/2026', 'is no date'],
		['Depth (in)', 'top', 'is no depth'],
		['Depth (in)', '8-0', 'upside down'],
		['Field ID', '', 'field name is missing']
	])('with %s “%s” is bad and says: %s', (column, text, message) => {
		const [row] = read(changed(column, text));
		expect(row?.layer).toBeUndefined();
		expect(row?.problems[0]).toMatchObject({ column: HEADERS.indexOf(column) });
		expect(row?.problems[0]?.message).toContain(message);
	});

	it('is bad with more cells than headers, without a result, or twice the same', () => {
		expect(read([...ROW, 'more'])[0]?.problems[0]?.message).toContain('10 cells under 9 headers');
		expect(read([...ROW.slice(0, 5), '', '', '', ''])[0]?.problems[0]?.message).toBe('the row holds no result');
		expect(read(ROW, ROW)[1]?.problems[0]?.message).toContain('as line 2');
	});

	it('says the area and texture of its field, in the units of its column', () => {
		const headers = ['Field', 'pH', 'Acres', 'Hectares', 'Soil texture'];
		const facts = (...cells: string[]) =>
			readLabRows([['North', '6.2', ...cells]], guessMapping(headers, []), 2, [])[0]!;
		expect(facts('1,062.5', '', 'Silt-Loam').facts).toEqual({ areaAc: 1062.5, texture: 'silt loam' });
		expect(facts('', '40', '').facts).toEqual({ areaAc: expect.closeTo(98.84, 2) as number });
		expect(facts('', '', '')).toMatchObject({ facts: {}, problems: [] });
		expect(facts('0', '', '').problems).toMatchObject([{ column: 2 }]);
		expect(facts('', '', 'gumbo').problems).toMatchObject([{ column: 4 }]);
	});

	it('may be blank', () => expect(read(['', ' '])[0]).toMatchObject({ blank: true, problems: [] }));

	it('is always either read or bad, whatever the cells say', () => {
		fc.assert(
			fc.property(fc.array(fc.array(fc.string({ maxLength: 12 }), { maxLength: 12 }), { maxLength: 8 }), (cells) => {
				for (const row of readLabRows(cells, mapping, 2, [])) {
					expect([row.blank, row.layer !== undefined, row.problems.length > 0].filter(Boolean)).toHaveLength(1);
				}
			})
		);
	});
});

describe('a mapping is refused', () => {
	const without = (change: (column: LabMapping['columns'][number]) => LabMapping['columns'][number]) =>
		mappingProblems({ ...mapping, columns: mapping.columns.map(change) });
	it('without a field name or a result', () => {
		const named = ['field', 'sample number'];
		expect(without((column) => ({ ...column, role: named.includes(column.role) ? 'ignore' : column.role }))).toContain(
			'No column is marked as the field name.'
		);
		expect(
			without((column) => ({ header: column.header, role: column.role === 'result' ? 'ignore' : column.role }))
		).toContain('No column is marked as a result.');
	});
	it('with the same analyte twice, a wrong unit or an upside-down depth', () => {
		const twice = without((column) =>
			column.header === 'K (ppm)' ? { ...column, analyte: 'P', method: 'bray-p1' } : column
		);
		expect(twice[0]).toContain('Two columns are marked as phosphorus');
		expect(without((column) => (column.header === 'K (ppm)' ? { ...column, unit: 'pH' } : column))[0]).toContain(
			'is not measured in'
		);
		expect(mappingProblems({ ...mapping, depth: { top: 8, bottom: 8, unit: 'in' } })[0]).toContain('must lie below');
	});
});
