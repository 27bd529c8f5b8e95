import type { Database } from 'better-sqlite3';
import type { Pass } from '../../../core/schema-types';
import { appliedOf, whatHappened } from '../../../core/season/applied/what-happened';
import type { FieldYearRow } from './field-years';
import { PASSES_OF_YEAR, passesOfYear } from './plan/applications';

type LastHarvest = Pick<
	FieldYearRow,
	'year' | 'crop' | 'harvested_yield' | 'residue_removed_percent' | 'irrigation' | 'second_crop'
> & {
	/** What was applied that year. */
	passes: Pass[];
};

/** The newest harvest of each field in the book, and what was applied in its year, by the field's id. */
export function lastHarvests(db: Database): ReadonlyMap<string, LastHarvest> {
	const rows = db
		.prepare<[], Omit<LastHarvest, 'passes'> & { field_id: string; passes: string }>(
			`SELECT y.field_id, y.year, y.crop, y.harvested_yield, y.residue_removed_percent, y.irrigation, y.second_crop,
				${PASSES_OF_YEAR} AS passes
			FROM field_year y
			WHERE y.harvested_yield IS NOT NULL AND NOT EXISTS
				(SELECT 1 FROM field_year l WHERE l.field_id = y.field_id AND l.year > y.year AND l.harvested_yield IS NOT NULL)`
		)
		.all();
	return new Map(
		rows.map(({ field_id, passes, ...harvest }) => [
			field_id,
			{ ...harvest, passes: appliedOf(whatHappened(passesOfYear(passes))) }
		])
	);
}
