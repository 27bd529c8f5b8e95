import type { Database } from 'better-sqlite3';
import type { Pass } from '../../../core/schema-types';
import type { OpenPass } from '../../../core/supply/order';

interface Row {
	field_id: string;
	field: string;
	grower: string;
	area_ac: number | null;
	plan: string;
}

/** Every pass of a year that is not applied yet, over the whole book. */
export function listOpenPasses(db: Database, year: number): OpenPass[] {
	return db
		.prepare<[number], Row>(
			`SELECT f.id AS field_id, f.name AS field, g.name AS grower, f.area_ac, p.plan
			FROM pass p JOIN field_year y ON y.id = p.field_year_id JOIN field f ON f.id = y.field_id JOIN grower g ON g.id = f.grower_id
			WHERE p.done_on IS NULL AND y.year = ?
			ORDER BY g.name COLLATE NOCASE, f.name COLLATE NOCASE`
		)
		.all(year)
		.map(({ field_id, field, grower, area_ac, plan }) => ({
			fieldId: field_id,
			field,
			grower,
			acres: area_ac ?? undefined,
			pass: JSON.parse(plan) as Pass
		}));
}
