import type { Database } from 'better-sqlite3';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { RecordedPass } from '../../../../core/season/applied/recorded-pass';
import type { FieldYearRow } from '../field-years';
import { UNITS_OF_GROWER } from '../fields';
import { PASSES_OF_YEAR, passesOfYear } from './applications';

/** A year of a field with its passes, over the whole book. */
export type BookedYearRow = Pick<
	FieldYearRow,
	'year' | 'crop' | 'yield_goal' | 'harvested_yield' | 'residue_removed_percent' | 'irrigation'
> & {
	fieldId: string;
	field: string;
	grower: string;
	units: UnitSystem;
	areaAc: number | null;
	passes: RecordedPass[];
};

/** The years of all fields from one to another, by grower, field and year. */
export function listBookedYears(db: Database, from: number, to: number): BookedYearRow[] {
	return db
		.prepare<[number, number], Omit<BookedYearRow, 'passes'> & { passes: string }>(
			`SELECT f.id AS fieldId, f.name AS field, g.name AS grower, ${UNITS_OF_GROWER} AS units, f.area_ac AS areaAc,
				y.year, y.crop, y.yield_goal, y.harvested_yield, y.residue_removed_percent, y.irrigation,
				${PASSES_OF_YEAR} AS passes
			FROM field_year y JOIN field f ON f.id = y.field_id JOIN grower g ON g.id = f.grower_id
			WHERE y.year BETWEEN ? AND ?
			ORDER BY g.name COLLATE NOCASE, f.name COLLATE NOCASE, y.year`
		)
		.all(from, to)
		.map(({ passes, ...row }) => ({ ...row, passes: passesOfYear(passes) }));
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
