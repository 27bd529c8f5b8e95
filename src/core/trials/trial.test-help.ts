import type { Polygon } from 'geojson';
import { planeAt } from '../ground/shapes/local-plane';
import type { TrialPlan } from '../schema-types';

const FT = 0.3048;

/** A field of corners in feet east and north of a place in the invented district. */
export function fieldOf(...corners: [number, number][]): Polygon {
	const plane = planeAt(-35, 41);
	const ring = corners.map(([east, north]) => plane.toDegrees(east * FT, north * FT));
	return { type: 'Polygon', coordinates: [[...ring, ring[0]!]] };
}

/** 160 acres: half a mile square. */
export const QUARTER = fieldOf([0, 0], [2640, 0], [2640, 2640], [0, 2640]);
/** The same without its north-east quarter. */
export const ELL = fieldOf([0, 0], [2640, 0], [2640, 1320], [1320, 1320], [1320, 2640], [0, 2640]);

/** Six rates of N in four blocks. */
export const RATES: TrialPlan = {
	name: 'N rates',
	design: 'blocks',
	factors: [{ name: 'N rate', unit: 'lb N/ac', levels: ['0', '60', '120', '150', '180', '240'] }],
	usual: '180',
	blocks: 4,
	passFt: 60,
	headerFt: 30,
	widthFt: 60,
	lengthFt: 600,
	headlandFt: 80,
	headingDegrees: 0,
	seed: 7
};
