import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { beforeEach, describe, expect, it } from 'vitest';
import { undo, undoable } from '../../book/act';
import { openBook } from '../../book/open-book';
import { addField, listFields, listSamples } from '../../stores/fields';
import { findImport, listLabs, listOutcomes, saveDraft, startImport } from '../../stores/lab-imports';
import { commitImport } from './commit-import';
import { previewImport } from './preview';
import { readLabFile, type LabGrid } from './read-file';
import { cellOf, workbookOf, type CellOfSheet } from './workbook.test-help';

const bytes = (text: string) => new TextEncoder().encode(text);
const CSV = 'Field,Date,pH (1:1),K (ppm)\nNorth,2026-10-01,5.6,120\nSouth,2026-10-01,6.4,"1,040"\n';

const HEADERS = ['Field', 'Date', 'pH (1:1)', 'K (ppm)'];
const TABLE = [
	['Field', 'pH (1:1)', 'K (ppm)'],
	['North', 5.6, 120]
];
const SHEET = 'xl/worksheets/sheet1.xml';

/** A workbook of one sheet. */
function xlsxOf(rows: readonly (readonly CellOfSheet[])[], more = ''): Uint8Array {
	return workbookOf([{ rows, more }]);
}

describe('reading a file', () => {
	it('skips the lab’s letterhead and keeps the line numbers of the file', async () => {
		const grid = await readLabFile('lab.csv', new Uint8Array(readFileSync('demo/lab-fenmoor.csv')));
		expect(grid.headers[0]).toBe('Client');
		expect(grid.firstLine).toBe(4);
		expect(grid.rows).toHaveLength(5);
	});

	it('reads semicolons, a byte-order mark and quotes', async () => {
		const grid = await readLabFile('lab.csv', bytes('\uFEFFField;pH;"K, ppm"\nNorth;5.6;120\n'));
		expect(grid.headers).toEqual(['Field', 'pH', 'K, ppm']);
	});

	it('reads the first sheet of an .xlsx file, numbers and dates as they are', async () => {
		const grid = await readLabFile('lab.xlsx', xlsxOf([HEADERS, ['North', { day: 46296 }, 5.6, '<10']]));
		expect(grid.rows).toEqual([['North', '2026-10-01', '5.6', '<10']]);
	});

	it('reads 20,000 rows of an .xlsx file once, not once for each row', async () => {
		const rows = Array.from({ length: 20_000 }, (_, row) => [`F${row}`, 5.6, 120]);
		const grid = await readLabFile('large.xlsx', xlsxOf([['Field', 'pH (1:1)', 'K (ppm)'], ...rows]));
		expect(grid.rows).toHaveLength(20_000);
		expect(grid.rows.at(-1)).toEqual(['F19999', '5.6', '120']);
	});
	it('refuses a stray cell at the foot of the sheet in words, and passes over an empty one and one far to the right', async () => {
		const stray = (value: string, at = 'A1048576') =>
			xlsxOf(TABLE, `<row r="${at.replace(/\D/g, '')}">${cellOf(at, value)}</row>`);
		await expect(readLabFile('stray.xlsx', stray('x'))).rejects.toThrow('Delete stray cells under the table');
		expect((await readLabFile('blank.xlsx', stray(' '))).rows).toHaveLength(1);
		expect((await readLabFile('wide.xlsx', stray('x', 'XFD3'))).headers).toHaveLength(3);
		expect((await readLabFile('wide.xlsx', stray('x', 'C3'))).rows).toEqual([
			['North', '5.6', '120'],
			['', '', 'x']
		]);
	});
	it('reads a sheet that is merged as a whole', async () => {
		const merged = '</sheetData><mergeCells count="1"><mergeCell ref="A1:XFD1048576"/></mergeCells>';
		const file = unzipSync(xlsxOf(TABLE));
		file[SHEET] = strToU8(strFromU8(file[SHEET]!).replace('</sheetData>', merged));
		expect((await readLabFile('merged.xlsx', zipSync(file))).rows).toEqual([['North', '5.6', '120']]);
	});

	it.each([
		['empty.csv', bytes(''), 'holds no table'],
		['letter.csv', bytes('Dear grower,\nthank you\n'), 'holds no table'],
		['bare.csv', bytes('Field,pH,K\n'), 'no rows under them'],
		['picture.png', new Uint8Array([0x89, 0x50, 0, 0, 1, 2]), 'neither a CSV nor an .xlsx'],
		['quotes.csv', bytes('a,b,c\n"never closed,1,2\n'), 'quotes in line 2 do not close'],
		['broken.xlsx', new Uint8Array([0x50, 0x4b, 3, 4, 9, 9, 9]), 'damaged'],
		['other.zip', zipSync({ 'a.txt': bytes('hello') }), 'cannot be read|not an .xlsx|holds no'],
		['long.csv', bytes(`a,b,c\n${'1,2,3\n'.repeat(20_001)}`), 'at most 20000']
	])('refuses %s with a sentence', async (name, content, message) => {
		await expect(readLabFile(name, content)).rejects.toThrow(new RegExp(message));
	});

	it('takes no CSV for a workbook because of its first letter', async () => {
		const grid = await readLabFile('p.csv', bytes('Plot,pH,K\nNorth,5.6,120\n'));
		expect(grid.headers).toEqual(['Plot', 'pH', 'K']);
	});

	it('refuses an .xlsx that would unpack to a hundred megabytes, unread', async () => {
		const bomb = zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(110 * 1024 * 1024) }, { level: 9 });
		expect(bomb.length).toBeLessThan(1024 * 1024);
		await expect(readLabFile('bomb.xlsx', bomb)).rejects.toThrow('would unpack to over 100 MB');
	});
});

