import { chmodSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import type { Database } from 'better-sqlite3';
import type { Backup } from '../../../../core/schema-types';
import { ActionError } from '../action-error';
import { OWN_ONLY } from '../migrate';
import { checkCopy } from './check-copy';

const NAME = /^book-\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d(-\d{3})?\.db$/;

/** Where the copies of a book are kept: COSECHA_BACKUPS, else beside it. Undefined for a book that is in no file. */
export function backupFolder(bookFile: string): string | undefined {
	if (process.env.COSECHA_BACKUPS) return process.env.COSECHA_BACKUPS;
	return bookFile === ':memory:' || bookFile === '' ? undefined : `${bookFile}.backups`;
}

/** The copies in a folder, the newest first. */
export function listBackups(folder: string | undefined): Backup[] {
	let names: string[] = [];
	try {
		names = folder === undefined ? [] : readdirSync(folder);
	} catch {
		// No copy was made yet.
	}
	return names
		.filter((name) => NAME.test(name))
		.sort()
		.reverse()
		.map((id) => ({ id, at: dayAndTime(id), bytes: statSync(path.join(folder!, id)).size }));
}

/** The file of a copy; undefined where the folder has none of this name. */
export function backupFile(folder: string | undefined, id: string): string | undefined {
	return listBackups(folder).some((one) => one.id === id) ? path.join(folder!, id) : undefined;
}

/**
 * Copies a book while it is in use, opens the copy and looks whether it is whole; then the oldest ones beyond the count go.
 * @param keep so many are kept, this one among them
 * @throws ActionError where the copy is not whole, or the book is in no file; nothing is removed then
 */
export async function makeBackup(db: Database, keep: number, now: Date): Promise<Backup> {
	const folder = backupFolder(db.name);
	if (folder === undefined) throw new ActionError('This book is in no file, so no copy of it can be kept.');
	mkdirSync(folder, { recursive: true });
	const id = `book-${now.toISOString().slice(0, 23).replaceAll(':', '-').replace('.', '-')}.db`;
	const draft = path.join(folder, `${id}.part`);
	await db.backup(draft);
	chmodSync(draft, OWN_ONLY);
	const { fault } = checkCopy(draft);
	if (fault !== undefined) {
		rmSync(draft);
		throw new ActionError(`The copy was made, but ${fault}. Is the disk full?`);
	}
	renameSync(draft, path.join(folder, id));
	const all = listBackups(folder);
	for (const old of all.slice(keep)) rmSync(path.join(folder, old.id));
	return all.find((one) => one.id === id)!;
}

function dayAndTime(id: string): string {
	const [day, time] = id.slice('book-'.length, 'book-2026-01-01T00-00-00'.length).split('T');
	return `${day}T${time!.replaceAll('-', ':')}Z`;
}
