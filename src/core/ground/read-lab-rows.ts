import { isValid, parse } from 'date-fns';
import type { ColumnMeaning, LabMapping, Layer, Result } from '../schema-types';
import { conversionOf } from '../units/result-units';
import { analyteName } from './analyte-names';
import { isMethodOf } from './lab-methods';

/** What one row of a lab file will become. */
export interface LabRow {
	/** Line of the file as an editor counts it, from 1. */
	line: number;
	field: string;
	grower: string;
	sampleNumber: string;
	/** YYYY-MM-DD; undefined where the file gives none. */
	date: string | undefined;
	/** Undefined where the row is bad. */
	layer: Layer | undefined;
	/** A line without a single word in it. */
	blank: boolean;
	problems: CellProblem[];
}

export interface CellProblem {
	/** Index of the column; -1 where the row as a whole is meant. */
	column: number;
	message: string;
}

const NOT_MEASURED = /^(|-|--|n\/?a|nt|not tested|\.)$/i;
const DATE_PATTERNS: Record<LabMapping['dateOrder'], readonly string[]> = {
	'year-month-day': ['yyyy-MM-dd', 'yyyy/MM/dd'],
	'month-day-year': ['MM/dd/yyyy', 'MM/dd/yy', 'yyyy-MM-dd'],
	'day-month-year': ['dd/MM/yyyy', 'dd.MM.yyyy', 'dd/MM/yy', 'yyyy-MM-dd']
};

/**
 * Reads the rows of a lab file by a mapping. A row with anything wrong has no layer, and says what is wrong where.
 * @param rows cells as text, without the header line
 * @param firstLine line of the file on which the first of them stands
 */
export function readLabRows(rows: readonly (readonly string[])[], mapping: LabMapping, firstLine: number): LabRow[] {
	const read = rows.map((cells, index) => readRow(cells, index + firstLine, mapping));
	markDoubled(read);
	return read;
}

/** Faults of the mapping itself, before any row is read. */
export function mappingProblems({ columns, depth }: LabMapping): string[] {
	const problems: string[] = [];
	const count = (role: ColumnMeaning['role']) => columns.filter((column) => column.role === role).length;
	if (count('field') === 0) problems.push('No column is marked as the field name.');
	for (const role of ['field', 'grower', 'sample number', 'date', 'depth', 'top depth', 'bottom depth'] as const) {
		if (count(role) > 1) problems.push(`Two columns are marked as ${role}.`);
	}
	if (count('result') === 0) problems.push('No column is marked as a result.');
	if (count('top depth') !== count('bottom depth')) problems.push('Top and bottom depth need a column each.');
	if (depth.bottom <= depth.top) problems.push('The bottom of the sampled depth must lie below its top.');
	const seen = new Set<string>();
	for (const { header, role, analyte, method, unit } of columns) {
		if (role !== 'result') continue;
		if (!analyte) problems.push(`“${header}” is marked as a result, but not of what.`);
		else if (unit === undefined) problems.push(`“${header}”: say the unit of ${analyteName(analyte)}.`);
		else if (!conversionOf(analyte, unit, 1)) {
			problems.push(`“${header}”: ${analyteName(analyte)} is not measured in “${unit}”.`);
		} else if (method && !isMethodOf(analyte, method)) {
			problems.push(`“${header}”: ${method} is no method for ${analyteName(analyte)}.`);
		} else if (seen.has(`${analyte} ${method ?? ''}`)) {
			problems.push(`Two columns are marked as ${analyteName(analyte)}${method ? ` by ${method}` : ''}.`);
		}
		seen.add(`${analyte ?? header} ${method ?? ''}`);
	}
	return problems;
}

function readRow(cells: readonly string[], line: number, mapping: LabMapping): LabRow {
	if (cells.every((text) => text.trim() === '')) {
		return {
			line,
			field: '',
			grower: '',
			sampleNumber: '',
			date: undefined,
			layer: undefined,
			blank: true,
			problems: []
		};
	}
	const problems: CellProblem[] = [];
	const cell = (role: ColumnMeaning['role']) => {
		const column = mapping.columns.findIndex((candidate) => candidate.role === role);
		return { column, text: (cells[column] ?? '').trim() };
	};
	const field = cell('field');
	if (field.text === '') problems.push({ column: field.column, message: 'the field name is missing' });
	if (cells.length > mapping.columns.length) {
		problems.push({ column: -1, message: `the row has ${cells.length} cells under ${mapping.columns.length} headers` });
	}
	const date = readDate(cell('date'), mapping.dateOrder, problems);
	const depth = readDepth(cell, mapping, problems);
	const results = readResults(cells, mapping, problems);
	if (results.length === 0 && problems.length === 0) problems.push({ column: -1, message: 'the row holds no result' });
	return {
		line,
		field: field.text,
		grower: cell('grower').text,
		sampleNumber: cell('sample number').text,
		date,
		layer: problems.length === 0 && depth ? { ...depth, results } : undefined,
		blank: false,
		problems
	};
}

