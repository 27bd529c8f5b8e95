import type { AsApplied, Prescription } from '../../../../core/schema-types';
import { asApplied } from '../../../../core/zones/prescription/as-applied';
import type { PlacedValue } from '../../../../core/zones/surface/sample-points';
import { isDay } from '../../../../core/units/day-text';
import { ActionError } from '../../book/action-error';
import { readMapFile } from '../map-file/read-map-file';

const RATE = /rate|applied/i;

/**
 * What a monitor logged of a prescription.
 * @param asked the column of the rate; the first that is named so where left out
 * @throws ActionError where the file has no such column, is in another unit, or lies elsewhere
 */
export async function readAsApplied(
	{ name, bytes }: { name: string; bytes: Uint8Array },
	prescription: Prescription,
	day: string,
	asked: string | undefined
): Promise<AsApplied> {
	const { points, columns } = await readMapFile(name, bytes);
	const column = asked ?? columns.find((one) => RATE.test(one));
	if (column === undefined || !columns.includes(column)) {
		const found = columns.join(', ') || 'none';
		throw new ActionError(`${name} has no column of rates; name it “rate”. Its columns with numbers: ${found}.`);
	}
	if (!isDay(day)) throw new ActionError(`The day “${day}” must be written as 2027-05-01.`);
	const unit = points.find(({ words }) => words.unit)?.words.unit;
	if (unit !== undefined && unit !== prescription.unit) {
		throw new ActionError(
			`${name} is in ${unit}; the prescription is in ${prescription.unit}. Export it in that unit.`
		);
	}
	const logged = points.flatMap(({ position: [x = NaN, y = NaN], values }): PlacedValue[] =>
		values[column] === undefined ? [] : [[x, y, values[column]]]
	);
	const applied = asApplied(logged, prescription, day);
	if (!applied) throw new ActionError(`No point of ${name} lies in the prescription. Is it the right field?`);
	return applied;
}
