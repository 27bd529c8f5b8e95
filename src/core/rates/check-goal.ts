import { InputError } from '../check/problem';
import { goalFault } from '../ground/possible-range';
import type { Crop } from '../schema-types';
import { formatNumber } from '../units/display';

/**
 * Refuses a yield goal that no field can bring.
 * @param path of the goal in the request
 * @throws InputError with the crop's unit and bounds
 */
export function checkGoal(
	{ id, name, yieldUnit }: Pick<Crop, 'id' | 'name' | 'yieldUnit'>,
	goal: number,
	path: string
): void {
	const found = goalFault(id, goal);
	if (found?.fault !== 'impossible') return;
	const [low, high] = found.bounds.map((bound) => formatNumber(bound, 'yield'));
	const message = `must be ${low} to ${high} ${yieldUnit} for ${name.toLowerCase()}; got ${goal}`;
	throw new InputError([{ path, message }]);
}
