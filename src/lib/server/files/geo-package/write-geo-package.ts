import Database from 'better-sqlite3';
import { boundsOf, type Shape } from '../../../../core/ground/shapes/shape';
import { blobOf, WGS84 } from './geometry-blob';

/** What a cell of a layer holds; nothing where it is not known. */
type Cell = string | number | null | undefined;

/** A layer of a GeoPackage: ground with what is known of each piece. */
export interface PackageLayer {
	/** Of its table: small letters and underscores. */
	name: string;
	title: string;
	/** What it holds, and in which units. */
	description: string;
	columns: Record<string, 'TEXT' | 'REAL' | 'INTEGER'>;
	/** A piece without a boundary has no shape. */
	rows: { shape: Shape | undefined; values: Record<string, Cell> }[];
}

/** "GPKG", and version 1.3 of the format (OGC 12-128r18). */
const APPLICATION_ID = 0x47504b47;
const VERSION = 10300;

const WGS84_WKT =
	'GEOGCS["WGS 84",DATUM["WGS_1984",SPHEROID["WGS 84",6378137,298.257223563,AUTHORITY["EPSG","7030"]],AUTHORITY["EPSG","6326"]],PRIMEM["Greenwich",0,AUTHORITY["EPSG","8901"]],UNIT["degree",0.0174532925199433,AUTHORITY["EPSG","9122"]],AUTHORITY["EPSG","4326"]]';

const FRAME = `
	CREATE TABLE gpkg_spatial_ref_sys (srs_name TEXT NOT NULL, srs_id INTEGER PRIMARY KEY, organization TEXT NOT NULL,
		organization_coordsys_id INTEGER NOT NULL, definition TEXT NOT NULL, description TEXT);
	CREATE TABLE gpkg_contents (table_name TEXT NOT NULL PRIMARY KEY, data_type TEXT NOT NULL, identifier TEXT UNIQUE,
		description TEXT DEFAULT '', last_change DATETIME NOT NULL, min_x DOUBLE, min_y DOUBLE, max_x DOUBLE, max_y DOUBLE,
		srs_id INTEGER REFERENCES gpkg_spatial_ref_sys (srs_id));
	CREATE TABLE gpkg_geometry_columns (table_name TEXT NOT NULL PRIMARY KEY REFERENCES gpkg_contents (table_name),
		column_name TEXT NOT NULL, geometry_type_name TEXT NOT NULL, srs_id INTEGER NOT NULL REFERENCES gpkg_spatial_ref_sys (srs_id),
		z TINYINT NOT NULL, m TINYINT NOT NULL);
	INSERT INTO gpkg_spatial_ref_sys VALUES
		('WGS 84', ${WGS84}, 'EPSG', ${WGS84}, '${WGS84_WKT}', 'longitude and latitude in degrees'),
		('Undefined Cartesian', -1, 'NONE', -1, 'undefined', NULL), ('Undefined geographic', 0, 'NONE', 0, 'undefined', NULL);`;

/**
 * Layers as one GeoPackage.
 * @param changedAt an ISO date with time
 */
export function writeGeoPackage(layers: readonly PackageLayer[], changedAt: string): Uint8Array<ArrayBuffer> {
	const db = new Database(':memory:');
	try {
		db.pragma(`application_id = ${APPLICATION_ID}`);
		db.pragma(`user_version = ${VERSION}`);
		db.exec(FRAME);
		db.transaction(() => layers.forEach((layer) => writeLayer(db, layer, changedAt)))();
		return new Uint8Array(db.serialize());
	} finally {
		db.close();
	}
}

function writeLayer(
	db: Database.Database,
	{ name, title, description, columns, rows }: PackageLayer,
	changedAt: string
): void {
	const names = Object.keys(columns);
	const quoted = names.map((column) => `"${column}"`);
	db.exec(
		`CREATE TABLE ${name} (fid INTEGER PRIMARY KEY AUTOINCREMENT, geom MULTIPOLYGON, ${names.map((column) => `"${column}" ${columns[column]}`).join(', ')})`
	);
	const bounds = boundsOf(rows.flatMap(({ shape }) => shape ?? [])) ?? [null, null, null, null];
	db.prepare("INSERT INTO gpkg_contents VALUES (?, 'features', ?, ?, ?, ?, ?, ?, ?, ?)").run(
		name,
		title,
		description,
		changedAt,
		...bounds,
		WGS84
	);
	db.prepare("INSERT INTO gpkg_geometry_columns VALUES (?, 'geom', 'MULTIPOLYGON', ?, 0, 0)").run(name, WGS84);
	const insert = db.prepare(
		`INSERT INTO ${name} (geom, ${quoted.join(', ')}) VALUES (?, ${names.map(() => '?').join(', ')})`
	);
	for (const { shape, values } of rows) {
		insert.run(shape ? blobOf(shape) : null, ...names.map((column) => values[column] ?? null));
	}
}
