import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { LeafLogEntry } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { act } from '../../book/act';
import { ActionError } from '../../book/action-error';
import { fromJson } from '../../from-json';

/** Leaf tests of a field, the newest first. */
export function listLeafTests(db: Database, fieldId: string): (LeafLogEntry & { id: string })[] {
	return db
		.prepare<[string], { id: string; content: string }>(
			'SELECT id, content FROM leaf_test WHERE field_id = ? ORDER BY taken_on DESC, seq DESC'
		)
		.all(fieldId)
		.map(({ id, content }) => ({ id, ...fromJson<LeafLogEntry>(content) }));
}

export function bookLeafTest(db: Database, fieldId: string, test: LeafLogEntry): void {
	act(db, { label: `Recorded the leaf test of ${longDate(test.takenOn)}`, fieldId }, (writer) =>
		writer.insert('leaf_test', { id: randomUUID(), field_id: fieldId, content: JSON.stringify(test) })
	);
}

export function removeLeafTest(db: Database, fieldId: string, id: string): void {
	act(db, { label: 'Deleted a leaf test', fieldId }, (writer) => {
		const used = db.prepare<[string]>('SELECT 1 FROM lab_import_row WHERE leaf_id = ?').get(id);
		if (used) throw new ActionError('This leaf test came from a lab file; undo that import to delete it.');
		writer.remove('leaf_test', id);
	});
}
