import type { Prescription } from '../../../../core/schema-types';
import { asGeoJson } from './as-geojson';
import { zipShapefile } from './zip-shapefile';

/** A prescription as a zipped Shapefile in WGS 84. */
export function asShapefile(prescription: Prescription): Promise<Uint8Array<ArrayBuffer>> {
	return zipShapefile(asGeoJson(prescription), 'prescription');
}
