import { fromJson } from '../from-json';
import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { validator } from '../../../core/check/validator';
import type { SheetContent } from '../../../core/schema-types';

export interface Sheet {
	id: string;
	number: number;
	issuedAt: string;
	content: SheetContent;
}

const asSheetContent = validator<SheetContent>('sheet');

/** Freezes a sheet under the next number. It can neither be changed nor undone: the grower has it. */
export function issueSheet(db: Database, fieldYearId: string, content: SheetContent): Sheet {
	const frozen = JSON.stringify(asSheetContent(JSON.parse(JSON.stringify(content))));
	return db
		.transaction(() => {
			const { next } = db.prepare<[], { next: number }>('SELECT ifnull(max(number), 0) + 1 AS next FROM sheet').get()!;
			const id = randomUUID();
			const issuedAt = new Date().toISOString();
			db.prepare('INSERT INTO sheet (id, field_year_id, number, issued_at, content) VALUES (?, ?, ?, ?, ?)').run(
				id,
				fieldYearId,
				next,
				issuedAt,
				frozen
			);
			return { id, number: next, issuedAt, content };
		})
		.immediate();
}

interface SheetRow {
	id: string;
	number: number;
	issued_at: string;
	content: string;
}

/** Sheets of a field-year, the newest first. */
export function listSheets(db: Database, fieldYearId: string): Sheet[] {
	return db
		.prepare<[string], SheetRow>(
			'SELECT id, number, issued_at, content FROM sheet WHERE field_year_id = ? ORDER BY number DESC'
		)
		.all(fieldYearId)
		.map(toSheet);
}

export function findSheet(db: Database, id: string): Sheet | undefined {
	const row = db.prepare<[string], SheetRow>('SELECT id, number, issued_at, content FROM sheet WHERE id = ?').get(id);
	return row && toSheet(row);
}

function toSheet({ id, number, issued_at, content }: SheetRow): Sheet {
	return { id, number, issuedAt: issued_at, content: fromJson<SheetContent>(content) };
}

/** The newest sheet of each field in a year, by field: its id and number. */
export function newestSheets(db: Database, year: number): Map<string, { id: string; number: number }> {
	const rows = db
		.prepare<[number], { field_id: string; id: string; number: number }>(
			`SELECT y.field_id, s.id, max(s.number) AS number FROM sheet s JOIN field_year y ON y.id = s.field_year_id
			WHERE y.year = ? GROUP BY y.field_id`
		)
		.all(year);
	return new Map(rows.map(({ field_id, id, number }) => [field_id, { id, number }]));
}
