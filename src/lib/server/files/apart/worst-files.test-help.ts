import { constants, deflateRawSync } from 'node:zlib';
import Database from 'better-sqlite3';
import { strToU8, zipSync, type Zippable } from 'fflate';
import { workbookOf } from '../lab-file/workbook.test-help';
import type { SentFile } from '../sent-file';

const MB = 1024 * 1024;

const file = (name: string, content: string | Uint8Array): SentFile => ({
	name,
	bytes: typeof content === 'string' ? strToU8(content) : content
});

/** A zip in whose lists every file is said to unpack to so many bytes. */
function lyingZip(files: Zippable, bytes: number): Uint8Array {
	const zip = zipSync(files);
	const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength);
	for (let at = 0; at < zip.length - 46; at++) {
		const sign = view.getUint32(at, true);
		if (sign === 0x04034b50) view.setUint32(at + 22, bytes, true);
		if (sign === 0x02014b50) view.setUint32(at + 24, bytes, true);
	}
	return zip;
}

/** A zip of zeros that says it unpacks to 100 bytes and unpacks to 100 MB. */
export function zipThatLies(): SentFile {
	return file('lies.zip', lyingZip({ 'field.shp': new Uint8Array(100 * MB) }, 100));
}

/** A Shapefile of one point whose table says that it has 4,294,967,295 rows. */
export function tableOfFourBillionRows(): SentFile {
	const shp = new DataView(new ArrayBuffer(128));
	shp.setInt32(0, 9994);
	shp.setInt32(24, 64);
	shp.setInt32(28, 1000, true);
	shp.setInt32(32, 1, true);
	shp.setInt32(100, 1);
	shp.setInt32(104, 10);
	shp.setInt32(108, 1, true);
	shp.setFloat64(112, -35, true);
	shp.setFloat64(120, 41, true);
	const dbf = new DataView(new ArrayBuffer(66));
	dbf.setUint8(0, 3);
	dbf.setUint32(4, 0xffffffff, true);
	dbf.setUint16(8, 65, true);
	dbf.setUint16(10, 1, true);
	new Uint8Array(dbf.buffer).set(strToU8('P'), 32);
	dbf.setUint8(43, 'N'.charCodeAt(0));
	dbf.setUint8(48, 1);
	dbf.setUint8(64, 0x0d);
	return file('rows.zip', zipSync({ 'a.shp': new Uint8Array(shp.buffer), 'a.dbf': new Uint8Array(dbf.buffer) }));
}

/** A GeoTIFF of 64 x 64 cells whose one strip unpacks to 4 GB. */
export function rasterBomb(): SentFile {
	// Blocks that end without being the last one follow each other as often as one likes.
	const block = deflateRawSync(new Uint8Array(16 * MB), { level: 9, finishFlush: constants.Z_FULL_FLUSH });
	return file('bomb.tif', rasterOf(Buffer.concat([ZLIB, ...Array<Buffer>(256).fill(block), new Uint8Array([3, 0])])));
}

const ZLIB = new Uint8Array([0x78, 0x9c]);

/** A GeoTIFF of 64 x 64 cells of a byte each, in one strip of zlib. */
export function rasterOf(strip: Uint8Array): Uint8Array {
	const entries: [tag: number, type: number, count: number, value: number][] = [
		[256, 3, 1, 64],
		[257, 3, 1, 64],
		[258, 3, 1, 8],
		[259, 3, 1, 8],
		[262, 3, 1, 1],
		[273, 4, 1, 8],
		[277, 3, 1, 1],
		[278, 3, 1, 64],
		[279, 4, 1, strip.length],
		[33550, 12, 3, 0],
		[33922, 12, 6, 0],
		[34735, 3, 8, 0]
	];
	const directory = 8 + strip.length;
	const extra = directory + 2 + entries.length * 12 + 4;
	const view = new DataView(new ArrayBuffer(extra + 24 + 48 + 16));
	view.setUint16(0, 0x4949);
	view.setUint16(2, 42, true);
	view.setUint32(4, directory, true);
	new Uint8Array(view.buffer).set(strip, 8);
	view.setUint16(directory, entries.length, true);
	const places: Record<number, number> = { 33550: extra, 33922: extra + 24, 34735: extra + 72 };
	entries.forEach(([tag, type, count, value], row) => {
		const at = directory + 2 + row * 12;
		view.setUint16(at, tag, true);
		view.setUint16(at + 2, type, true);
		view.setUint32(at + 4, count, true);
		view.setUint32(at + 8, places[tag] ?? value, true);
	});
	[0.001, 0.001, 0].forEach((value, at) => view.setFloat64(extra + at * 8, value, true));
	[0, 0, 0, -35, 41, 0].forEach((value, at) => view.setFloat64(extra + 24 + at * 8, value, true));
	[1, 1, 0, 1, 2048, 0, 1, 4326].forEach((value, at) => view.setUint16(extra + 72 + at * 2, value, true));
	return new Uint8Array(view.buffer);
}

