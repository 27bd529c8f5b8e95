import { withoutControls } from '../../check/control-characters';
import { isKnownColumn, knownColumns, namesMethodOrUnit } from './guess-mapping';

/** The table of a lab's file: one header line, the rows under it, and in words what was made of the lines above them. */
export interface LabTable {
	headers: string[];
	rows: string[][];
	/** Line of the file on which the first row stands, from 1. */
	firstLine: number;
	notes: string[];
}

/** Labs put their name, address and a key of the methods over the table: so far down a header line is looked for. */
export const LINES_LOOKED_AT = 60;
/** A header line has at least this many words. */
const LEAST_HEADERS = 3;

const words = (row: readonly string[] | undefined) => (row ?? []).filter((cell) => cell.trim() !== '');
const UNIT =
	/^[([]?\s*(ppm|%|percent|mg\s*\/\s*kg|g\s*\/\s*kg|kg\s*\/\s*ha|lbs?\s*\/\s*a(c|cre)?|lbs?\s+per\s+acre|meq\s*\/\s*100\s*g|cmol.*\/\s*kg|mmhos?\s*\/\s*cm|ds\s*\/\s*m|in|inch(es)?|cm|g\s*\/\s*cm3|1:1|s\.?u\.?|-+)\s*[)\]]?$/i;

/**
 * Finds the table in the cells of a file: the line that names the most columns that are known, the first of several like it. A line of
 * units under it, and a second header line over or under it, are joined to it.
 * @returns undefined where no line has enough words to head a table
 */
export function tableOfCells(file: readonly (readonly string[])[]): LabTable | undefined {
	const cells = file.map((row) => row.map(withoutControls));
	const at = headerLine(cells);
	if (at < 0) return undefined;
	const notes: string[] = [];
	let headers = cells[at]!.map((cell) => cell.trim());
	const above = cells[at - 1];
	const grouped = isSecondHeader(above, headers) ? joined(above!, headers) : headers;
	// A letterhead may stand right over the header line; groups say what columns hold that did not.
	if (knownColumns(grouped) > knownColumns(headers)) {
		headers = grouped;
		notes.push(`Line ${at} was read with the header line under it.`);
	}
	let first = at + 1;
	const below = cells[first];
	if (isUnits(below)) {
		headers = withUnits(headers, below!);
		notes.push(`Line ${first + 1} was read as the units of its columns.`);
		first++;
	} else if (isSecondHeader(below, headers)) {
		headers = joined(headers, below!);
		notes.push(`Line ${first + 1} was read with the header line over it.`);
		first++;
	}
	while (headers.at(-1) === '') headers.pop();
	const rows = cells.slice(first).map((row) => trimEnd(row, headers.length));
	while (rows.at(-1)?.every((cell) => cell.trim() === '')) rows.pop();
	return { headers, rows, firstLine: first + 1, notes };
}

function headerLine(cells: readonly (readonly string[])[]): number {
	let best = -1;
	let most = -1;
	for (const [at, row] of cells.slice(0, LINES_LOOKED_AT).entries()) {
		if (words(row).length < LEAST_HEADERS) continue;
		const known = knownColumns(row);
		if (known <= most) continue;
		best = at;
		most = known;
	}
	return best;
}

/** Figures that stand in the names of methods and nutrients. */
const NAMED_FIGURES = /\b(p1|no3|nh4\w*|so4|h2o|cacl2|m3|1:[12]|100\s*g)\b|mehlich[\s-]*(3|iii)/gi;

/** "Client: A. Tarrow" is no header. */
const LABEL_AND_VALUE = /:\s*[a-z]/i;

/** A line of words alone that heads groups of columns, or says their methods: no number stands in it. */
function isSecondHeader(row: readonly string[] | undefined, headers: readonly string[]): boolean {
	const said = words(row);
	if (said.length < 2 || said.length > words(headers).length) return false;
	if (said.some((cell) => LABEL_AND_VALUE.test(cell))) return false;
	if (said.some((cell) => /\d/.test(cell.replaceAll(NAMED_FIGURES, '')))) return false;
	const heads = said.filter((cell) => isKnownColumn(cell) || namesMethodOrUnit(cell));
	return heads.length >= Math.max(2, said.length / 2);
}

function isUnits(row: readonly string[] | undefined): boolean {
	const said = words(row);
	return said.length >= 2 && said.every((cell) => UNIT.test(cell.trim()));
}

/** Two header lines as one. A group's name stands in its first column alone: it holds on for columns that do not say what they are. */
function joined(upper: readonly string[], lower: readonly string[]): string[] {
	let group = '';
	return Array.from({ length: Math.max(upper.length, lower.length) }, (_, at) => {
		const [over, under] = [upper[at]?.trim() ?? '', lower[at]?.trim() ?? ''];
		if (over !== '') group = over;
		if (under === '') return over;
		const head = over === '' && !isKnownColumn(under) ? group : over;
		if (head === '' || head.toLowerCase() === under.toLowerCase()) return under;
		return UNIT.test(under) ? `${head} (${under})` : `${head} ${under}`;
	});
}

/** Units under their columns. */
function withUnits(headers: readonly string[], units: readonly string[]): string[] {
	return headers.map((header, at) => {
		const unit = (units[at] ?? '').trim().replace(/^[([]|[)\]]$/g, '');
		return unit === '' || /^-+$/.test(unit) || header === '' ? header : `${header} (${unit})`;
	});
}

/** Spreadsheets pad lines with empty cells; only words past the last header are worth a complaint. */
function trimEnd(row: readonly string[], length: number): string[] {
	const cells = [...row];
	while (cells.length > length && cells.at(-1)!.trim() === '') cells.pop();
	return cells;
}
