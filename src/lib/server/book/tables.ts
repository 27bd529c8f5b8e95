import type { Database } from 'better-sqlite3';
import type { Row } from './reach';

/** The column by which rows of one day stand in the order in which they were written; each book counts its own. */
export const NUMBER = 'seq';

/** The tables of a book, in the order in which they were made: what is referred to stands before what refers to it. */
export function tablesOf(db: Database): string[] {
	return db
		.prepare<[], { name: string }>(
			"SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY rowid"
		)
		.all()
		.map(({ name }) => name);
}

/** The columns of a table that are written: generated ones are left out. */
export function columnsOf(db: Database, table: string): string[] {
	return (db.pragma(`table_info(${table})`) as { name: string }[]).map(({ name }) => name);
}

/**
 * Rows of a table in the order in which they were written.
 * @param where which of them; its names are those of `values`
 */
export function rowsOf(db: Database, table: string, where = 'true', values: Row = {}): Row[] {
	const columns = columnsOf(db, table);
	const order = columns.includes(NUMBER) ? NUMBER : 'rowid';
	return db
		.prepare<[Row], Row>(`SELECT ${columns.join(', ')} FROM ${table} WHERE ${where} ORDER BY ${order}`)
		.all(values);
}

/** Writes a row as it is. */
export function writeRow(db: Database, table: string, row: Row): void {
	const columns = Object.keys(row);
	const marks = columns.map((name) => `@${name}`).join(', ');
	db.prepare(`INSERT INTO ${table} (${columns.join(', ')}) VALUES (${marks})`).run(row);
}
