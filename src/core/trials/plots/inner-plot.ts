import type { Position } from 'geojson';
import { planeAt } from '../../ground/shapes/local-plane';
import { partsOf, type Shape } from '../../ground/shapes/shape';
import type { TrialPlot } from '../../schema-types';
import { FT_PER_M } from '../../units/factors';

/** What is left between two edges of half a plot each is rounding. */
const MOST_SHARE = 0.499;

/**
 * A plot without its edges, where the next treatment reaches in and the combine fills and empties. The corners stand as
 * they are laid out: the second is across from the first, the fourth along.
 * @param sideFt left out along each side
 * @param endFt and at each end
 * @returns undefined where nothing is left
 */
export function innerPlot({ shape }: Pick<TrialPlot, 'shape'>, sideFt: number, endFt: number): Shape | undefined {
	const [first, second, , fourth] = partsOf(shape as Shape)[0]![0]! as [Position, Position, Position, Position];
	const plane = planeAt(first[0]!, first[1]!);
	const [[ax, ay], [bx, by]] = [plane.toMetres(second), plane.toMetres(fourth)];
	const [width, length] = [Math.hypot(ax, ay), Math.hypot(bx, by)];
	const [side, end] = [sideFt / FT_PER_M / width, endFt / FT_PER_M / length];
	if (side >= MOST_SHARE || end >= MOST_SHARE) return undefined;
	const at = (across: number, along: number) => plane.toDegrees(across * ax + along * bx, across * ay + along * by);
	const corner = at(side, end);
	return {
		type: 'Polygon',
		coordinates: [[corner, at(1 - side, end), at(1 - side, 1 - end), at(side, 1 - end), corner]]
	};
}
