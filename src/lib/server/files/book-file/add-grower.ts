import type { Database } from 'better-sqlite3';
import { act, type BookTable } from '../../book/act';
import { ActionError } from '../../book/action-error';
import type { Row } from '../../book/reach';
import { NUMBER, rowsOf, tablesOf } from '../../book/tables';
import { isShared } from './grower-rows';
import type { ReadBook } from './read-book-file';

/** What came of adding a grower to a book that has others. */
export interface AddedGrower {
	fields: number;
	notes: string[];
}

/**
 * Adds the grower of a book file to a book, as one action that can be undone. Guides, products and the like that the book has already
 * stay as they are there. Issued sheets, and bags of soil whose codes are taken, stay in the file: they are those of another book.
 * @throws ActionError where the grower is there already; nothing is written then
 */
export function addGrower(db: Database, { db: from, head }: ReadBook): AddedGrower {
	const [grower] = rowsOf(from, 'grower');
	const fields = rowsOf(from, 'field');
	if (!grower || head.grower === undefined) throw new ActionError('This file holds no single grower.');
	const there = (table: string, id: string) =>
		db.prepare<[string], Record<string, unknown>>(`SELECT * FROM ${table} WHERE id = ?`).get(id);
	if (there('grower', String(grower.id))) {
		throw new ActionError(`${head.grower} is in this book already, so nothing was imported.`);
	}
	const notes: string[] = [];
	const codes = new Set(rowsOf(db, 'bag').map(({ code }) => code));
	const taken = (table: string, { code }: Row) => table === 'bag' && codes.has(code!);
	act(db, { label: `Imported ${head.grower} with ${fields.length} fields` }, (writer) => {
		for (const table of tablesOf(from).filter((one) => one in head.tables && one !== 'sheet')) {
			for (const row of rowsOf(from, table)
				.filter((one) => !taken(table, one))
				.map(unnumbered)) {
				const id = String(row.id);
				const own = there(table, id);
				if (!own) writer.insert(table as BookTable, { ...row, id });
				else if (!isShared(table))
					throw new ActionError(`A row of ${table} is in this book already: nothing was imported.`);
				else if (Object.keys(row).some((column) => own[column] !== row[column])) {
					notes.push(
						`The ${table.replaceAll('_', ' ')} “${id}” stays as it is in this book; in the file it is another.`
					);
				}
			}
		}
	});
	const bags = 'bag' in head.tables ? rowsOf(from, 'bag').filter((row) => taken('bag', row)).length : 0;
	if (bags === 1) notes.push('A bag of soil stays in the file: its code stands on a label of this book.');
	if (bags > 1) notes.push(`${bags} bags of soil stay in the file: their codes stand on labels of this book.`);
	const sheets = head.tables.sheet ?? 0;
	if (sheets > 0) notes.push(`${sheets} issued sheets stay in the file: their numbers are those of another book.`);
	return { fields: fields.length, notes };
}

function unnumbered(row: Row): Row {
	return Object.fromEntries(Object.entries(row).filter(([column]) => column !== NUMBER));
}
