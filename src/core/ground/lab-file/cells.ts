import { isValid, parse } from 'date-fns';
import type { ColumnMeaning, LabMapping } from '../../schema-types';
import { DAY_MS } from '../../units/factors';

export interface CellProblem {
	/** Index of the column; -1 where the row as a whole is meant. */
	column: number;
	message: string;
}

/** A cell of a row, by what its column means. */
export interface Cell {
	/** -1 where no column means that. */
	column: number;
	text: string;
}

/** The cell of a row that a meaning names. */
export type CellOf = (role: ColumnMeaning['role']) => Cell;

const NOT_MEASURED = /^(|-|--|n\/?a|nt|not tested|\.)$/i;
const DATE_PATTERNS: Record<LabMapping['dateOrder'], readonly string[]> = {
	'year-month-day': ['yyyy-MM-dd', 'yyyy/MM/dd'],
	'month-day-year': ['MM/dd/yyyy', 'MM/dd/yy', 'yyyy-MM-dd'],
	'day-month-year': ['dd/MM/yyyy', 'dd.MM.yyyy', 'dd/MM/yy', 'yyyy-MM-dd']
};

const WITH_MONTH_NAMES = ['d MMM yyyy', 'd-MMM-yyyy', 'd-MMM-yy', 'MMM d, yyyy', 'MMMM d, yyyy', 'd MMMM yyyy'];
const TIME_OF_DAY = /[ T]\d{1,2}:\d{2}.*$/;
/** A day as spreadsheets count it, from the end of 1899, where the cell lost its format; of the years 2000 to 2099. */
const SPREADSHEET_DAY = /^\d{5}(\.\d+)?$/;
const SERIAL_OF_1970 = 25_569;
const [FIRST_SERIAL, LAST_SERIAL] = [36_526, 73_050];

/** Whether a lab says by a cell that it did not measure. */
export function notMeasured(text: string): boolean {
	return NOT_MEASURED.test(text);
}

/** YYYY-MM-DD; undefined where the cell is empty, or holds no date, which is a problem then. */
export function readDate(
	{ column, text }: Cell,
	order: LabMapping['dateOrder'],
	problems: CellProblem[]
): string | undefined {
	if (text === '') return undefined;
	const day = text.replace(TIME_OF_DAY, '');
	const serial = SPREADSHEET_DAY.test(day) ? Number.parseInt(day, 10) : 0;
	if (serial >= FIRST_SERIAL && serial <= LAST_SERIAL) {
		return new Date((serial - SERIAL_OF_1970) * DAY_MS).toISOString().slice(0, 10);
	}
	for (const pattern of [...DATE_PATTERNS[order], ...WITH_MONTH_NAMES]) {
		const date = parse(day, pattern, new Date(0));
		if (isValid(date) && date.getFullYear() > 1950 && date.getFullYear() < 2200) {
			const two = (part: number) => String(part).padStart(2, '0');
			return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
		}
	}
	problems.push({ column, message: `“${text}” is no date in the order ${order}` });
	return undefined;
}

/** A lab's number, or why the text is none. */
export function readNumber(text: string): { value: number; qualifier?: '<' | '>' } | string {
	const match = /^([<>])?\s*(\d+(?:\.\d+)?|\.\d+|\d{1,3}(?:,\d{3})+(?:\.\d+)?)$/.exec(text);
	if (!match) {
		if (/^-/.test(text)) return `“${text}” is below zero`;
		return /^\d+,\d+$/.test(text) ? `“${text}” has a decimal comma; write a point` : `“${text}” is no number`;
	}
	const value = Number(match[2]!.replaceAll(',', ''));
	if (value > 1_000_000) return `“${text}” is too large to be true`;
	return match[1] ? { value, qualifier: match[1] as '<' | '>' } : { value };
}

const SPOTS: readonly ['whole' | 'good' | 'bad', RegExp][] = [
	['whole', /^(|whole|all|field|block|whole (field|block))$/i],
	['good', /^(good|normal|healthy|check)( (spot|area))?$/i],
	['bad', /^(bad|poor|weak|problem)( (spot|area))?$/i]
];

/** What a sample is of; whole where the cell is empty. */
export function readSpot({ column, text }: Cell, problems: CellProblem[]): 'whole' | 'good' | 'bad' {
	const spot = SPOTS.find(([, pattern]) => pattern.test(text))?.[0];
	if (!spot) problems.push({ column, message: `“${text}” is no spot; write whole, good or bad` });
	return spot ?? 'whole';
}
