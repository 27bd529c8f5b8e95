import { expect, it } from 'vitest';
import { csvLines } from './csv-lines';
import { csvText } from './csv-text';

const cellsOf = (text: string) => csvLines(text).map(({ cells }) => cells);

it('cells stand between commas, semicolons, tabs or bars, by the first line that is no note', () => {
	for (const sign of [',', ';', '\t', '|']) {
		expect(cellsOf(`rate${sign}yield\n0${sign}120.5\n`)).toEqual([
			['rate', 'yield'],
			['0', '120.5']
		]);
	}
	expect(cellsOf('# by hand; north strip\r\n\r\nrate,what\r\n0,"a; b"\r\n').slice(1)).toEqual([
		['rate', 'what'],
		['0', 'a; b']
	]);
});

it('half a million blank lines before the first are gone over once', () => {
	expect(cellsOf(`${'\n'.repeat(250_000)}${' \r\n'.repeat(250_000)}a;b`)).toEqual([['a', 'b']]);
});

it('a line that tells spreadsheets the separator is heeded and is no line of the table', () => {
	expect(csvLines('\uFEFFsep=;\nitem;price\nurea;5\n')).toEqual([
		{ line: 2, cells: ['item', 'price'] },
		{ line: 3, cells: ['urea', '5'] }
	]);
});

it('blank lines are left out and counted', () => {
	expect(csvLines('item,price\n\n , \nurea, 5 \n').map(({ line }) => line)).toEqual([1, 4]);
});

it('more lines than are read at once are refused, not left out', () => {
	expect(csvLines('a\n1\n2', 3)).toHaveLength(3);
	expect(() => csvLines('a\n1\n2\n\n', 3)).toThrow('has over 3 lines');
});

it('decimal commas are read where no comma stands between cells', () => {
	expect(cellsOf('item;price\nurea;512,5\nmap;1.040,25\n').slice(1)).toEqual([
		['urea', '512.5'],
		['map', '1040.25']
	]);
	expect(cellsOf('item,price\nurea,"512,5"\n')[1]).toEqual(['urea', '512,5']);
});

it('what was guarded against spreadsheets on the way out comes back as it was', () => {
	const rows = [
		['name', 'note'],
		['=B1', '@home'],
		['-', "'tis"]
	];
	expect(cellsOf(csvText(rows))).toEqual(rows);
});
