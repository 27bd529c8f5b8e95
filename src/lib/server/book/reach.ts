import type { Database } from 'better-sqlite3';
import { ActionError } from './action-error';

export type Row = Record<string, string | number | null>;

/** Throws where a row lies outside what an action may touch. */
export type Reach = (row: Row) => void;

/**
 * The one place that keeps changes from crossing fields and years, whatever ids a request names: a row that belongs to a field
 * (itself, or through its year or its prescription) may be changed only by an action on that field, and one that belongs to a
 * year, by an action on a year, only if it is that year's.
 */
export function reachOf(db: Database, fieldId: string | undefined, fieldYearId: string | undefined): Reach {
	return (row) => {
		const year = yearOf(db, row);
		const field = year === undefined ? row.field_id : fieldOf(db, year);
		const elsewhere =
			(fieldId !== undefined && typeof field === 'string' && field !== fieldId) ||
			(fieldYearId !== undefined && year !== undefined && year !== fieldYearId);
		if (elsewhere) throw new ActionError('This belongs to another field or year. Reload the page.');
	};
}

function yearOf(db: Database, { field_year_id: own, prescription_id: of }: Row): string | undefined {
	if (typeof own === 'string') return own;
	if (typeof of !== 'string') return undefined;
	return db.prepare<[string], { id: string }>('SELECT field_year_id AS id FROM prescription WHERE id = ?').get(of)?.id;
}

function fieldOf(db: Database, fieldYearId: string): string | undefined {
	return db.prepare<[string], { id: string }>('SELECT field_id AS id FROM field_year WHERE id = ?').get(fieldYearId)
		?.id;
}
