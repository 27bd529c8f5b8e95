import type { Database } from 'better-sqlite3';
import { ON_FIELD } from '../book/act';

export interface BookEvent {
	id: number;
	at: string;
	label: string;
	undone: boolean;
	isUndo: boolean;
}

/** What happened on a field, alone or among others, the newest first. */
export function listEvents(db: Database, fieldId: string, most: number): BookEvent[] {
	return db
		.prepare<[string, string, number], { id: number; at: string; label: string; undone: number; isUndo: number }>(
			`SELECT id, at, label, undoes IS NOT NULL AS isUndo,
				EXISTS (SELECT 1 FROM event later WHERE later.undoes = e.id) AS undone
			FROM event e WHERE ${ON_FIELD} ORDER BY id DESC LIMIT ?`
		)
		.all(fieldId, fieldId, most)
		.map((row) => ({ ...row, undone: row.undone === 1, isUndo: row.isUndo === 1 }));
}

/** The number of the newest change of the book; 0 where there was none. */
export function newestEvent(db: Database): number {
	return db.prepare<[], { id: number }>('SELECT ifnull(max(id), 0) AS id FROM event').get()!.id;
}
