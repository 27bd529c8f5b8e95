import type { YearRecord } from '../../../core/season/plan/balance/nutrient-balance';
import type { Crop, Pass } from '../../../core/schema-types';
import type { FieldYearRow } from '../stores/field-years';

type BookedYear = Pick<FieldYearRow, 'year' | 'crop' | 'harvested_yield' | 'residue_removed_percent'> & {
	/** Those that were applied. */
	passes: readonly Pass[];
};

/** What the book holds of a year, for its balance; nothing where its crop is not known any more. */
export function yearRecord(
	{ year, crop, harvested_yield, residue_removed_percent, passes }: BookedYear,
	crops: readonly Crop[]
): YearRecord[] {
	const known = crops.find(({ id }) => id === crop);
	if (!known) return [];
	const strawShare = (residue_removed_percent ?? 0) / 100;
	return [{ year, crop: known, harvested: harvested_yield ?? undefined, strawShare, passes }];
}
