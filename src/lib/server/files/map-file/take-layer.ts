import { InputError } from '../../../../core/check/problem';
import { validator } from '../../../../core/check/validator';
import type { Shape } from '../../../../core/ground/shapes/shape';
import type { GroundLayer } from '../../../../core/schema-types';
import { thinPoints } from '../../../../core/zones/surface/thin-points';
import type { PlacedValue } from '../../../../core/zones/surface/sample-points';
import { ActionError } from '../../book/action-error';
import type { MapContent } from './map-content';

const asLayer = validator<GroundLayer>('ground#/definitions/GroundLayer');
/** A layer may not lie farther off than this: then it is another farm's, or its coordinates are wrong. */
const FAR_DEGREES = 1;

/** A column of a file's points as a layer of the field, with what was left out. */
export function layerOf(
	{ points, columns }: MapContent,
	column: string,
	about: Omit<GroundLayer, 'points'>,
	boundary: Shape | undefined
): { layer: GroundLayer; notes: string[] } {
	if (!boundary) throw new ActionError('Draw or read in the field’s boundary first: a layer is cut by it.');
	if (!columns.includes(column)) {
		throw new InputError([
			{ path: '/column', message: `"${column}" holds no numbers; these do: ${columns.join(', ')}` }
		]);
	}
	const values = points.flatMap(({ position: [x = NaN, y = NaN], values: row }): PlacedValue[] =>
		row[column] === undefined ? [] : [[x, y, row[column]]]
	);
	const thinned = thinPoints(values, boundary);
	if (thinned.points.length === 0) throw new ActionError(nowhere(values, boundary));
	return { layer: asLayer({ ...about, points: thinned.points }), notes: thinned.notes };
}

function nowhere(values: readonly PlacedValue[], boundary: Shape): string {
	const [x, y] = values[0] ?? [NaN, NaN];
	const [fieldX = NaN, fieldY = NaN] = (
		boundary.type === 'Polygon' ? boundary.coordinates : boundary.coordinates[0]!
	)[0]![0]!;
	const far = Math.max(Math.abs(x - fieldX), Math.abs(y - fieldY)) > FAR_DEGREES;
	const place = `${x.toFixed(4)}, ${y.toFixed(4)}`;
	return far
		? `None of the points lies in the field: the first is at ${place}, far off. Is the file in WGS 84, and is it the right field?`
		: `None of the ${values.length} points lies in the field; the first is at ${place}. Is it the right field?`;
}
