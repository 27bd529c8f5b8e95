import type { Database } from 'better-sqlite3';
import type { BookSummary } from '../../../../core/schema-types';

/** What a book holds, in a few numbers by which one copy is told from another. */
export function whatIsIn(db: Database): BookSummary {
	const count = (table: string) => db.prepare<[], { n: number }>(`SELECT count(*) AS n FROM ${table}`).get()!.n;
	const last = db
		.prepare<[], { at: string; label: string }>('SELECT at, label FROM event ORDER BY id DESC LIMIT 1')
		.get();
	return {
		growers: count('grower'),
		fields: count('field'),
		years: count('field_year'),
		samples: count('sample'),
		passes: count('pass'),
		sheets: count('sheet'),
		...(last ? { lastChange: last } : {})
	};
}
