/** A sum of columns, each with its factor. */
export type Terms = readonly (readonly [factor: number, column: string])[];

/** A named row: terms within bounds; a bound left out does not bind. */
export interface Row {
	name: string;
	terms: Terms;
	least?: number;
	most?: number;
}

export interface LinearProblem {
	minimise: Terms;
	rows: readonly Row[];
	/** Columns are 0 or more; these only 0 or 1. */
	binaries: readonly string[];
	/** These only whole numbers. */
	whole: readonly string[];
}

/** The problem in the LP format of most solvers. A row with both bounds becomes two, `name` and `name_most`. */
export function lpText({ minimise, rows, binaries, whole }: LinearProblem): string {
	const lines = ['Minimize', ` obj: ${sum(minimise)}`, 'Subject To'];
	for (const { name, terms, least, most } of rows) {
		if (least !== undefined) lines.push(` ${name}: ${sum(terms)} >= ${number(least)}`);
		if (most !== undefined)
			lines.push(` ${least === undefined ? name : `${name}_most`}: ${sum(terms)} <= ${number(most)}`);
	}
	if (binaries.length > 0) lines.push('Binary', ` ${binaries.join(' ')}`);
	if (whole.length > 0) lines.push('General', ` ${whole.join(' ')}`);
	return [...lines, 'End', ''].join('\n');
}

function sum(terms: Terms): string {
	const parts = terms
		.filter(([factor]) => factor !== 0)
		.map(([factor, column]) => `${factor < 0 ? '-' : '+'} ${number(Math.abs(factor))} ${column}`);
	// A row of nothing still needs a column to be read.
	return parts.length > 0 ? parts.join(' ') : `0 ${terms[0]?.[1] ?? 'nothing'}`;
}

/** All digits, never in exponents, which some readers take for a name. */
function number(value: number): string {
	const text = String(value);
	return /e/i.test(text) ? value.toFixed(15) : text;
}
