import { csvLinesWithoutNotes } from '../../../check/csv-lines';
import type { Observation } from '../../../schema-types';

/** A line of a pasted trial that cannot be read, and why. */
export interface LineFault {
	/** As the adviser counts them, from 1. */
	line: number;
	message: string;
}

/** The plots of a pasted trial, or the lines that are in the way. Nothing is left out without being named. */
export interface TrialText {
	observations: Observation[];
	faults: LineFault[];
}

/** Words in a heading that tell what a column holds. */
const HEADINGS = {
	rate: /\b(n|nitrogen|rate|applied|dose)\b/i,
	yield: /\b(yield|bu|grain|harvest)/i,
	block: /\b(block|rep|replicate|replication|strip)\b/i
} as const;
/** More plots than any trial has; beyond it the text is something else. */
const MOST_PLOTS = 2000;
const MOST_RATE = 2000;
const MOST_YIELD = 1_000_000;

/**
 * Reads plots from pasted text or a CSV file: nitrogen in lb/ac, yield in the crop's unit per acre, and a block if
 * there is one; columns by their headings, or in this order where there are none. Lines that begin with # are notes.
 */
export function readObservations(text: string): TrialText {
	const rows = csvLinesWithoutNotes(text);
	if (rows.length === 0) return { observations: [], faults: [] };
	const first = rows[0]!;
	const hasHeading = first.cells.some((cell) => cell !== '' && Number.isNaN(Number(cell)));
	const columns = hasHeading ? columnsOf(first.cells) : { rate: 0, yield: 1, block: 2 };
	if (typeof columns === 'string') return { observations: [], faults: [{ line: first.line, message: columns }] };
	const plots = (hasHeading ? rows.slice(1) : rows).map(({ line, cells }) => plotOf(line, cells, columns));
	const faults = plots.filter((plot): plot is LineFault => 'message' in plot);
	const observations = plots.filter((plot): plot is Observation => 'rate' in plot);
	if (observations.length > MOST_PLOTS) {
		faults.push({ line: first.line, message: `holds ${observations.length} plots; a trial has at most ${MOST_PLOTS}` });
	}
	return { observations, faults };
}

interface Columns {
	rate: number;
	yield: number;
	block: number;
}

/** Where each column stands, or what is missing. */
function columnsOf(headings: readonly string[]): Columns | string {
	const find = (pattern: RegExp) => headings.findIndex((heading) => pattern.test(heading.replaceAll('_', ' ')));
	const columns = { rate: find(HEADINGS.rate), yield: find(HEADINGS.yield), block: find(HEADINGS.block) };
	const told = headings.join(', ');
	if (columns.rate < 0) return `has no column for the rate of nitrogen among “${told}”; call one “rate”`;
	if (columns.yield < 0) return `has no column for the yield among “${told}”; call one “yield”`;
	return columns;
}

function plotOf(line: number, cells: readonly string[], columns: Columns): Observation | LineFault {
	const rate = numberIn(cells[columns.rate], 'rate', MOST_RATE);
	if (typeof rate === 'string') return { line, message: rate };
	const grain = numberIn(cells[columns.yield], 'yield', MOST_YIELD);
	if (typeof grain === 'string') return { line, message: grain };
	const block = cells[columns.block];
	return { rate, yield: grain, ...(block ? { block } : {}) };
}

function numberIn(cell: string | undefined, name: string, most: number): number | string {
	if (cell === undefined || cell === '') return `the ${name} is empty; it must be a number from 0 to ${most}`;
	const value = Number(cell);
	if (value >= 0 && value <= most) return value;
	return `the ${name} “${cell}” must be a number from 0 to ${most}`;
}
