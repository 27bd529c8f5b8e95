import Papa from 'papaparse';
import { execFileSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { csvText } from './csv-text';

describe('a CSV file', () => {
	it.each(['=1+1', '+1', '-cmd', '@SUM(A1)', '\t=1', '\r=1', '\n=1', '=HYPERLINK("x")\nsecond line', '-5 lb'])(
		'runs nothing in a spreadsheet: %j',
		(cell) => {
			const [[first, second]] = Papa.parse<string[]>(csvText([[cell, 'b']])).data as [string[]];
			expect([first, second]).toEqual([`'${cell}`, 'b']);
		}
	);
	it('leaves numbers and harmless text as they are, and ends its lines for every system', () => {
		expect(csvText([['a=b', -5, 0.25, '', 'x, "y"']])).toBe('a=b,-5,0.25,,"x, ""y"""\r\n');
		expect(csvText([{ name: 'Mill Strip', ac: 24 }])).toBe('name,ac\r\nMill Strip,24\r\n');
	});
	it('is the only way out: no file of the program is written past it', () => {
		const found = execFileSync('grep', ['-rlE', 'unparse\\(', 'src', 'cli'], { encoding: 'utf8' });
		const files = found.split('\n').filter((file) => file !== '' && !file.endsWith('.test.ts'));
		expect(files).toEqual(['src/core/check/csv-text.ts']);
	});
});
