import type { Position } from 'geojson';
import type { Shape } from '../../../../core/ground/shapes/shape';

/** What a map file holds, in WGS 84. */
export interface MapContent {
	shapes: { shape: Shape; properties: Record<string, unknown> }[];
	points: { position: Position; values: Record<string, number>; words: Record<string, string> }[];
	/** Columns of the points that hold numbers. */
	columns: string[];
	/** What was taken for granted, in whole sentences. */
	notes: string[];
}

/** More features than this are no field's map. */
export const MOST_POINTS = 400_000;
export const MOST_SHAPES = 10_000;
