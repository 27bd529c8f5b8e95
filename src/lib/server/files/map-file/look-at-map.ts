import { shapeProblems } from '../../../../core/ground/shapes/check-shape';
import { areaAcres } from '../../../../core/ground/shapes/geodesic-area';
import type { LookedAt } from '../../../../core/schema-types';
import { ActionError } from '../../book/action-error';
import type { MapContent } from './map-content';

/** So many shapes are shown to choose from. */
const MOST_SHOWN = 200;
const MOST_COLUMNS = 100;
const NAMES = ['name', 'Name', 'NAME', 'ZONE', 'zone', 'id'];

/** What a map file holds, to choose from: areas with what is wrong with them, and columns with their range. */
export function lookAtMap(name: string, { shapes, points, columns, notes }: MapContent): LookedAt {
	if (shapes.length > MOST_SHOWN) {
		throw new ActionError(
			`${name} holds ${shapes.length} areas; at most ${MOST_SHOWN} are shown to choose from. Cut it down first.`
		);
	}
	return {
		notes,
		shapes: shapes.map(({ shape, properties }, at) => {
			const [problem] = shapeProblems(shape, `area ${at + 1}`);
			const given = NAMES.map((key) => properties[key]).find(
				(value) => typeof value === 'string' || typeof value === 'number'
			);
			return {
				name: given === undefined ? `Area ${at + 1}` : String(given).slice(0, 60),
				...(problem ? { problem: `${problem.path} ${problem.message}` } : { acres: areaAcres(shape), shape })
			} as LookedAt['shapes'][number];
		}),
		points: points.length,
		columns: columns.slice(0, MOST_COLUMNS).map((column) => rangeOf(column, points))
	};
}

function rangeOf(column: string, points: MapContent['points']): LookedAt['columns'][number] {
	let [least, most, count] = [Infinity, -Infinity, 0];
	for (const { values } of points) {
		const value = values[column];
		if (value === undefined) continue;
		least = Math.min(least, value);
		most = Math.max(most, value);
		count++;
	}
	return { column, least, most, count };
}
