import type { Database } from 'better-sqlite3';
import type { Row } from './reach';

/**
 * Notes which fields an action changes, by the rows that it writes. A field that the action itself makes is left out: undone from its own
 * page it would take the page away.
 */
export function touchedFields(db: Database): { note: (row: Row, table: string) => void; fields: () => string[] } {
	const touched = new Set<string>();
	const made = new Set<string>();
	const ofYear = new Map<string, string | undefined>();
	const find = db.prepare<[string], { id: string }>('SELECT field_id AS id FROM field_year WHERE id = ?');
	const there = db.prepare<[string]>('SELECT 1 FROM field WHERE id = ?');
	const fieldOf = (year: string) => {
		if (!ofYear.has(year)) ofYear.set(year, find.get(year)?.id);
		return ofYear.get(year);
	};
	return {
		note({ id, field_id, field_year_id }, table) {
			if (table === 'field' && typeof id === 'string') {
				// Rows are noted before they are written: one that is not there yet is made now.
				(there.get(id) ? touched : made).add(id);
				return;
			}
			const field = typeof field_year_id === 'string' ? fieldOf(field_year_id) : field_id;
			if (typeof field === 'string') touched.add(field);
		},
		fields: () => [...touched].filter((field) => !made.has(field))
	};
}
