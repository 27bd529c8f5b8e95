import Database from 'better-sqlite3';
import type { BookSummary } from '../../../../core/schema-types';
import { messageOf } from '../../../../core/check/message-of';
import { NEWEST_LAYOUT } from '../migrate';
import { whatIsIn } from './what-is-in';

/** Whether a file is a whole book: what it holds, or what is wrong with it, in words. */
export type CheckedCopy = { holds: BookSummary; fault?: undefined } | { holds?: undefined; fault: string };

/** Opens a copy of a book for reading, looks whether it is whole, and counts what is in it. */
export function checkCopy(file: string): CheckedCopy {
	let db: Database.Database | undefined;
	try {
		db = new Database(file, { readonly: true, fileMustExist: true });
		const found = db.pragma('quick_check', { simple: true });
		if (found !== 'ok') return { fault: `it is damaged: ${String(found)}` };
		const layout = db.pragma('user_version', { simple: true }) as number;
		if (layout < 1) return { fault: 'it is no book of this program' };
		if (layout > NEWEST_LAYOUT) return { fault: `a newer program wrote it (layout ${layout})` };
		return { holds: whatIsIn(db) };
	} catch (error) {
		return { fault: `it cannot be read as a book: ${messageOf(error)}` };
	} finally {
		db?.close();
	}
}
