/** What a book file says of itself. */
export interface BookFileHead {
	format: 'cosecha-book';
	/** Of the book's tables: docs/formats/book.md. */
	layout: number;
	/** Name of the grower, where it holds one alone. */
	grower?: string;
	/** How many rows each table has. */
	tables: Record<string, number>;
}

export const HEAD_NAME = 'cosecha.json';

export function tableName(table: string): string {
	return `tables/${table}.json`;
}
