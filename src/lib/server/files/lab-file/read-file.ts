import Papa from 'papaparse';
import { isOneOf } from '../../../../core/check/typed-object';
import { readDecimalCommas } from '../../../../core/check/decimal-commas';
import { knownColumns } from '../../../../core/ground/lab-file/guess-mapping';
import { LINES_LOOKED_AT, tableOfCells, type LabTable } from '../../../../core/ground/lab-file/table-of-cells';
import { ActionError } from '../../book/action-error';
import { toldDelimiter } from '../../../../core/check/csv-lines';
import { decodedText } from '../../../../core/check/decoded-text';
import { readXlsx } from './read-xlsx';

/** A lab's file as text cells under one header line; files of older books have no notes. */
export type LabGrid = Omit<LabTable, 'notes'> & Partial<Pick<LabTable, 'notes'>>;

const MOST_ROWS = 20_000;
/** The lab's letterhead stands over the rows. */
const MOST_LINES = MOST_ROWS + 100;
const MOST_COLUMNS = 300;
/** As wide as a spreadsheet is: some export its empty columns too. */
const WIDEST_LINE = 16_384;

/** The cells of a file, and in words how they were read where that is not the usual way. */
interface Cells {
	cells: string[][];
	notes: string[];
}

/**
 * Reads a CSV or .xlsx file (its first sheet that is in sight).
 * @throws ActionError where it is neither, is empty, or is too large; the message is for the adviser
 */
export async function readLabFile(name: string, bytes: Uint8Array): Promise<LabGrid> {
	const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
	const { cells, notes } = isZip
		? await readXlsx(name, bytes, { lines: MOST_LINES, columns: MOST_COLUMNS + 1, rows: MOST_ROWS })
		: readCsv(name, bytes);
	const table = tableOfCells(cells);
	if (!table) {
		throw new ActionError(`${name} holds no table: no line has 3 or more column headers.`);
	}
	const { headers, rows } = table;
	if (rows.length === 0) throw new ActionError(`${name} has headers but no rows under them.`);
	if (rows.length > MOST_ROWS)
		throw new ActionError(`${name} has ${rows.length} rows; at most ${MOST_ROWS} are read at once. Split it.`);
	if (headers.length > MOST_COLUMNS)
		throw new ActionError(`${name} has ${headers.length} columns; at most ${MOST_COLUMNS} are read.`);
	return { ...table, notes: [...notes, ...table.notes] };
}

/** Left to the parser, which counts signs. */
const BY_COUNT = '';
const DELIMITERS = [',', ';', '\t', '|'] as const;

/** What stands between the cells: by it the header line names the most columns that are known. Decimal commas mislead a count of signs. */
function delimiterOf(text: string): string {
	const known = DELIMITERS.map((delimiter) => {
		const { data } = Papa.parse<string[]>(text, { delimiter, preview: LINES_LOOKED_AT });
		return { delimiter, columns: Math.max(...data.map(knownColumns)) };
	});
	const best = known.reduce((found, one) => (one.columns > found.columns ? one : found));
	return best.columns === 0 ? BY_COUNT : best.delimiter;
}

/** At most so many cells stand in a line, whatever stands between them. */
function cellsOfWidest(text: string): number {
	let [widest, cells] = [0, 1];
	for (const sign of text) {
		if (sign === '\n') cells = 1;
		else if (isOneOf(DELIMITERS, sign)) widest = Math.max(widest, ++cells);
	}
	return widest;
}

function readCsv(name: string, bytes: Uint8Array): Cells {
	const decoded = decodedText(bytes);
	if (!decoded) throw new ActionError(`${name} is neither a CSV nor an .xlsx file.`);
	const { delimiter: told, table: text } = toldDelimiter(decoded.text);
	if (cellsOfWidest(text) > WIDEST_LINE) {
		throw new ActionError(
			`${name} has a line of over ${WIDEST_LINE.toLocaleString('en-US')} cells; at most ${MOST_COLUMNS} columns are read. Is it the right file?`
		);
	}
	const delimiter = told ?? delimiterOf(text);
	const { data, errors, meta } = Papa.parse<string[]>(text, { skipEmptyLines: false, delimiter });
	const broken = errors.find(({ type }) => type === 'Quotes');
	if (broken)
		throw new ActionError(`${name}: the quotes in line ${(broken.row ?? 0) + 1} do not close. Save it again as CSV.`);
	const commas = meta.delimiter === ',' ? undefined : readDecimalCommas(data);
	return {
		cells: commas ?? data,
		notes: [
			...(decoded.note ? [decoded.note] : []),
			...(commas ? ['Its commas were read as decimal points: 5,6 is 5.6.'] : [])
		]
	};
}
