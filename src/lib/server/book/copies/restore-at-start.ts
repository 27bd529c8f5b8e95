import { ActionError } from '../action-error';
import { backupFile, backupFolder, listBackups } from './backups';
import { assertWhole, replaceFile } from './replace-file';

/**
 * Puts a copy in the place of a book before it is opened: what to do about a book that cannot be opened any more.
 * @param asked "newest", the name of a copy in the folder, or the path of one
 * @returns what was done, in a sentence
 * @throws ActionError where there is no such copy, or it is not whole; nothing is changed then
 */
export function restoreAtStart(book: string, asked: string, now: Date): string {
	const folder = backupFolder(book);
	const newest = listBackups(folder)[0]?.id;
	if (asked === 'newest' && newest === undefined) throw new ActionError(`There is no copy in ${folder}.`);
	const name = asked === 'newest' ? newest! : asked;
	const copy = backupFile(folder, name) ?? name;
	assertWhole(copy);
	const aside = replaceFile(book, copy, now);
	const before = aside === undefined ? '' : ` What was there is kept as ${aside}.`;
	return `Restored ${book} from ${copy}.${before}`;
}
