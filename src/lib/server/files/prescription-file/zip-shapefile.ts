import shpWrite from '@mapbox/shp-write';
import type { FeatureCollection, GeoJsonProperties, Position } from 'geojson';
import { partsOf, type Shape } from '../../../../core/ground/shapes/shape';

/** Shapes as a zipped Shapefile in WGS 84: .shp, .shx, .dbf and .prj. */
export async function zipShapefile<P extends GeoJsonProperties>(
	{ features }: FeatureCollection<Shape, P>,
	name: string
): Promise<Uint8Array<ArrayBuffer>> {
	// One kind of shape in one file: all as areas of several parts, each ring turned as the format wants it.
	const collection = {
		type: 'FeatureCollection' as const,
		features: features.map((feature) => ({
			...feature,
			geometry: { type: 'MultiPolygon' as const, coordinates: clockwise(feature.geometry) }
		}))
	};
	const zip = (await shpWrite.zip(collection, {
		outputType: 'uint8array',
		compression: 'DEFLATE',
		types: { polygon: name }
	})) as Uint8Array;
	return new Uint8Array(zip);
}

/** Outer rings clockwise, holes the other way, as a Shapefile has them. */
function clockwise(shape: Shape): Position[][][] {
	return partsOf(shape).map((rings) =>
		rings.map((ring, at) => {
			const turnsRight = signedArea(ring) < 0;
			return turnsRight === (at === 0) ? ring : [...ring].reverse();
		})
	);
}

function signedArea(ring: readonly number[][]): number {
	let sum = 0;
	for (let at = 0; at + 1 < ring.length; at++) {
		const [ax = 0, ay = 0] = ring[at]!;
		const [bx = 0, by = 0] = ring[at + 1]!;
		sum += ax * by - bx * ay;
	}
	return sum;
}
