import { messageOf } from '../../../../core/check/message-of';
import { kml } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import type { GeoJSON } from 'geojson';
import { ActionError } from '../../book/action-error';
import { decodedText } from '../../../../core/check/decoded-text';
import { contentOf } from './content-of-geojson';
import { openZip } from './open-zip';
import { readGeoPackage } from './read-geo-package';
import { readGeoTiff } from './read-geotiff';
import { readPointCsv } from './read-point-csv';
import { xmlText } from './xml-text';
import { readShapefile } from './read-shapefile';
import type { MapContent } from './map-content';

/** How an SQLite file begins, which a GeoPackage is. */
const SQLITE = 'SQLite format 3\0';

/**
 * Reads a map file: GeoJSON, KML, zipped Shapefile or KML, GeoPackage, GeoTIFF, CSV with longitude and latitude.
 * @throws ActionError in words for the adviser, where it is none of these, is broken or is too large
 */
export async function readMapFile(name: string, bytes: Uint8Array): Promise<MapContent> {
	try {
		return await contentIn(name, bytes);
	} catch (error) {
		if (error instanceof ActionError) throw error;
		// What no reader foresaw is the file's fault as far as the adviser can mend it.
		throw new ActionError(
			`${name} is broken, or written in a way that is not read here (${messageOf(error)}). Export it again, as GeoJSON or a zipped Shapefile.`
		);
	}
}

async function contentIn(name: string, bytes: Uint8Array): Promise<MapContent> {
	if (bytes.length === 0) throw new ActionError(`${name} is empty.`);
	if (bytes[0] === 0x50 && bytes[1] === 0x4b) return readZip(name, openZip(name, bytes));
	if (Buffer.from(bytes.subarray(0, SQLITE.length)).toString('latin1') === SQLITE) return readGeoPackage(name, bytes);
	const magic = String.fromCharCode(bytes[0]!, bytes[1] ?? 0);
	if (magic === 'II' || magic === 'MM') return readGeoTiff(name, bytes);
	const decoded = decodedText(bytes);
	if (!decoded) throw new ActionError(notKnown(name));
	const text = decoded.text.replace(/^\uFEFF/, '');
	const start = text.trimStart();
	if (start.startsWith('{')) return readGeoJson(name, text);
	if (start.startsWith('<')) return readKml(name, xmlText(name, bytes));
	const points = readPointCsv(name, text);
	return decoded.note ? { ...points, notes: [...points.notes, decoded.note] } : points;
}

function notKnown(name: string): string {
	return `${name} is no map file that is read here: GeoJSON, KML, a zipped Shapefile, GeoPackage, GeoTIFF, or CSV with longitude and latitude.`;
}

function readZip(name: string, files: Record<string, Uint8Array>): MapContent {
	const names = Object.keys(files).filter((one) => !one.startsWith('__MACOSX'));
	const shp = names.find((one) => /\.shp$/i.test(one));
	if (shp) return readShapefile(name, shp, files);
	const kmlName = names.find((one) => /\.kml$/i.test(one));
	if (kmlName) return readKml(name, xmlText(name, files[kmlName]!));
	throw new ActionError(`${name} holds no .shp and no .kml. Zip the .shp, .shx, .dbf and .prj together.`);
}

function readGeoJson(name: string, text: string): MapContent {
	let document: GeoJSON & { crs?: { properties?: { name?: unknown } } };
	try {
		document = JSON.parse(text) as typeof document;
	} catch (error) {
		throw new ActionError(`${name} is broken: ${messageOf(error)}`);
	}
	const crs = document.crs?.properties?.name;
	if (typeof crs === 'string' && !/CRS84|EPSG:+4326/i.test(crs)) {
		throw new ActionError(`${name} is in ${crs}; GeoJSON is read in WGS 84 alone. Export it in EPSG:4326.`);
	}
	return contentOf(name, document);
}

function readKml(name: string, text: string): MapContent {
	let wrong = '';
	const document = new DOMParser({ onError: (level, message) => (wrong ||= level === 'warning' ? '' : message) });
	try {
		const read = document.parseFromString(text, 'text/xml');
		if (!wrong) return contentOf(name, kml(read as unknown as Document) as GeoJSON);
	} catch (error) {
		wrong ||= messageOf(error);
	}
	throw new ActionError(`${name} is no KML that can be read: ${wrong.split('\n')[0]}`);
}
