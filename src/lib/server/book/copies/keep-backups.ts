import type { Database } from 'better-sqlite3';
import { messageOf } from '../../../../core/check/message-of';
import { backupsKept } from '../../stores/settings';
import { backupFolder, listBackups, makeBackup } from './backups';
import { whatIsIn } from './what-is-in';

/** Not while the first pages are asked for. */
const FIRST_LOOK_MS = 60_000;
const LOOK_MS = 3_600_000;
const DUE_AFTER_MS = 24 * 3_600_000;

let looking = false;

/** From now on the book of this process is copied once a day; the timers do not keep the process alive. */
export function keepBackups(current: () => Database | undefined): void {
	if (looking) return;
	looking = true;
	const look = (): void => {
		const book = current();
		if (!book) return;
		void backUpIfDue(book, new Date()).catch((error: unknown) =>
			console.error(`The daily backup failed: ${messageOf(error)}`)
		);
	};
	setTimeout(look, FIRST_LOOK_MS).unref();
	setInterval(look, LOOK_MS).unref();
}

/**
 * Copies a book with something in it, where the newest copy is a day old.
 * @returns whether a copy was made
 */
export async function backUpIfDue(book: Database, now: Date): Promise<boolean> {
	const folder = backupFolder(book.name);
	if (folder === undefined || whatIsIn(book).growers === 0) return false;
	const [newest] = listBackups(folder);
	if (newest && now.getTime() - Date.parse(newest.at) < DUE_AFTER_MS) return false;
	await makeBackup(book, backupsKept(book), now);
	return true;
}
