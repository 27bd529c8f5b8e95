// Files as labs send them: whatever the layout, the same two samples come out, or a sentence says what to change.
import { describe, expect, it } from 'vitest';
import { openBook } from '../../book/open-book';
import { findImport, startImport } from '../../stores/lab-imports';
import { previewImport } from './preview';
import { readLabFile } from './read-file';
import { workbookOf, type CellOfSheet } from './workbook.test-help';

const utf8 = (text: string) => new TextEncoder().encode(text);
const latin1 = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const utf16 = (text: string, mark = true) => {
	const bytes = Buffer.from(mark ? `\uFEFF${text}` : text, 'utf16le');
	return new Uint8Array(bytes);
};
const utf16be = (text: string) => new Uint8Array(Buffer.from(`\uFEFF${text}`, 'utf16le').swap16());

/** What a file becomes under the first reading of its headers. */
async function readingOf(bytes: Uint8Array) {
	const db = openBook(':memory:');
	const grid = await readLabFile('lab.csv', bytes);
	const { draft } = findImport(db, startImport(db, 'lab.csv', grid))!;
	const { rows } = previewImport(db, grid, { ...draft, lab: 'A lab', grower: 'A grower' }, []);
	db.close();
	return { notes: grid.notes!, rows, headers: grid.headers };
}
const told = ({ rows }: Awaited<ReturnType<typeof readingOf>>) =>
	rows
		.filter(({ blank }) => !blank)
		.map(({ field, date, layer, problems }) => ({
			field,
			date,
			depth: layer && `${layer.top}-${layer.bottom} ${layer.depthUnit}`,
			...Object.fromEntries((layer?.results ?? []).map(({ analyte, value, method }) => [analyte, [value, method]])),
			...(problems.length > 0 ? { problems: problems.map(({ message }) => message) } : {})
		}));

const HEAD = 'Field,Date,Depth,pH (1:1),P Bray P1 (ppm),OM (%)';
const TWO = ['North,2026-10-01,0-6,5.6,12,2.9', 'Sañdy South,2026-10-01,0-6,6.4,31,1.8'];
const BOTH = [
	{ field: 'North', date: '2026-10-01', depth: '0-6 in', pH: [5.6, 'water'], P: [12, 'bray-p1'], OM: [2.9, undefined] },
	{
		field: 'Sañdy South',
		date: '2026-10-01',
		depth: '0-6 in',
		pH: [6.4, 'water'],
		P: [31, 'bray-p1'],
		OM: [1.8, undefined]
	}
];
const csv = (...lines: string[]) => `${lines.join('\r\n')}\r\n`;
const decimals = (text: string) => text.replaceAll(',', ';').replaceAll(/(\d)\.(\d)/g, '$1,$2');

