import type { Position } from 'geojson';
import type { Block } from '../../schema-types';
import { FT_PER_M } from '../../units/factors';
import { planeAt } from '../shapes/local-plane';
import { boundsOf, partsOf, type Shape } from '../shapes/shape';
import { rowSpacingFt } from './plant-density';

/** A row from end to end, longitude and latitude. */
export type RowLine = [Position, Position];

/** More rows than this are not drawn: the spacing is a slip, or the map would be black. */
const MOST_ROWS = 2000;
const RADIANS = Math.PI / 180;

/**
 * The rows of a block by its spacing and direction, cut at its boundary and at its holes; the first half a spacing from the edge.
 * @returns none for a triangle, without spacing or direction, or for more than 2,000 rows
 */
export function rowLines(shape: Shape, block: Block): RowLine[] {
	const spacing = rowSpacingFt(block);
	const bounds = boundsOf([shape]);
	if (block.layout === 'triangle' || block.rowBearingDeg === undefined || !spacing.applies || !bounds) return [];
	const betweenM = spacing.value / FT_PER_M;
	const plane = planeAt((bounds[0] + bounds[2]) / 2, (bounds[1] + bounds[3]) / 2);
	const [sine, cosine] = [Math.sin(block.rowBearingDeg * RADIANS), Math.cos(block.rowBearingDeg * RADIANS)];
	// Along the rows and across them, metres.
	const turned = (position: Position): [number, number] => {
		const [east, north] = plane.toMetres(position);
		return [east * sine + north * cosine, east * cosine - north * sine];
	};
	const back = (along: number, across: number): Position =>
		plane.toDegrees(along * sine + across * cosine, along * cosine - across * sine);
	const rings = partsOf(shape).flatMap((part) => part.map((ring) => ring.map(turned)));
	const sides = rings.flat().map(([, across]) => across);
	const from = sides.reduce((least, one) => Math.min(least, one)) + betweenM / 2;
	const to = sides.reduce((most, one) => Math.max(most, one));
	const count = Math.max(0, Math.ceil((to - from) / betweenM));
	if (count > MOST_ROWS) return [];
	return Array.from({ length: count }, (_, at) => from + at * betweenM).flatMap((across) =>
		insideOf(rings, across).map(([start, end]): RowLine => [back(start, across), back(end, across)])
	);
}

/** Where a line across the rings runs inside them: between each odd crossing and the next. */
function insideOf(rings: readonly [number, number][][], across: number): [number, number][] {
	const crossings = rings
		.flatMap((ring) =>
			ring.slice(1).flatMap(([along, side], at) => {
				const [before, sideBefore] = ring[at]!;
				if (side > across === sideBefore > across) return [];
				return [before + ((across - sideBefore) / (side - sideBefore)) * (along - before)];
			})
		)
		.sort((a, b) => a - b);
	return Array.from({ length: Math.floor(crossings.length / 2) }, (_, pair): [number, number] => [
		crossings[2 * pair]!,
		crossings[2 * pair + 1]!
	]);
}
