import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { SpreadCheck } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { act } from '../../book/act';
import { fromJson } from '../../from-json';
import type { FieldYearRow } from '../field-years';

/** Checks of a year, the newest first. */
export function listSpreadChecks(db: Database, fieldYearId: string): (SpreadCheck & { id: string })[] {
	return db
		.prepare<[string], { id: string; content: string }>(
			'SELECT id, content FROM spread_check WHERE field_year_id = ? ORDER BY made_on DESC, seq DESC'
		)
		.all(fieldYearId)
		.map(({ id, content }) => ({ id, ...fromJson<SpreadCheck>(content) }));
}

export function bookSpreadCheck(db: Database, fieldYear: FieldYearRow, check: SpreadCheck): void {
	act(db, { label: `Recorded the doses of palms of ${longDate(check.date)}`, fieldYear }, (writer) =>
		writer.insert('spread_check', {
			id: randomUUID(),
			field_year_id: fieldYear.id,
			content: JSON.stringify(check)
		})
	);
}

export function removeSpreadCheck(db: Database, fieldYear: FieldYearRow, id: string): void {
	act(db, { label: 'Deleted a check of the doses of palms', fieldYear }, (writer) => writer.remove('spread_check', id));
}
