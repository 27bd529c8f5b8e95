/** One line of a table by the year of a planting's life: it holds from this year to the next line's. */
export interface FromYear {
	readonly fromYear: number;
}

/** The line that holds in a year; undefined before the first, and where the year is missing (NaN). Lines stand in order. */
export function lineOfYear<T extends FromYear>(lines: readonly T[], year: number): T | undefined {
	let found: T | undefined;
	for (const line of lines) if (line.fromYear <= year) found = line;
	return found;
}
