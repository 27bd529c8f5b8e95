import type { Database } from 'better-sqlite3';
import type { BookedApplication, RecordedPass } from '../../../../core/season/applied/recorded-pass';
import type { BookedPass } from '../../../../core/season/propose/nitrogen-programme';
import type { Application } from '../../../../core/schema-types';
import { fromJson } from '../../from-json';
import type { FieldYearRow } from '../field-years';

/** A year of a field with its passes, over the whole book. */
export type BookedYearRow = Pick<
	FieldYearRow,
	'year' | 'crop' | 'yield_goal' | 'harvested_yield' | 'residue_removed_percent' | 'irrigation' | 'second_crop'
> & {
	id: string;
	fieldId: string;
	field: string;
	grower: string;
	areaAc: number | null;
	passes: RecordedPass[];
};

const YEARS = 'field_year y WHERE y.year BETWEEN ? AND ?';

/** One for all years without passes. */
const NO_PASSES: RecordedPass[] = [];

interface FieldOfYear {
	id: string;
	field: string;
	grower: string;
	areaAc: number | null;
}

/**
 * The years of all fields from one to another, in no order. Fields, passes and their entries are read in one go each and put together here:
 * a book of many years holds tens of thousands.
 */
export function listBookedYears(db: Database, from: number, to: number): BookedYearRow[] {
	const passes = passesByYear(db, from, to);
	const fields = db
		.prepare<[], FieldOfYear>(
			'SELECT f.id, f.name AS field, g.name AS grower, f.area_ac AS areaAc FROM field f JOIN grower g ON g.id = f.grower_id'
		)
		.all();
	const byId = new Map(fields.map((field) => [field.id, field]));
	return db
		.prepare<[number, number], Omit<BookedYearRow, 'passes' | 'field' | 'grower' | 'areaAc'>>(
			`SELECT id, field_id AS fieldId, year, crop, yield_goal, harvested_yield, residue_removed_percent, irrigation, second_crop
			FROM field_year WHERE year BETWEEN ? AND ?`
		)
		.all(from, to)
		.map((row) => {
			const { field, grower, areaAc } = byId.get(row.fieldId)!;
			// Written on the row itself: tens of thousands of copies cost more than the query.
			return Object.assign(row, { field, grower, areaAc, passes: passes.get(row.id) ?? NO_PASSES });
		});
}

function passesByYear(db: Database, from: number, to: number): Map<string, RecordedPass[]> {
	const entries = new Map<string, BookedApplication[]>();
	const written = db
		.prepare<[number, number], { id: string; pass_id: string; content: string }>(
			`SELECT id, pass_id, content FROM application WHERE field_year_id IN (SELECT y.id FROM ${YEARS}) ORDER BY seq`
		)
		.all(from, to);
	for (const { id, pass_id, content } of written) {
		const entry = { id, content: fromJson<Application>(content) };
		entries.set(pass_id, [...(entries.get(pass_id) ?? []), entry]);
	}
	const passes = new Map<string, RecordedPass[]>();
	// One text for each year: a row for each pass would cost more than all that is done with it.
	const planned = db
		.prepare<[number, number], [string, string]>(
			`SELECT field_year_id, '[' || group_concat('{"plan":' || plan || ',"doneOn":' || json_quote(done_on) || '}') || ']'
			FROM pass WHERE field_year_id IN (SELECT y.id FROM ${YEARS}) GROUP BY field_year_id`
		)
		.raw()
		.all(from, to);
	for (const [year, texts] of planned) {
		const booked = fromJson<BookedPass[]>(texts);
		passes.set(
			year,
			booked.map(({ plan, doneOn }) => ({ plan, doneOn, applications: entries.get(plan.id) ?? [] }))
		);
	}
	return passes;
}

/** The first and last year that stand in the book; undefined in an empty one. */
export function yearsOfBook(db: Database): { first: number; last: number } | undefined {
	const row = db
		.prepare<[], { first: number | null; last: number | null }>(
			'SELECT min(year) AS first, max(year) AS last FROM field_year'
		)
		.get()!;
	return row.first === null || row.last === null ? undefined : { first: row.first, last: row.last };
}
