import type { Block, Schedule } from '../../schema-types';
import { forSowing } from './for-sowing';

/**
 * The schedule of a crop: of a perennial the first that is for its block, else the one for the time of its sowing.
 * @param age year of the planting's life; undefined where the block is not described
 * @returns undefined where none is known of the crop
 */
export function scheduleFor(
	schedules: readonly Schedule[],
	crop: string,
	block: Block | undefined,
	age: number | undefined,
	plantingDate: string | undefined
): Schedule | undefined {
	return forSowing(
		schedules.filter((one) => fits(one, block, age)),
		crop,
		plantingDate
	);
}

function fits({ where }: Schedule, block: Block | undefined, age: number | undefined): boolean {
	if (!where) return true;
	const { water, floor, toAge } = where;
	return (
		(water === undefined || (block?.water !== undefined && water.includes(block.water))) &&
		(floor === undefined || (block?.floor !== undefined && floor.includes(block.floor))) &&
		(toAge === undefined || (age !== undefined && age <= toAge))
	);
}
