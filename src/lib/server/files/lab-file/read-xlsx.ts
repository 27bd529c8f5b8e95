import { format } from 'date-fns';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { readSheet, type CellValue } from 'read-excel-file/node';
import { ActionError } from '../../book/action-error';

/** An .xlsx is a zip; unpacked it may not grow past this. */
const MOST_UNPACKED_BYTES = 100 * 1024 * 1024;
/** Rows below the last line are read this far, to tell a stray word from an empty cell. */
const STRAY_ROWS = 50;

/** How far a sheet is read. */
interface Bounds {
	lines: number;
	columns: number;
	/** What is said to be read of rows. */
	rows: number;
}

/**
 * The cells of the first sheet that is in sight as text, from the first line down to the last that holds something.
 * @throws ActionError where it is damaged, too large, or has something below the last line
 */
export async function readXlsx(
	name: string,
	bytes: Uint8Array,
	{ lines, columns, rows }: Bounds
): Promise<{ cells: string[][]; notes: string[] }> {
	checkUnpacked(name, bytes);
	let sheets: SheetName[];
	let sheet: (CellValue | null)[][];
	try {
		const files = withinBounds(bytes, lines, columns);
		sheets = sheetsOf(files);
		const bounded = Buffer.from(zipSync(files, { level: 0 }));
		const first = shownOf(sheets);
		sheet = first ? await readSheet(bounded, first.name) : await readSheet(bounded);
	} catch {
		throw new ActionError(`${name} is not an .xlsx file that can be read. Save it again, or as CSV.`);
	}
	const cells = sheet.map((row) => row.map(cellText));
	if (cells.slice(lines).some((row) => row.some((text) => text.trim() !== ''))) {
		throw new ActionError(
			`${name} has something below line ${lines}; at most ${rows} rows are read at once. Delete stray cells under the table, or split it.`
		);
	}
	const first = shownOf(sheets);
	const more = sheets.length > 1 && first ? [`Sheet “${first.name}” was read, of ${sheets.length}.`] : [];
	return { cells: cells.slice(0, lines), notes: more };
}

interface SheetName {
	name: string;
	hidden: boolean;
}

const shownOf = (sheets: readonly SheetName[]) => sheets.find(({ hidden }) => !hidden);

/** The sheets of a workbook in the order of their tabs; none where the workbook does not list them in the usual way. */
function sheetsOf(files: Record<string, Uint8Array>): SheetName[] {
	const book = files['xl/workbook.xml'];
	if (!book) return [];
	const attribute = (tag: string, key: string) => new RegExp(`\\b${key}="([^"]*)"`).exec(tag)?.[1];
	return [...strFromU8(book).matchAll(/<(?:\w+:)?sheet\b[^>]*>/g)].flatMap(([tag]) => {
		const name = attribute(tag, 'name');
		return name === undefined
			? []
			: [{ name: plainText(name), hidden: (attribute(tag, 'state') ?? 'visible') !== 'visible' }];
	});
}

const ENTITIES: Record<string, string> = { '&lt;': '<', '&gt;': '>', '&quot;': '"', '&apos;': "'", '&amp;': '&' };
const plainText = (xml: string) => xml.replace(/&(lt|gt|quot|apos|amp);/g, (entity) => ENTITIES[entity]!);

function checkUnpacked(name: string, bytes: Uint8Array): void {
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
}

const MERGES = /<(\w+:)?mergeCells[\s\S]*?<\/\1?mergeCells>/;
const ROW = /<((?:\w+:)?)row\b[^>]*?\br="(\d+)"[^>]*?(?:\/>|>[\s\S]*?<\/\1row>)/g;
const CELL = /<((?:\w+:)?)c\b[^>]*?\br="([A-Z]+)\d+"[^>]*?(?:\/>|>[\s\S]*?<\/\1c>)/g;

/** A cell whose formula failed: the reader would take it for empty, which says "not measured". */
const FAILED = /^<([\w:]*c)\b([^>]*?)\st="e"([^>]*)>[\s\S]*?<[\w:]*v>([^<]*)<[\s\S]*$/;
const FAILED_AS_TEXT = '<$1$2 t="inlineStr"$3><is><t>$4</t></is></$1>';

/**
 * The same file with each sheet cut to what is read: merged ranges say nothing of what is in a table and one over a whole sheet
 * would be walked cell by cell; a stray cell in the last row or column would make a million empty ones.
 */
function withinBounds(bytes: Uint8Array, lines: number, columns: number): Record<string, Uint8Array> {
	const files = unzipSync(bytes);
	for (const path of Object.keys(files)) {
		if (!/^xl\/worksheets\/[^/]+\.xml$/.test(path)) continue;
		let below = 0;
		const text = strFromU8(files[path]!)
			.replace(MERGES, '')
			.replace(ROW, (row, _prefix: string, number: string) => {
				if (Number(number) <= lines) return row;
				below++;
				return below > STRAY_ROWS
					? ''
					: row.replaceAll(new RegExp(`(\\br="[A-Z]*)${number}"`, 'g'), `$1${lines + below}"`);
			})
			.replace(CELL, (cell, _prefix: string, letters: string) =>
				columnNumber(letters) > columns ? '' : cell.replace(FAILED, FAILED_AS_TEXT)
			);
		files[path] = strToU8(text);
	}
	return files;
}

/** "A" is 1, "AB" is 28. */
function columnNumber(letters: string): number {
	return [...letters].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0);
}

function cellText(value: CellValue | null): string {
	if (value === null || value === undefined) return '';
	// A day of a spreadsheet has no time zone; it is read as midnight in UTC.
	if (value instanceof Date) return format(value.getTime() + value.getTimezoneOffset() * 60_000, 'yyyy-MM-dd');
	return String(value);
}
