import type { HarvestedSecond, YearRecord } from '../../../core/season/plan/balance/nutrient-balance';
import type { Crop, Pass, WaterSource } from '../../../core/schema-types';
import type { FieldYearRow } from '../stores/field-years';
import { secondCropOf } from '../stores/plan/after-the-harvest';
import { irrigationOf } from '../stores/water/water-sources';

type BookedYear = Pick<
	FieldYearRow,
	'year' | 'crop' | 'harvested_yield' | 'residue_removed_percent' | 'irrigation' | 'second_crop'
> & {
	/** Those that were applied. */
	passes: readonly Pass[];
};

/** What the book holds of a year, for its balance; nothing where its crop is not known any more. */
export function yearRecord(
	{ year, crop, harvested_yield, residue_removed_percent, irrigation, second_crop, passes }: BookedYear,
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
			irrigation: irrigationOf({ year, irrigation }, sources),
			second: harvestedSecond({ second_crop }, crops)
		}
	];
}

/** The second crop of a year with what was harvested of it; undefined where there is none, or it is not known any more. */
export function harvestedSecond(
	row: Pick<FieldYearRow, 'second_crop'>,
	crops: readonly Crop[]
): HarvestedSecond | undefined {
	const second = secondCropOf(row);
	const crop = second && crops.find(({ id }) => id === second.id);
	return crop && { crop, harvested: second.harvestedYield };
}
