import Database from 'better-sqlite3';
import { strFromU8, unzipSync } from 'fflate';
import { messageOf } from '../../../../core/check/message-of';
import { ActionError } from '../../book/action-error';
import { migrate, NEWEST_LAYOUT } from '../../book/migrate';
import type { Row } from '../../book/reach';
import { columnsOf, tablesOf, writeRow } from '../../book/tables';
import { HEAD_NAME, tableName, type BookFileHead } from './book-file';

/** Unpacked, a book of thousands of fields over ten years is smaller than this. */
const MOST_UNPACKED_BYTES = 1024 * 1024 * 1024;
const WANTED = /^(cosecha\.json|tables\/[a-z_]+\.json)$/;

/**
 * Reads a book file into a book of its own, brought to the newest layout; nothing else is touched. The caller closes it.
 * @param file where that book is kept; ':memory:' where it is only looked at
 * @throws ActionError naming what in the file is wrong
 */
export function readBookFile(name: string, bytes: Uint8Array, file = ':memory:'): ReadBook {
	const parts = unpack(name, bytes);
	const head = headOf(name, parts);
	const db = new Database(file);
	try {
		migrate(db, head.layout);
		fillFrom(db, name, head, parts);
		migrate(db);
		return { db, head };
	} catch (error) {
		db.close();
		throw error;
	}
}

export interface ReadBook {
	db: Database.Database;
	head: BookFileHead;
}

function unpack(name: string, bytes: Uint8Array): Record<string, Uint8Array> {
	let unpacked = 0;
	try {
		return unzipSync(bytes, {
			filter: ({ name: path, originalSize }) => {
				unpacked += originalSize;
				if (unpacked > MOST_UNPACKED_BYTES) throw new ActionError(`${name} unpacks to more than a book can be.`);
				return WANTED.test(path);
			}
		});
	} catch (error) {
		if (error instanceof ActionError) throw error;
		throw new ActionError(`${name} is no zip, or a broken one: choose a file that this program exported.`);
	}
}

function headOf(name: string, parts: Record<string, Uint8Array>): BookFileHead {
	const head = jsonOf(name, parts, HEAD_NAME) as Partial<BookFileHead>;
	if (head.format !== 'cosecha-book' || !Number.isInteger(head.layout) || typeof head.tables !== 'object') {
		throw new ActionError(`${name} is not a book that this program exported: ${HEAD_NAME} does not say so.`);
	}
	if (head.layout! < 1 || head.layout! > NEWEST_LAYOUT) {
		throw new ActionError(
			`${name} has layout ${head.layout}, and this program knows 1 to ${NEWEST_LAYOUT}: use a newer program.`
		);
	}
	return head as BookFileHead;
}

function jsonOf(name: string, parts: Record<string, Uint8Array>, path: string): unknown {
	const bytes = parts[path];
	if (!bytes) throw new ActionError(`${name} lacks ${path}: is it a book that this program exported?`);
	try {
		return JSON.parse(strFromU8(bytes));
	} catch (error) {
		throw new ActionError(`${name}: ${path} is no JSON: ${messageOf(error)}`);
	}
}

/** All rows, or none: what refers to nothing, or breaks a rule of its table, is refused by name. */
function fillFrom(
	db: Database.Database,
	name: string,
	{ tables }: BookFileHead,
	parts: Record<string, Uint8Array>
): void {
	const known = tablesOf(db);
	const strange = Object.keys(tables).find((table) => !known.includes(table));
	if (strange !== undefined) throw new ActionError(`${name} has a table “${strange}” that no book has.`);
	// Looked at together below, where it can be said which row is lost.
	db.pragma('foreign_keys = OFF');
	db.transaction(() => {
		for (const table of known.filter((one) => one in tables)) {
			const rows = jsonOf(name, parts, tableName(table));
			if (!Array.isArray(rows) || rows.length !== tables[table]) {
				throw new ActionError(`${name}: ${tableName(table)} must hold ${tables[table]} rows.`);
			}
			const columns = columnsOf(db, table);
			rows.forEach((row: Row, at) => {
				const where = `${name}: row ${at + 1} of ${tableName(table)}`;
				const other = Object.keys(row).find((column) => !columns.includes(column));
				if (other !== undefined) throw new ActionError(`${where} has “${other}”, which the table has not.`);
				try {
					writeRow(db, table, row);
				} catch (error) {
					throw new ActionError(`${where} cannot stand in a book: ${messageOf(error)}`);
				}
			});
		}
	})();
	const [lost] = db.pragma('foreign_key_check') as { table: string; parent: string }[];
	if (lost)
		throw new ActionError(`${name}: a row of ${lost.table} refers to a ${lost.parent} that is not in the file.`);
	db.pragma('foreign_keys = ON');
}
