import type { Database } from 'better-sqlite3';
import type { UnitSystem } from '../../../core/units/rate-units';
import { UNITS_OF_GROWER, WHOLE_FIELD } from './fields';
import type { CropId } from '../../../core/schema-types';

/** One field on the roster, from the book alone. */
export interface RosterRow {
	id: string;
	name: string;
	grower: string;
	units: UnitSystem;
	areaAc: number | null;
	crop: CropId | null;
	yieldGoal: number | null;
	sampledOn: string | null;
	samples: number;
	choices: number;
	passes: number;
	nextPass: string | null;
	nextLabel: string | null;
	sheets: number;
}

/** Every field with where it stands in a year, by grower and name. */
export function listRoster(db: Database, year: number): RosterRow[] {
	return db
		.prepare<[number], RosterRow>(
			`SELECT f.id, f.name, g.name AS grower, ${UNITS_OF_GROWER} AS units, f.area_ac AS areaAc, y.crop, y.yield_goal AS yieldGoal,
				s.sampledOn, ifnull(s.samples, 0) AS samples, ifnull(c.choices, 0) AS choices,
				ifnull(p.passes, 0) AS passes, p.nextPass, p.nextLabel, ifnull(t.sheets, 0) AS sheets
			FROM field f
			JOIN grower g ON g.id = f.grower_id
			LEFT JOIN field_year y ON y.field_id = f.id AND y.year = ?
			LEFT JOIN (SELECT field_id, max(taken_on) AS sampledOn, count(*) AS samples FROM sample WHERE ${WHOLE_FIELD} GROUP BY field_id) s ON s.field_id = f.id
			LEFT JOIN (SELECT field_year_id, count(*) AS choices FROM choice GROUP BY field_year_id) c ON c.field_year_id = y.id
			LEFT JOIN (
				SELECT field_year_id, count(*) AS passes,
					min(CASE WHEN done_on IS NULL THEN date END) AS nextPass, label AS nextLabel
				FROM pass GROUP BY field_year_id
			) p ON p.field_year_id = y.id
			LEFT JOIN (SELECT field_year_id, count(*) AS sheets FROM sheet GROUP BY field_year_id) t ON t.field_year_id = y.id
			ORDER BY g.name COLLATE NOCASE, f.name COLLATE NOCASE`
		)
		.all(year);
}

/** Planned passes that are due up to a day and not yet applied, over all fields. */
export function listDue(
	db: Database,
	until: string
): { fieldId: string; field: string; year: number; date: string; label: string; product: string }[] {
	return db
		.prepare<[string], { fieldId: string; field: string; year: number; date: string; label: string; product: string }>(
			`SELECT f.id AS fieldId, f.name AS field, y.year, p.date, p.label,
				p.product
			FROM pass p JOIN field_year y ON y.id = p.field_year_id JOIN field f ON f.id = y.field_id
			WHERE p.done_on IS NULL AND p.date <= ?
			ORDER BY date, label, field`
		)
		.all(until);
}

/** The crops that stand in any year of the book. */
export function cropsGrown(db: Database): ReadonlySet<string> {
	const rows = db.prepare<[], { crop: string }>('SELECT DISTINCT crop FROM field_year').all();
	return new Set(rows.map(({ crop }) => crop));
}
