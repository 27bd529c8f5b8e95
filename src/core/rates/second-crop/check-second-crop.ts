import { InputError } from '../../check/problem';
import type { SecondCrop } from '../../schema-types';
import { cropOf, type Knowledge } from '../advise';
import { checkGoal } from '../check-goal';

/**
 * Checks the second crop of a year.
 * @param first the crop before it in the same year, and the day on which that is planted, YYYY-MM-DD
 * @throws InputError for a crop that stands for years, an impossible goal or harvest, a planting outside the year or before the first, and
 * nitrogen by a method that gives it none
 */
export function checkSecondCrop(
	{ id, yieldGoal, plantingDate, harvestedYield, nitrogen }: SecondCrop,
	first: { year: number; crop: string },
	firstPlanted: string,
	{ crops, packs }: Pick<Knowledge, 'crops' | 'packs'>
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
	const method = nitrogen?.method;
	if (method === undefined) return;
	const methods = packs.rules
		.filter((compiled) => compiled.rule.gives === 'N' && compiled.forCrop(id))
		.map((compiled) => compiled.method);
	if (!methods.includes(method)) {
		const known = methods.length > 0 ? `known: ${methods.join(', ')}` : 'no guide does';
		throw problem('nitrogen/method', `must give nitrogen for ${crop.name.toLowerCase()}; ${known}; got "${method}"`);
	}
}