const MEMBER = '"type":"GeometryCollection","geometries":';

/** GeoJSON of collections in collections, 200,000 deep. */
export function collectionsInCollections(): SentFile {
	const depth = 200_000;
	return file('deep.geojson', `${`{${MEMBER}[`.repeat(depth)}${']}'.repeat(depth)}`);
}

/** A star of 4,000 corners, each side of which crosses nearly all the others. */
export function starOf4000Corners(): SentFile {
	const corners = Array.from({ length: 3999 }, (_, at) => {
		const turn = (at * 1999 * 2 * Math.PI) / 3999;
		return [-35 + 0.005 * Math.cos(turn), 41 + 0.005 * Math.sin(turn)];
	});
	return file('star.geojson', JSON.stringify({ type: 'Polygon', coordinates: [[...corners, corners[0]]] }));
}

/** 90,000 points, each with a value. */
export function kmlOf90000Points(): SentFile {
	const points = Array.from(
		{ length: 90_000 },
		(_, at) => `<Placemark><Point><coordinates>${-35 + at / 1e7},41</coordinates></Point></Placemark>`
	);
	return file(
		'points.kml',
		`<kml xmlns="http://www.opengis.net/kml/2.2"><Document>${points.join('')}</Document></kml>`
	);
}

/** A prescription one of whose corners is written with 100,000 digits. */
export function cornerOf100000Digits(): SentFile {
	return file('digits.csv', `zone,rate,area_ac,shape\nBottom,100,10,"POLYGON ((${'1'.repeat(100_000)}))"\n`);
}

/** A task file whose one name unfolds into a billion others. */
export function taskThatUnfolds(): SentFile {
	const names = Array.from({ length: 10 }, (_, at) => `<!ENTITY n${at + 1} "${`&n${at};`.repeat(10)}">`).join('');
	const task = `<?xml version="1.0"?><!DOCTYPE ISO11783_TaskData [<!ENTITY n0 "north">${names}]><ISO11783_TaskData><TSK A="TSK1" B="&n10;"/></ISO11783_TaskData>`;
	return file('task.zip', zipSync({ 'TASKDATA.XML': strToU8(task) }));
}

/** A workbook with a million rows that begin and never end. */
export function rowsWithoutEnd(): SentFile {
	return file('rows.xlsx', workbookOf([{ rows: [['Field', 'pH', 'P']], more: '<row r="2">'.repeat(1_000_000) }]));
}

/** Ten million rows that each lack a cell, which the reader of tables keeps account of one by one. */
export function rowsThatLackACell(): SentFile {
	return file('short.csv', `longitude,latitude\n${'1\n'.repeat(9_900_000)}`);
}

/** A lab's table of a million columns. */
export function millionColumns(): SentFile {
	return file('wide.csv', `${'pH,'.repeat(1_000_000)}P\n${'6,'.repeat(600_000)}12\n`);
}

/** A GeoPackage whose list of layers is counted anew each time it is asked for, and never comes to its end. */
export function layersWithoutEnd(): SentFile {
	const db = new Database(':memory:');
	db.exec(`
		CREATE TABLE layer (fid INTEGER PRIMARY KEY, geom BLOB);
		CREATE TABLE gpkg_spatial_ref_sys (srs_name TEXT, srs_id INTEGER, definition TEXT);
		CREATE TABLE gpkg_contents (table_name TEXT, data_type TEXT);
		INSERT INTO gpkg_contents VALUES ('layer', 'features');
		CREATE VIEW gpkg_geometry_columns AS
			WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n)
			SELECT 'layer' AS table_name, 'geom' AS column_name, 4326 AS srs_id FROM n WHERE i < 0;
	`);
	const bytes = db.serialize();
	db.close();
	return file('endless.gpkg', bytes);
}
