import type { Database } from 'better-sqlite3';
import type { Row } from '../../book/reach';
import { columnsOf, rowsOf } from '../../book/tables';

/** What a grower's fields may rest on, and any adviser may have: it goes along whole. */
const SHARED: readonly string[] = [
	'guide',
	'guide_version',
	'own_product',
	'own_leaf_ranges',
	'response_curve',
	'station',
	'water_source',
	'water_report',
	'house_programme',
	'house_programme_version'
];
/** What says which rows are the grower's. The log tells of other growers too; of a lab file, its samples go along. */
const YEARS = 'SELECT id FROM field_year WHERE field_id IN (SELECT id FROM field WHERE grower_id = @grower)';
const OWN: readonly (readonly [column: string, of: string])[] = [
	['grower_id', '@grower'],
	['field_id', 'SELECT id FROM field WHERE grower_id = @grower'],
	['field_year_id', YEARS],
	['prescription_id', `SELECT id FROM prescription WHERE field_year_id IN (${YEARS})`]
];
const LEFT_OUT: readonly string[] = ['event', 'event_field', 'lab_import', 'lab_import_row', 'lab_mapping'];

/** Whether a table has something of one grower, or of what their fields rest on. */
export function ofOneGrower(db: Database, table: string): boolean {
	return table === 'grower' || SHARED.includes(table) || ownColumn(db, table) !== undefined;
}

/** Whether its rows are any adviser's, not a grower's. */
export function isShared(table: string): boolean {
	return SHARED.includes(table);
}

/** The rows of a table that belong to a grower, in the order in which they were written. */
export function growersRows(db: Database, table: string, grower: string): Row[] {
	if (SHARED.includes(table)) return rowsOf(db, table);
	const by = table === 'grower' ? (['id', '@grower'] as const) : ownColumn(db, table)!;
	return rowsOf(db, table, `${by[0]} IN (${by[1]})`, { grower });
}

function ownColumn(db: Database, table: string): readonly [string, string] | undefined {
	if (LEFT_OUT.includes(table)) return undefined;
	const columns = columnsOf(db, table);
	return OWN.find(([column]) => columns.includes(column));
}
