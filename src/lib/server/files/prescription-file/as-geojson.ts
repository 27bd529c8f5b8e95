import type { FeatureCollection } from 'geojson';
import type { Shape } from '../../../../core/ground/shapes/shape';
import type { Prescription } from '../../../../core/schema-types';

/** Columns of every file with shapes; a .dbf takes names of at most ten letters. */
export interface PartColumns {
	ZONE: string;
	RATE: number;
	UNIT: string;
	PRODUCT: string;
	ACRES: number;
}

/** A prescription as GeoJSON (RFC 7946): a feature for each part, and the rate outside as a member of its own. */
export function asGeoJson({ parts, unit, product, outside, name }: Prescription): FeatureCollection<
	Shape,
	PartColumns
> & {
	name: string;
	outside: number;
} {
	return {
		type: 'FeatureCollection',
		name,
		outside,
		features: parts.map(({ zone, rate, areaAcres, shape }) => ({
			type: 'Feature',
			properties: { ZONE: zone, RATE: rate, UNIT: unit, PRODUCT: product.name, ACRES: areaAcres },
			geometry: shape
		}))
	};
}
