import Papa from 'papaparse';
import { readDecimalCommas } from './decimal-commas';
import { InputError } from './problem';

/** A line of a table that holds something, its cells without the blanks around them. */
export interface CsvLine {
	/** As the adviser counts them, from 1. */
	line: number;
	cells: string[];
}

/** What is looked for between cells, before the comma: where one of these stands, a comma is part of a number. */
const RATHER_THAN_COMMAS = ['\t', ';', '|'] as const;
/** The first that is neither blank nor a note; of its blanks none is a line's end, or many of these would be gone over again and again. */
const FIRST_LINE = /^(?!\uFEFF?[^\S\r\n]*(?:#|$)).+$/m;
/** A cell that a CSV file of ours guards, so that no spreadsheet runs it (see `csvText`). */
const GUARD = /^'(?=[=+\-@])/;

/**
 * The lines of a CSV file or of pasted cells, blank ones left out: whatever stands between the cells, with or without a line that tells it
 * to spreadsheets, decimals with a point or a comma.
 * @param most so many lines are read at once, blank ones among them
 * @throws InputError where there are more
 */
export function csvLines(text: string, most = Infinity): CsvLine[] {
	const { delimiter: told, table } = toldDelimiter(text);
	const first = FIRST_LINE.exec(table)?.[0] ?? '';
	const delimiter = told ?? RATHER_THAN_COMMAS.find((sign) => first.includes(sign)) ?? ',';
	const { data } = Papa.parse<string[]>(table.replace(/^\uFEFF/, ''), {
		delimiter,
		// One more tells that there are more, whatever comes then; 0 means all.
		preview: most === Infinity ? 0 : most + 1
	});
	if (data.length > most) {
		const message = `has over ${most} lines, more than are read at once: split it`;
		throw new InputError([{ path: 'file', message }]);
	}
	const cells = (delimiter === ',' ? undefined : readDecimalCommas(data)) ?? data;
	return cells
		.map((row, at) => ({ line: at + 1, cells: row.map((cell) => cell.trim().replace(GUARD, '')) }))
		.filter((one) => one.cells.some((cell) => cell !== ''));
}

/** The same without lines that begin with #: notes of whoever wrote them. */
export function csvLinesWithoutNotes(text: string, most?: number): CsvLine[] {
	return csvLines(text, most).filter(({ cells }) => !cells[0]!.startsWith('#'));
}

/** A line that tells spreadsheets what stands between the cells. */
const SEPARATOR_LINE = /^\uFEFF?sep=(.)\r?\n/i;

/** What a table says stands between its cells, and the table with that line blanked, so that lines keep their numbers. */
export function toldDelimiter(text: string): { delimiter: string | undefined; table: string } {
	return { delimiter: SEPARATOR_LINE.exec(text)?.[1], table: text.replace(SEPARATOR_LINE, '\n') };
}
