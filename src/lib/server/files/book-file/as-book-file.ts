import { csvText } from '../../../../core/check/csv-text';
import type { Database } from 'better-sqlite3';
import { strToU8, zipSync } from 'fflate';
import type { Row } from '../../book/reach';
import { columnsOf, rowsOf, tablesOf } from '../../book/tables';
import { HEAD_NAME, tableName, type BookFileHead } from './book-file';
import { growersRows, ofOneGrower } from './grower-rows';

/** Zips keep a time for each file; always the same one, so that the same book makes the same file. */
const ALWAYS = new Date(Date.UTC(1980, 0, 2));

/**
 * A book as one zip: its tables as JSON, to be imported again; the same as CSV, and fields and zones as GeoJSON, to be read by others.
 * The same book makes the same file, byte for byte.
 * @param grower id of the one whose fields are wanted alone, with the guides, products and programmes they may rest on
 */
export function asBookFile(db: Database, grower?: string): Uint8Array<ArrayBuffer> {
	const tables = tablesOf(db).filter((table) => grower === undefined || ofOneGrower(db, table));
	const rows = Object.fromEntries(
		tables.map((table) => [table, grower === undefined ? rowsOf(db, table) : growersRows(db, table, grower)])
	);
	const name = rows.grower?.[0]?.name;
	const head: BookFileHead = {
		format: 'cosecha-book',
		layout: db.pragma('user_version', { simple: true }) as number,
		...(grower === undefined ? {} : { grower: String(name) }),
		tables: Object.fromEntries(tables.map((table) => [table, rows[table]!.length]))
	};
	const files: Record<string, string> = { [HEAD_NAME]: `${JSON.stringify(head, null, '\t')}\n` };
	for (const table of tables) {
		files[tableName(table)] = asLines(rows[table]!);
		files[`csv/${table}.csv`] = asCsv(columnsOf(db, table), rows[table]!);
	}
	files['fields.geojson'] = asFeatures(rows.field!, 'boundary', ['id', 'name', 'area_ac', 'texture', 'drainage']);
	files['zones.geojson'] = asFeatures(rows.zone!, 'shape', ['id', 'field_id', 'name', 'area_ac']);
	return zipSync(Object.fromEntries(Object.entries(files).map(([path, text]) => [path, strToU8(text)])), {
		mtime: ALWAYS
	});
}

/** A row to a line: two books can be compared by eye. */
function asLines(rows: readonly Row[]): string {
	return rows.length === 0 ? '[]\n' : `[\n${rows.map((row) => JSON.stringify(row)).join(',\n')}\n]\n`;
}

function asCsv(columns: string[], rows: readonly Row[]): string {
	const cells = rows.map((row) => columns.map((column) => row[column] ?? ''));
	return csvText([columns, ...cells]);
}

function asFeatures(rows: readonly Row[], shape: string, properties: readonly string[]): string {
	const features = rows
		.filter((row) => typeof row[shape] === 'string')
		.map((row) => ({
			type: 'Feature',
			properties: Object.fromEntries(properties.map((key) => [key, row[key] ?? null])),
			geometry: JSON.parse(row[shape] as string) as unknown
		}));
	return `${JSON.stringify({ type: 'FeatureCollection', features })}\n`;
}
