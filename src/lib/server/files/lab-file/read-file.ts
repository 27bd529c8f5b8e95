import Papa from 'papaparse';
import { ActionError } from '../../book/action-error';
import { readXlsx } from './read-xlsx';

/** A lab's file as text cells under one header line. */
export interface LabGrid {
	headers: string[];
	rows: string[][];
	/** Line of the file on which the first row stands, from 1. */
	firstLine: number;
}

const MOST_ROWS = 20_000;
/** The lab's letterhead stands over the rows. */
const MOST_LINES = MOST_ROWS + 100;
const MOST_COLUMNS = 300;
/** Labs put their name and address over the table; a header line has at least this many words. */
const LEAST_HEADERS = 3;

/**
 * Reads a CSV or .xlsx file (its first sheet).
 * @throws ActionError where it is neither, is empty, or is too large; the message is for the adviser
 */
export async function readLabFile(name: string, bytes: Uint8Array): Promise<LabGrid> {
	const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
	const cells = isZip
		? await readXlsx(name, bytes, { lines: MOST_LINES, columns: MOST_COLUMNS + 1, rows: MOST_ROWS })
		: readCsv(name, bytes);
	const headerAt = cells.findIndex((row) => row.filter((cell) => cell.trim() !== '').length >= LEAST_HEADERS);
	if (headerAt < 0) {
		throw new ActionError(`${name} holds no table: no line has ${LEAST_HEADERS} or more column headers.`);
	}
	const headers = cells[headerAt]!.map((cell) => cell.trim());
	while (headers.at(-1) === '') headers.pop();
	const rows = cells.slice(headerAt + 1).map((row) => trimEnd(row, headers.length));
	while (rows.at(-1)?.every((cell) => cell.trim() === '')) rows.pop();
	if (rows.length === 0) throw new ActionError(`${name} has headers but no rows under them.`);
	if (rows.length > MOST_ROWS)
		throw new ActionError(`${name} has ${rows.length} rows; at most ${MOST_ROWS} are read at once. Split it.`);
	if (headers.length > MOST_COLUMNS)
		throw new ActionError(`${name} has ${headers.length} columns; at most ${MOST_COLUMNS} are read.`);
	return { headers, rows, firstLine: headerAt + 2 };
}

function readCsv(name: string, bytes: Uint8Array): string[][] {
	if (bytes.subarray(0, 4096).includes(0)) throw new ActionError(`${name} is neither a CSV nor an .xlsx file.`);
	const text = new TextDecoder('utf-8').decode(bytes);
	const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: false });
	const broken = errors.find(({ type }) => type === 'Quotes');
	if (broken)
		throw new ActionError(`${name}: the quotes in line ${(broken.row ?? 0) + 1} do not close. Save it again as CSV.`);
	return data;
}

/** Spreadsheets pad lines with empty cells; only words past the last header are worth a complaint. */
function trimEnd(row: string[], length: number): string[] {
	const cells = [...row];
	while (cells.length > length && cells.at(-1)!.trim() === '') cells.pop();
	return cells;
}
