import { InputError } from '../../check/problem';
import type { Crop, SecondCrop } from '../../schema-types';
import { cropOf } from '../advise';
import { checkGoal } from '../check-goal';

/**
 * Checks the second crop of a year.
 * @param first the crop before it in the same year, and the day on which that is planted, YYYY-MM-DD
 * @throws InputError for a crop that stands for years, an impossible goal or harvest, and a planting outside the year or before the first
 */
export function checkSecondCrop(
	{ id, yieldGoal, plantingDate, harvestedYield }: SecondCrop,
	first: { year: number; crop: string },
	firstPlanted: string,
	crops: readonly Crop[]
): void {
	const crop = cropOf(id, crops, '/secondCrop/id');
	const problem = (field: string, message: string) => new InputError([{ path: `/secondCrop/${field}`, message }]);
	if (crop.perennial || cropOf(first.crop, crops, '/crop').perennial) {
		throw problem('id', `must be an annual after an annual; got "${id}" after "${first.crop}"`);
	}
	checkGoal(crop, yieldGoal, '/secondCrop/yieldGoal');
	// Hail leaves nothing: 0 is a harvest.
	if (harvestedYield) checkGoal(crop, harvestedYield, '/secondCrop/harvestedYield');
	const [from, to] = [
		firstPlanted > `${first.year}-01-01` ? firstPlanted : `${first.year}-01-01`,
		`${first.year}-12-31`
	];
	if (plantingDate !== undefined && (plantingDate <= from || plantingDate > to)) {
		throw problem('plantingDate', `must lie after ${from}, ${to} at the latest; got "${plantingDate}"`);
	}
}
