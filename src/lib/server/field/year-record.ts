import type { YearRecord } from '../../../core/season/plan/balance/nutrient-balance';
import type { Crop, Pass, WaterSource } from '../../../core/schema-types';
import type { FieldYearRow } from '../stores/field-years';
import { irrigationOf } from '../stores/water/water-sources';

type BookedYear = Pick<FieldYearRow, 'year' | 'crop' | 'harvested_yield' | 'residue_removed_percent' | 'irrigation'> & {
	/** Those that were applied. */
	passes: readonly Pass[];
};

/** What the book holds of a year, for its balance; nothing where its crop is not known any more. */
export function yearRecord(
	{ year, crop, harvested_yield, residue_removed_percent, irrigation, passes }: BookedYear,
	crops: readonly Crop[],
	sources: readonly WaterSource[]
): YearRecord[] {
	const known = crops.find(({ id }) => id === crop);
	if (!known) return [];
	const strawShare = (residue_removed_percent ?? 0) / 100;
	return [
		{
			year,
			crop: known,
			harvested: harvested_yield ?? undefined,
			strawShare,
			passes,
			irrigation: irrigationOf({ year, irrigation }, sources)
		}
	];
}
