import type { Database } from 'better-sqlite3';
import type { FieldFacts, GoalFacts, Pass } from '../../../core/schema-types';
import type { FieldRow } from '../stores/fields';
import { listPasses, type FieldYearRow } from '../stores/field-years';

/** The facts of a field as they are typed and sent. */
export function factsOf(field: FieldRow): FieldFacts {
	const { name, area_ac, texture, drainage, slope_percent, irrigated, note, tenure } = field;
	return {
		name,
		irrigated: irrigated === 1,
		note,
		...known({ areaAcres: area_ac, texture, drainage, slopePercent: slope_percent, tenure })
	} as FieldFacts;
}

/** The goal of a year as it is typed and sent. */
export function goalFactsOf(row: FieldYearRow): GoalFacts {
	return {
		crop: row.crop,
		yieldGoal: row.yield_goal,
		...known({
			previousCrop: row.previous_crop,
			plantingDate: row.planting_date,
			rowSpacingIn: row.row_spacing_in,
			targetPh: row.target_ph,
			targetPhScale: row.target_ph_scale,
			residueRemovedPercent: row.residue_removed_percent,
			starterP2O5: row.starter_p2o5
		})
	} as GoalFacts;
}

/** Passes of a year by their ids, in the order of the ids. */
export function passesNamed(db: Database, fieldYearId: string, ids: readonly string[]): Pass[] {
	const passes = new Map(listPasses(db, fieldYearId).map(({ plan }) => [plan.id, plan]));
	return ids.flatMap((id) => passes.get(id) ?? []);
}

/** The columns that hold something. */
function known<T extends Record<string, unknown>>(columns: T): Partial<T> {
	return Object.fromEntries(Object.entries(columns).filter(([, value]) => value !== null)) as Partial<T>;
}