describe('a CSV file of a lab', () => {
	it.each([
		['as it should be', utf8(csv(HEAD, ...TWO)), []],
		['in UTF-16 with its mark', utf16(csv(HEAD, ...TWO)), ['Read as UTF-16.']],
		['in UTF-16 of the other order', utf16be(csv(HEAD, ...TWO)), ['Read as UTF-16.']],
		['in UTF-16 without a mark', utf16(csv(HEAD, ...TWO), false), ['Read as UTF-16.']],
		['in Latin-1', latin1(csv(HEAD, ...TWO)), ['Read as Windows-1252 (Latin-1): look at letters with accents.']],
		['with sep=;', utf8(csv('sep=;', HEAD.replaceAll(',', ';'), ...TWO.map((row) => row.replaceAll(',', ';')))), []],
		[
			'with decimal commas',
			utf8(csv(HEAD.replaceAll(',', ';'), ...TWO.map(decimals))),
			['Its commas were read as decimal points: 5,6 is 5.6.']
		],
		['with control characters in its cells', utf8(csv(HEAD, TWO[0]!.replace('North', 'No\u0001rth'), TWO[1]!)), []],
		['between tabs', utf8(csv(HEAD.replaceAll(',', '\t'), ...TWO.map((row) => row.replaceAll(',', '\t')))), []],
		[
			'under a letterhead of many words',
			utf8(
				csv(
					'Fenmoor,Soil Bench,"Lab road 1, Fenmoor",phone 555',
					'Client,A. Tarrow,printed,12/01/2026',
					'',
					HEAD,
					...TWO
				)
			),
			[]
		],
		[
			'right under the names of client and farm',
			utf8(csv('Client: A. Tarrow,Farm: Mill Farm,Field: all', HEAD, ...TWO)),
			[]
		],
		['right under words like headers', utf8(csv('Report,Client,Farm', HEAD, ...TWO)), []],
		['with blank lines between', utf8(csv(HEAD, TWO[0]!, ',,,,,', '', TWO[1]!, ',,,')), []],
		[
			'with its units in a line of their own',
			utf8(csv('Field,Date,Depth,pH (1:1),P Bray P1,OM', ',,in,1:1,(ppm),%', ...TWO)),
			['Line 2 was read as the units of its columns.']
		],
		[
			'with groups over the header line',
			utf8(csv(',,,Soil pH,Phosphorus,Organic matter', 'Field,Date,Depth,water,Bray P1 ppm,%', ...TWO)),
			['Line 1 was read with the header line under it.']
		],
		[
			'with methods under the header line',
			utf8(csv('Field,Date,Depth,Soil pH,Phosphorus,Organic matter', ',,,water 1:1,Bray P1 ppm,%', ...TWO)),
			['Line 2 was read with the header line over it.']
		],
		[
			'with days in words and a time',
			utf8(csv(HEAD, TWO[0]!.replace('2026-10-01', '1-Oct-2026'), TWO[1]!.replace('2026-10-01', '2026-10-01 00:00'))),
			[]
		],
		['with days as a spreadsheet counts them', utf8(csv(HEAD, ...TWO).replaceAll('2026-10-01', '46296')), []]
	] as [string, Uint8Array, string[]][])('%s', async (_, bytes, notes) => {
		const reading = await readingOf(bytes);
		expect(told(reading)).toEqual(BOTH);
		expect(reading.notes).toEqual(notes);
	});

	it('with a day that is none, or a number that is none, waits with a sentence', async () => {
		const reading = await readingOf(
			utf8(csv(HEAD, TWO[0]!.replace('2026-10-01', '2026-02-30'), TWO[1]!.replace('31', 'n.d.!')))
		);
		expect(told(reading).map(({ problems }) => problems)).toEqual([
			['“2026-02-30” is no date in the order year-month-day'],
			['phosphorus: “n.d.!” is no number']
		]);
	});
	it('keeps the numbers of its lines whatever stands above', async () => {
		const { rows } = await readingOf(utf8(csv('sep=,', 'Fenmoor Soil Bench', HEAD, ...TWO)));
		expect(rows.map(({ line }) => line)).toEqual([4, 5]);
	});
	it('is refused in a sentence where it is no text, or no table', async () => {
		await expect(readLabFile('scan.jpg', Uint8Array.from([0xff, 0xd8, 0, 1, 2, 0, 0, 7]))).rejects.toThrow(
			'scan.jpg is neither a CSV nor an .xlsx file.'
		);
		await expect(readLabFile('note.txt', utf8('Dear grower,\nyour results follow.\n'))).rejects.toThrow(
			'holds no table'
		);
	});
	it('with a decimal comma among points has it written again: it may be a slip', async () => {
		const reading = await readingOf(utf8(csv('Field;pH (1:1);K (ppm)', 'North;5.6;120', 'South;6,41;960')));
		expect(told(reading)[1]!.problems).toEqual([expect.stringContaining('has a decimal comma; write a point')]);
	});
	it('whose header line comes again on its next page keeps the rows of the first', async () => {
		const { rows } = await readingOf(utf8(csv(HEAD, TWO[0]!, HEAD, TWO[1]!)));
		expect(rows.map(({ field }) => field)).toEqual(['North', 'Field', 'Sañdy South']);
	});
	it('does not take thousands for decimals', async () => {
		const { rows } = await readingOf(utf8(csv('Field;pH (1:1);K (ppm)', 'North;6;1,040', 'South;7;960')));
		expect(rows.map(({ layer }) => layer!.results.find(({ analyte }) => analyte === 'K')!.value)).toEqual([1040, 960]);
	});
});

describe('a workbook of a lab', () => {
	const head = HEAD.split(',');
	const rows = TWO.map((row): CellOfSheet[] => {
		const [field, , depth, ...values] = row.split(',');
		return [field!, { day: 46296 }, depth!, ...values.map(Number)];
	});
	it.each([
		['with a title merged over its columns', [{ rows: [['Soil report'], head, ...rows], merged: ['A1:F1'] }], []],
		['with blank cells merged', [{ rows: [head, ...rows], merged: ['G1:H9', 'A20:F30'] }], []],
		[
			'behind a hidden sheet',
			[
				{
					name: 'lookup',
					state: 'hidden' as const,
					rows: [
						['a', 'b', 'c'],
						[1, 2, 3]
					]
				},
				{ name: 'Soil & more', rows: [head, ...rows] }
			],
			['Sheet “Soil & more” was read, of 2.']
		],
		[
			'before a very hidden one',
			[{ rows: [head, ...rows] }, { state: 'veryHidden' as const, rows: [['x']] }],
			['Sheet “Results 1” was read, of 2.']
		]
	])('%s', async (_, sheets, notes) => {
		const named = sheets.map((sheet) =>
			'name' in sheet ? { ...sheet, name: sheet.name.replace('&', '&amp;') } : sheet
		);
		const reading = await readingOf(workbookOf(named));
		expect(told(reading)).toEqual(BOTH);
		expect(reading.notes).toEqual(notes);
	});
	it('says where a formula failed, and does not take it for not measured', async () => {
		const failed = [rows[0]!.with(4, { failed: '#DIV/0!' }), rows[1]!];
		const [first, second] = told(await readingOf(workbookOf([{ rows: [head, ...failed] }])));
		expect(first!.problems).toEqual(['phosphorus: “#DIV/0!” is no number']);
		expect(second).toEqual(BOTH[1]);
	});
});
