import ExcelJS from 'exceljs';
import { format } from 'date-fns';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import { ActionError } from '../../book/action-error';

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
/** An .xlsx is a zip; unpacked it may not grow past this. */
const MOST_UNPACKED_BYTES = 100 * 1024 * 1024;
/** Labs put their name and address over the table; a header line has at least this many words. */
const LEAST_HEADERS = 3;

/**
 * Reads a CSV or .xlsx file (its first sheet).
 * @throws ActionError where it is neither, is empty, or is too large; the message is for the adviser
 */
export async function readLabFile(name: string, bytes: Uint8Array): Promise<LabGrid> {
	const isZip = bytes[0] === 0x50 && bytes[1] === 0x4b;
	const cells = isZip ? await readXlsx(name, bytes) : readCsv(name, bytes);
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

async function readXlsx(name: string, bytes: Uint8Array): Promise<string[][]> {
	let unpacked = 0;
	try {
		unzipSync(bytes, {
			filter: ({ originalSize }) => {
				unpacked += originalSize;
				return false;
			}
		});
	} catch {
		throw new ActionError(`${name} looks like an .xlsx file but is damaged. Save it again, or as CSV.`);
	}
	if (unpacked > MOST_UNPACKED_BYTES)
		throw new ActionError(`${name} would unpack to over 100 MB; save the one sheet as CSV.`);
	const workbook = new ExcelJS.Workbook();
	try {
		await workbook.xlsx.load(withoutMerges(bytes).slice().buffer);
	} catch {
		throw new ActionError(`${name} is not an .xlsx file that can be read. Save it again, or as CSV.`);
	}
	const sheet = workbook.worksheets[0];
	if (!sheet) throw new ActionError(`${name} holds no sheet.`);
	return filledCells(name, sheet);
}

/** The cells down to the last line that holds something; a stray cell far below the table is refused, not walked to. */
function filledCells(name: string, sheet: ExcelJS.Worksheet): string[][] {
	const cells: string[][] = [];
	let tooFar = false;
	sheet.eachRow({ includeEmpty: false }, (row, line) => {
		const texts: string[] = [];
		row.eachCell({ includeEmpty: false }, (cell, column) => {
			if (column <= MOST_COLUMNS + 1) texts[column - 1] = cellText(cell);
		});
		if (!texts.some((text) => text !== undefined && text.trim() !== '')) return;
		if (line > MOST_LINES) return void (tooFar = true);
		cells[line - 1] = texts;
	});
	if (tooFar) {
		throw new ActionError(
			`${name} has something below line ${MOST_LINES}; at most ${MOST_ROWS} rows are read at once. Delete stray cells under the table, or split it.`
		);
	}
	const width = cells.reduce((most, row) => Math.max(most, row?.length ?? 0), 0);
	return Array.from(cells, (row) => Array.from({ length: width }, (_, at) => row?.[at] ?? ''));
}

/** Merged ranges say nothing of what is in a table, and one over a whole sheet would be walked cell by cell. */
function withoutMerges(bytes: Uint8Array): Uint8Array {
	const files = unzipSync(bytes);
	const sheets = Object.keys(files).filter((path) => /^xl\/worksheets\/[^/]+\.xml$/.test(path));
	for (const path of sheets) {
		const text = strFromU8(files[path]!);
		const from = text.indexOf('<mergeCells');
		const to = text.indexOf('</mergeCells>', from);
		if (from >= 0 && to > from) files[path] = strToU8(text.slice(0, from) + text.slice(to + '</mergeCells>'.length));
	}
	return zipSync(files, { level: 0 });
}

function cellText({ value, text }: ExcelJS.Cell): string {
	const plain = value !== null && typeof value === 'object' && 'result' in value ? value.result : value;
	if (plain instanceof Date)
		return format(new Date(plain.getTime() + plain.getTimezoneOffset() * 60_000), 'yyyy-MM-dd');
	if (typeof plain === 'number') return String(plain);
	return text;
}

/** Spreadsheets pad lines with empty cells; only words past the last header are worth a complaint. */
function trimEnd(row: string[], length: number): string[] {
	const cells = [...row];
	while (cells.length > length && cells.at(-1)!.trim() === '') cells.pop();
	return cells;
}
