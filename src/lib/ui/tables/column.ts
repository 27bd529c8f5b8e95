import type { Answer } from '$core/figure/figure';
import type { Snippet } from 'svelte';

/** One column of a list of things. */
export interface Column<Row> {
	/** What stands at its head; names the column. */
	readonly name: string;
	/** What it shows as text and sorts by; numbers sort as numbers, a missing one last. */
	readonly of?: (row: Row) => string | number | null | undefined;
	/** A number that opens its worksheet, and sorts by its value; nothing is shown where it gives none. */
	readonly answer?: (row: Row) => Answer | undefined;
	/** The head says the unit of `answer`. */
	readonly bare?: boolean;
	/** How it is shown, where text is not enough. */
	readonly cell?: Snippet<[Row]>;
	/** Its part of the width of a long list, in percent: the columns of one stay as they are while its rows run past. */
	readonly share?: number;
	/** At the right, as numbers stand. */
	readonly number?: boolean;
}
