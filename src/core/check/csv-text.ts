import Papa from 'papaparse';

/** Cells that a spreadsheet would run as a formula, also where a line break stands in them. */
const FORMULA = /^[=+\-@\t\r\n]/;

/**
 * Rows as a CSV file for any spreadsheet: a text cell that would be run as a formula gets an apostrophe before it. Numbers stay numbers.
 * @param rows of cells, the heads first, or objects whose keys are the heads
 */
export function csvText(rows: readonly unknown[]): string {
	return `${Papa.unparse([...rows], { newline: '\r\n', escapeFormulae: FORMULA })}\r\n`;
}
