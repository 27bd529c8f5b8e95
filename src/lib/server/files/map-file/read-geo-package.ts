import Database from 'better-sqlite3';
import type { Feature, Geometry, Position } from 'geojson';
import proj4 from 'proj4';
import { messageOf } from '../../../../core/check/message-of';
import { ActionError } from '../../book/action-error';
import { geometryIn, WGS84 } from '../geo-package/geometry-blob';
import { contentOf } from './content-of-geojson';
import { MOST_POINTS, type MapContent } from './map-content';

interface LayerRow {
	table_name: string;
	column_name: string;
	srs_id: number;
	srs_name: string | null;
	definition: string | null;
}

type Transform = (place: Position) => Position;

/** Where the header of an SQLite file says how it is written: 2 is a write-ahead log, which no file in memory can have. */
const JOURNAL_BYTES = [18, 19] as const;

/**
 * The areas and points of all layers of a GeoPackage, put into WGS 84 by what each layer says of itself.
 * @throws ActionError in words for the adviser
 */
export function readGeoPackage(name: string, bytes: Uint8Array): MapContent {
	const file = Buffer.from(bytes);
	for (const at of JOURNAL_BYTES) file[at] = 1;
	let db: Database.Database | undefined;
	try {
		db = new Database(file, { readonly: true });
		// Nothing in the file may run: its own views and functions are not trusted.
		db.pragma('trusted_schema = OFF');
		checkPlain(name, db);
		const layers = layersOf(db);
		if (layers.length === 0) throw new ActionError(`${name} holds no layer of areas or points.`);
		const content = contentOf(name, {
			type: 'FeatureCollection',
			features: layers.flatMap((layer) => featuresOf(name, db!, layer))
		});
		const notes =
			layers.length > 1
				? [`Its layers were read together: ${layers.map((layer) => layer.table_name).join(', ')}.`]
				: [];
		return { ...content, notes: [...content.notes, ...notes] };
	} catch (error) {
		if (error instanceof ActionError) throw error;
		throw new ActionError(`${name} is no GeoPackage that can be read: ${messageOf(error)}.`);
	} finally {
		db?.close();
	}
}

/** What a GeoPackage says of itself must stand in plain tables: a view of that name would run a query of its own, for as long as it likes. */
function checkPlain(name: string, db: Database.Database): void {
	const strange = db
		.prepare<[], { name: string }>(
			`SELECT name FROM sqlite_master
			WHERE name IN ('gpkg_contents', 'gpkg_geometry_columns', 'gpkg_spatial_ref_sys')
				AND (type <> 'table' OR sql LIKE 'CREATE VIRTUAL%')`
		)
		.get();
	if (strange) throw new ActionError(`${name}: ${strange.name} in it is no plain table. Export it again.`);
}

function layersOf(db: Database.Database): LayerRow[] {
	return db
		.prepare<[], LayerRow>(
			`SELECT g.table_name, g.column_name, g.srs_id, s.srs_name, s.definition
			FROM gpkg_geometry_columns g
			JOIN gpkg_contents c ON c.table_name = g.table_name AND c.data_type = 'features'
			JOIN sqlite_master m ON m.name = g.table_name AND m.type = 'table'
			LEFT JOIN gpkg_spatial_ref_sys s ON s.srs_id = g.srs_id
			ORDER BY c.rowid`
		)
		.all();
}

function featuresOf(name: string, db: Database.Database, layer: LayerRow): Feature[] {
	const toDegrees = transformOf(name, layer);
	const table = layer.table_name.replaceAll('"', '""');
	return db
		.prepare<[number], Record<string, unknown>>(`SELECT * FROM "${table}" LIMIT ?`)
		.all(MOST_POINTS + 1)
		.flatMap(({ [layer.column_name]: blob, fid: _fid, ...columns }): Feature[] => {
			const geometry = blob instanceof Uint8Array ? placed(geometryIn(blob), toDegrees) : undefined;
			return geometry ? [{ type: 'Feature', geometry, properties: { ...columns, layer: layer.table_name } }] : [];
		});
}

/** @throws ActionError for a reference that the file does not describe */
function transformOf(name: string, { table_name, srs_id, srs_name, definition }: LayerRow): Transform {
	// 0 is "undefined geographic": degrees, as far as anybody knows.
	if (srs_id === WGS84 || srs_id === 0) return (place) => place.slice(0, 2);
	try {
		const { forward } = proj4(definition ?? '', 'WGS84');
		return ([x = NaN, y = NaN]) => forward([x, y]);
	} catch {
		throw new ActionError(
			`${name}: the layer ${table_name} is in ${srs_name ?? `a reference numbered ${srs_id}`}, which the file does not describe. Export it in EPSG:4326.`
		);
	}
}

function placed(geometry: Geometry | undefined, toDegrees: Transform): Geometry | undefined {
	if (!geometry) return undefined;
	if (geometry.type === 'GeometryCollection') {
		return { ...geometry, geometries: geometry.geometries.flatMap((one) => placed(one, toDegrees) ?? []) };
	}
	return { ...geometry, coordinates: moved(geometry.coordinates, toDegrees) } as Geometry;
}

type Nested = Position | Nested[];

function moved(coordinates: Nested, toDegrees: Transform): Nested {
	return typeof coordinates[0] === 'number'
		? toDegrees(coordinates as Position)
		: (coordinates as Nested[]).map((inner) => moved(inner, toDegrees));
}
