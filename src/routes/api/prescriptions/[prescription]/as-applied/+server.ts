import { asApplied } from '$core/zones/prescription/as-applied';
import type { PlacedValue } from '$core/zones/surface/sample-points';
import { ActionError } from '$lib/server/book/action-error';
import { readMapFile } from '$lib/server/files/map-file/read-map-file';
import { prescriptionOf } from '$lib/server/http/prescription-param';
import { addAsApplied } from '$lib/server/stores/prescriptions';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import { answerFile } from '$lib/server/http/uploaded-file';
import type { RequestHandler } from './$types';

const RATE = /rate|applied/i;

/** Books what a monitor logged: points with a column of the rate, in the unit of the prescription. */
export const POST: RequestHandler = ({ request, params, url }) =>
	answerFile(request, async ({ name, bytes }) => {
		const prescription = prescriptionOf(params);
		const { points, columns } = await readMapFile(name, bytes);
		const column = url.searchParams.get('column') ?? columns.find((one) => RATE.test(one));
		if (column === undefined || !columns.includes(column)) {
			const found = columns.join(', ') || 'none';
			throw new ActionError(`${name} has no column of rates; name it “rate”. Its columns with numbers: ${found}.`);
		}
		const day = url.searchParams.get('on') ?? today();
		if (!/^\d{4}-\d\d-\d\d$/.test(day)) throw new ActionError(`The day “${day}” must be written as 2027-05-01.`);
		const unit = points.find(({ words }) => words.unit)?.words.unit;
		if (unit !== undefined && unit !== prescription.content.unit) {
			throw new ActionError(
				`${name} is in ${unit}; the prescription is in ${prescription.content.unit}. Export it in that unit.`
			);
		}
		const logged = points.flatMap(({ position: [x = NaN, y = NaN], values }): PlacedValue[] =>
			values[column] === undefined ? [] : [[x, y, values[column]]]
		);
		const applied = asApplied(logged, prescription.content, day);
		if (!applied) throw new ActionError(`No point of ${name} lies in the prescription. Is it the right field?`);
		addAsApplied(theBook(), prescription, applied);
		return { points: applied.points };
	});
