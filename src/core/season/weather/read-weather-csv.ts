import { keysOf } from '../../check/typed-object';
import { MM_PER_IN } from '../../units/factors';
import { csvLinesWithoutNotes } from '../../check/csv-lines';
import type { WeatherDay } from '../../schema-types';
import type { UnitSystem } from '../../units/rate-units';
import { isDay } from '../../units/day-text';

/** A line that cannot be read, and why. */
export interface WeatherFault {
	/** As the adviser counts them, from 1. */
	line: number;
	message: string;
}

/** The days of a file, in order, or the lines that are in the way. Nothing is left out without being named. */
export interface WeatherText {
	days: WeatherDay[];
	faults: WeatherFault[];
}

/** Words in a heading that tell what a column holds. */
const HEADINGS = {
	date: /\b(date|day)\b/i,
	minC: /\b(min|minimum|low|tmin)\b/i,
	maxC: /\b(max|maximum|high|tmax)\b/i,
	rainMm: /\b(rain|rainfall|precip|precipitation|prcp)\b/i
} as const;
type Column = keyof typeof HEADINGS;
const NAMES: Record<Column, string> = {
	date: 'date',
	minC: 'lowest temperature (min)',
	maxC: 'highest temperature (max)',
	rainMm: 'rain'
};
/** What no weather station has read, in C and mm. */
const BOUNDS = { minC: [-70, 60], maxC: [-70, 65], rainMm: [0, 1000] } as const;
/** A day each: more than a station has kept. */
const MOST_LINES = 50_000;
/** No more complaints than an adviser reads. */
const MOST_FAULTS = 20;

/**
 * Reads a daily weather file: a heading, then a line a day with its date as YYYY-MM-DD, lowest and highest temperature and
 * rain, in any order of columns. Lines that begin with # are notes. Days may be missing; none may come twice.
 * @param units of the file: F and inches, or C and mm
 * @throws InputError for more lines than days were ever kept
 */
export function readWeatherCsv(text: string, units: UnitSystem): WeatherText {
	const rows = csvLinesWithoutNotes(text, MOST_LINES);
	const [heading, ...lines] = rows;
	if (!heading || lines.length === 0) {
		return {
			days: [],
			faults: [{ line: 1, message: 'the file holds no days: a heading and a line a day are wanted' }]
		};
	}
	const columns = columnsOf(heading.cells);
	if (typeof columns === 'string') return { days: [], faults: [{ line: heading.line, message: columns }] };
	const read = lines.map(({ line, cells }) => ({ line, ...dayOf(cells, columns, units) }));
	const faults = read.flatMap(({ line, fault }) => (fault === undefined ? [] : [{ line, message: fault }]));
	const seen = new Map<string, number>();
	for (const { line, day } of read) {
		const before = day && seen.get(day.date);
		if (before !== undefined) faults.push({ line, message: `${day!.date} stands on line ${before} already` });
		else if (day) seen.set(day.date, line);
	}
	const days = read.flatMap(({ day }) => day ?? []).sort((a, b) => a.date.localeCompare(b.date));
	return faults.length > 0 ? { days: [], faults: faults.slice(0, MOST_FAULTS) } : { days, faults };
}

function columnsOf(headings: readonly string[]): Record<Column, number> | string {
	const find = (column: Column) => headings.findIndex((heading) => HEADINGS[column].test(heading.replaceAll('_', ' ')));
	const columns = { date: find('date'), minC: find('minC'), maxC: find('maxC'), rainMm: find('rainMm') };
	const missing = keysOf(columns).find((column) => columns[column] < 0);
	return missing ? `has no column for the ${NAMES[missing]} among “${headings.join(', ').slice(0, 120)}”` : columns;
}

function dayOf(
	cells: readonly string[],
	columns: Record<Column, number>,
	units: UnitSystem
): { day?: WeatherDay; fault?: string } {
	const date = cells[columns.date] ?? '';
	if (!isDay(date)) return { fault: `the date “${date}” must be a day written as 2027-05-01` };
	const numbers: Partial<Record<Exclude<Column, 'date'>, number>> = {};
	for (const column of ['minC', 'maxC', 'rainMm'] as const) {
		const cell = cells[columns[column]] ?? '';
		const value = cell === '' ? NaN : Number(cell);
		const converted = inMetric(value, column, units);
		const [least, most] = BOUNDS[column];
		if (!(converted >= least && converted <= most)) {
			const unit = column === 'rainMm' ? (units === 'us' ? 'inches' : 'mm') : units === 'us' ? 'F' : 'C';
			return { fault: `the ${NAMES[column]} “${cell}” must be a number in ${unit} that weather can bring` };
		}
		numbers[column] = Math.round(converted * 10) / 10;
	}
	const { minC, maxC, rainMm } = numbers as Record<Exclude<Column, 'date'>, number>;
	if (minC > maxC) return { fault: `the lowest temperature of ${date} is above its highest` };
	return { day: { date, minC, maxC, rainMm } };
}

function inMetric(value: number, column: Column, units: UnitSystem): number {
	if (units === 'metric') return value;
	return column === 'rainMm' ? value * MM_PER_IN : (value - 32) / 1.8;
}
