import type { Geometry } from 'geojson';
import GeoJsonFormat from 'ol/format/GeoJSON';
import Wkb from 'ol/format/WKB';
import { boundsOf, partsOf, type Shape } from '../../../../core/ground/shapes/shape';

/** WGS 84, longitude before latitude: the reference that every layer of ours is in. */
export const WGS84 = 4326;

const wkb = new Wkb({ hex: false, littleEndian: true });
const geoJson = new GeoJsonFormat();
const MAGIC = [0x47, 0x50];
/** Little endian, with an envelope of x and y. */
const FLAGS = 0b011;
const HEADER_BYTES = 8;
/** Bytes of the envelope by its kind: none, x y, x y z, x y m, x y z m (OGC 12-128r18, 2.1.3). */
const ENVELOPE_BYTES = [0, 32, 48, 48, 64] as const;

/** Ground as the geometry of a GeoPackage, always of several parts, so that a layer is of one kind (OGC 12-128r18, 2.1.3). */
export function blobOf(shape: Shape): Buffer {
	const [west, south, east, north] = boundsOf([shape])!;
	const header = Buffer.alloc(HEADER_BYTES + ENVELOPE_BYTES[1]);
	header.set([...MAGIC, 0, FLAGS]);
	header.writeInt32LE(WGS84, 4);
	[west, east, south, north].forEach((degrees, at) => header.writeDoubleLE(degrees, HEADER_BYTES + 8 * at));
	const parts: Geometry = { type: 'MultiPolygon', coordinates: partsOf(shape) };
	return Buffer.concat([header, Buffer.from(wkb.writeGeometry(geoJson.readGeometry(parts)!) as ArrayBuffer)]);
}

/**
 * The geometry in a blob of a GeoPackage, in the reference of its layer.
 * @returns undefined for an empty one
 * @throws RangeError for what is no such blob
 */
export function geometryIn(blob: Uint8Array): Geometry | undefined {
	const bytes = Buffer.from(blob);
	if (bytes.length < HEADER_BYTES || bytes[0] !== MAGIC[0] || bytes[1] !== MAGIC[1]) {
		throw new RangeError('a geometry is no GeoPackage geometry');
	}
	const flags = bytes[3]!;
	if (flags & 0b10000) return undefined;
	const envelope = ENVELOPE_BYTES[(flags >> 1) & 0b111];
	if (envelope === undefined) throw new RangeError('a geometry has an envelope of no known kind');
	const geometry = wkb.readGeometry(bytes.subarray(HEADER_BYTES + envelope));
	return geometry ? (geoJson.writeGeometryObject(geometry) as Geometry) : undefined;
}