describe('an import', () => {
	let db: Database;
	beforeEach(() => {
		db = openBook(':memory:');
		addField(db, { name: 'North', grower: 'Tarrow', areaAcres: 40 });
	});
	const start = async (text: string): Promise<string> =>
		startImport(db, 'lab.csv', await readLabFile('lab.csv', bytes(text)));
	const decide = (id: string, change: object) =>
		saveDraft(db, id, { ...findImport(db, id)!.draft, lab: 'Fenmoor', grower: 'Tarrow', ...change });
	const preview = (id: string) => previewImport(db, findImport(db, id)!.grid, findImport(db, id)!.draft, []);
	const commit = (id: string) => commitImport(db, findImport(db, id)!, []);

	it('sends rows to the field of their name, or to a new one', async () => {
		const id = await start(CSV);
		decide(id, {});
		expect(preview(id).rows.map(({ target, status }) => [target?.name, target?.fieldId === 'new', status])).toEqual([
			['North', false, 'imported'],
			['South', true, 'imported']
		]);
		commit(id);
		expect(listFields(db).map(({ name }) => name)).toEqual(['North', 'South']);
		const north = listFields(db)[0]!;
		expect(listSamples(db, north.id)[0]).toMatchObject({ lab: 'Fenmoor', report: { date: '2026-10-01' } });
		expect(listOutcomes(db, id).map(({ line, outcome }) => [line, outcome])).toEqual([
			[2, 'imported'],
			[3, 'imported']
		]);
	});

	it('with a bad row in the middle imports nothing until the adviser decides; then every row is accounted for', async () => {
		const id = await start(CSV.replace('South', '\n,2026-10-01,6.1,90\nSouth'));
		decide(id, {});
		expect(preview(id).rows.map(({ status }) => status)).toEqual(['imported', 'left out', 'undecided', 'imported']);
		expect(() => commit(id)).toThrow('Line 4 still needs a decision; nothing was imported.');
		expect(listFields(db)).toHaveLength(1);
		decide(id, { leftOut: [4] });
		commit(id);
		expect(listOutcomes(db, id).map(({ line, outcome, reason }) => [line, outcome, reason])).toEqual([
			[2, 'imported', ''],
			[3, 'left out', 'blank line'],
			[4, 'left out', 'the field name is missing'],
			[5, 'imported', '']
		]);
	});

	it('takes a cell written again', async () => {
		const id = await start(CSV.replace('5.6', '"5,6"'));
		decide(id, {});
		expect(preview(id).rows[0]?.problems[0]).toMatchObject({ column: 2 });
		decide(id, { corrections: { 2: { 2: '5.6' } } });
		expect(preview(id).rows[0]).toMatchObject({ status: 'imported', problems: [] });
	});

	it('asks for the grower of a new field, and which field is meant where two growers have one of the name', async () => {
		const id = await start(CSV);
		decide(id, { grower: '' });
		expect(preview(id).rows[1]?.problems[0]?.message).toContain('say which grower');
		const other = addField(db, { name: 'North', grower: 'Quillet', areaAcres: undefined });
		expect(preview(id).rows[0]?.problems[0]?.message).toContain('2 growers have a field named North');
		decide(id, { targets: { 2: other } });
		expect(preview(id).rows[0]?.target).toMatchObject({ fieldId: other });
	});

	it('makes one sample of the layers of a day', async () => {
		const id = await start('Field,Date,Depth (in),NO3-N (ppm)\nNorth,2026-10-01,0-12,8\nNorth,2026-10-01,12-24,5\n');
		decide(id, {});
		commit(id);
		const [sample, ...more] = listSamples(db, listFields(db)[0]!.id);
		expect(more).toEqual([]);
		expect(sample?.report.layers.map(({ top, bottom }) => [top, bottom])).toEqual([
			[0, 12],
			[12, 24]
		]);
	});

	it('sees the same file again and waits', async () => {
		const id = await start(CSV);
		decide(id, {});
		commit(id);
		expect(() => commit(id)).toThrow('already in the book');
		const again = await start(CSV);
		expect(preview(again).rows.map(({ problems }) => problems[0]?.message)).toEqual([
			'North already has this sample in the book',
			'South already has this sample in the book'
		]);
	});

	it('takes a corrected report in place of the sample, whole, and undo brings the old one back', async () => {
		const id = await start(CSV);
		decide(id, {});
		commit(id);
		const south = listFields(db).find(({ name }) => name === 'South')!.id;
		const [old] = listSamples(db, south);
		const again = await start(CSV.replace('6.4', '6.1'));
		decide(again, { leftOut: [2], replaces: [3] });
		expect(preview(again).rows[1]).toMatchObject({
			status: 'imported',
			replaces: true,
			inBook: { sampleId: old!.id, sheets: [] }
		});
		commit(again);
		const values = () =>
			listSamples(db, south).map((sample) => [sample.id, sample.report.layers[0]!.results[0]!.value]);
		expect(values()).toEqual([[old!.id, 6.1]]);
		undo(db, undoable(db)!.id);
		expect(values()).toEqual([[old!.id, 6.4]]);
	});

	it('gives a field its area and texture where it has none, and leaves alone what the adviser said', async () => {
		const more = (text: string) =>
			CSV.replace('Field,', 'Field,Acres,Texture,').replace('North,', text).replace('South,', 'South,40,clay,');
		addField(db, { name: 'North', grower: 'Quillet', areaAcres: 62 });
		const north = listFields(db).find(({ area_ac }) => area_ac === 62)!.id;
		const id = await start(more('North,80,silt loam,'));
		decide(id, { targets: { 2: north } });
		commit(id);
		const facts = () => listFields(db).map(({ name, area_ac, texture }) => [name, area_ac, texture]);
		expect(facts()).toContainEqual(['North', 62, 'silt loam']);
		expect(facts()).toContainEqual(['South', 40, 'clay']);
		undo(db, undoable(db)!.id);
		expect(facts()).toContainEqual(['North', 62, null]);
	});

	it('remembers the columns of the lab and knows its next file by the header line', async () => {
		const id = await start(CSV);
		const { draft } = findImport(db, id)!;
		draft.mapping.columns[3]!.method = 'mehlich-3';
		decide(id, { mapping: draft.mapping });
		commit(id);
		expect(listLabs(db).map(({ lab }) => lab)).toEqual(['Fenmoor']);
		const next = findImport(db, await start(CSV.replaceAll('2026-10-01', '2027-10-01')))!;
		expect(next.draft.lab).toBe('Fenmoor');
		expect(next.draft.mapping.columns[3]?.method).toBe('mehlich-3');
	});

	it('is taken out whole by undo, and the draft waits again', async () => {
		const id = await start(CSV);
		decide(id, {});
		commit(id);
		undo(db, undoable(db)!.id);
		expect(listFields(db)).toHaveLength(1);
		expect(listOutcomes(db, id)).toEqual([]);
		expect(findImport(db, id)?.committedAt).toBeNull();
		expect(preview(id).rows.map(({ status }) => status)).toEqual(['imported', 'imported']);
	});

	it('refuses a draft that does not fit, and a mapping that is not complete', async () => {
		const id = await start(CSV);
		expect(() => saveDraft(db, id, { lab: 'x' })).toThrow('lacks');
		decide(id, { lab: ' ' });
		expect(() => commit(id)).toThrow('Name the lab');
	});

	it('reads the shipped file in pounds once its units are said', async () => {
		const grid: LabGrid = await readLabFile('p.csv', new Uint8Array(readFileSync('demo/lab-orchard-pounds.csv')));
		const id = startImport(db, 'p.csv', grid);
		expect(preview(id).mappingProblems).toHaveLength(7);
		const { mapping } = findImport(db, id)!.draft;
		for (const column of mapping.columns) if (column.role === 'result') column.unit ??= 'lb/ac-furrow';
		decide(id, { mapping });
		expect(preview(id).mappingProblems).toEqual([]);
		expect(preview(id).rows.map(({ status }) => status)).toEqual([
			'imported',
			'imported',
			'imported',
			'undecided',
			'imported'
		]);
		expect(preview(id).rows[2]?.layer?.results.find(({ analyte }) => analyte === 'P')).toMatchObject({
			value: 10,
			qualifier: '<'
		});
	});
});