interface Cell {
	column: number;
	text: string;
}

function readDate({ column, text }: Cell, order: LabMapping['dateOrder'], problems: CellProblem[]): string | undefined {
	if (text === '') return undefined;
	for (const pattern of DATE_PATTERNS[order]) {
		const date = parse(text, pattern, new Date(0));
		if (isValid(date) && date.getFullYear() > 1950 && date.getFullYear() < 2200) {
			const two = (part: number) => String(part).padStart(2, '0');
			return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
		}
	}
	problems.push({ column, message: `“${text}” is no date in the order ${order}` });
	return undefined;
}

function readDepth(cell: (role: ColumnMeaning['role']) => Cell, { depth }: LabMapping, problems: CellProblem[]) {
	const asLayer = (top: number, bottom: number, depthUnit: Layer['depthUnit'], column: number) => {
		if (bottom > top) return { top, bottom, depthUnit };
		problems.push({ column, message: `the depth ${top}-${bottom} is upside down` });
		return undefined;
	};
	const range = cell('depth');
	if (range.text !== '') {
		const match = /^(\d+(?:\.\d+)?)\s*(?:-|–|to)\s*(\d+(?:\.\d+)?)\s*(in|inch|inches|"|cm)?$/i.exec(range.text);
		if (match) {
			const unit = match[3] ? (match[3].toLowerCase() === 'cm' ? 'cm' : 'in') : depth.unit;
			return asLayer(Number(match[1]), Number(match[2]), unit, range.column);
		}
		problems.push({ column: range.column, message: `“${range.text}” is no depth; write it as 0-8` });
		return undefined;
	}
	const top = cell('top depth');
	const bottom = cell('bottom depth');
	if (top.column >= 0 && bottom.column >= 0) {
		const [from, to] = [Number(top.text), Number(bottom.text)];
		if (top.text !== '' && bottom.text !== '' && from >= 0 && to >= 0)
			return asLayer(from, to, depth.unit, bottom.column);
		problems.push({ column: top.column, message: `“${top.text}” to “${bottom.text}” is no depth` });
		return undefined;
	}
	return { top: depth.top, bottom: depth.bottom, depthUnit: depth.unit };
}

function readResults(cells: readonly string[], { columns }: LabMapping, problems: CellProblem[]): Result[] {
	return columns.flatMap(({ role, analyte, method, unit }, column) => {
		const text = (cells[column] ?? '').trim();
		if (role !== 'result' || !analyte || unit === undefined || NOT_MEASURED.test(text)) return [];
		const number = readNumber(text);
		if (typeof number === 'string') {
			problems.push({ column, message: `${analyteName(analyte)}: ${number}` });
			return [];
		}
		return [{ analyte, ...(method ? { method } : {}), ...number, unit }];
	});
}

function readNumber(text: string): Pick<Result, 'value' | 'qualifier'> | string {
	const match = /^([<>])?\s*(\d+(?:\.\d+)?|\.\d+|\d{1,3}(?:,\d{3})+(?:\.\d+)?)$/.exec(text);
	if (!match) {
		if (/^-/.test(text)) return `“${text}” is below zero`;
		return /^\d+,\d+$/.test(text) ? `“${text}” has a decimal comma; write a point` : `“${text}” is no number`;
	}
	const value = Number(match[2]!.replaceAll(',', ''));
	if (value > 1_000_000) return `“${text}” is too large to be true`;
	return match[1] ? { value, qualifier: match[1] as '<' | '>' } : { value };
}

/** Two rows of one field, day and depth would overwrite each other. */
function markDoubled(rows: LabRow[]): void {
	const seen = new Map<string, number>();
	for (const row of rows) {
		if (!row.layer) continue;
		const { top, bottom, depthUnit } = row.layer;
		const key = [
			row.field.toLowerCase(),
			row.grower.toLowerCase(),
			row.date,
			row.sampleNumber,
			top,
			bottom,
			depthUnit
		].join('|');
		const first = seen.get(key);
		if (first === undefined) {
			seen.set(key, row.line);
		} else {
			row.layer = undefined;
			row.problems.push({ column: -1, message: `the same field, day, sample number and depth as line ${first}` });
		}
	}
}
