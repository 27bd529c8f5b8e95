import type { Backup, BackupList, CopyPreview, Restored } from '../../../../core/schema-types';
import { ActionError } from '../../book/action-error';
import { backupFile, backupFolder, listBackups, makeBackup } from '../../book/copies/backups';
import { checkCopy } from '../../book/copies/check-copy';
import { whatIsIn } from '../../book/copies/what-is-in';
import type { Desk } from '../../desk';
import { addGrower } from '../../files/book-file/add-grower';
import { withDraft } from '../../files/book-file/with-draft';
import { backupsKept } from '../../stores/settings';
import { replaceBook } from '../../the-book';
import { json, operation, type FileBody } from '../operation';
import { NotThere } from '../refusals';

const BOOK_FILE: FileBody = { megabytes: 200, tooLarge: '. Export the growers one by one.' };

export const copyOperations = [
	operation('GET /api/backups', {
		summary: 'Lists the copies of the book, the newest first',
		answer: json<BackupList>('answers#/definitions/BackupList'),
		run: ({ desk }) => listBackups(backupFolder(desk.book.name))
	}),
	operation('POST /api/backups', {
		summary: 'Copies the book now, and looks whether the copy is whole',
		body: json<Record<string, never>>('actions#/definitions/EmptyAction'),
		answer: json<Backup>('answers#/definitions/Backup'),
		example: {},
		run: ({ desk }) => makeBackup(desk.book, backupsKept(desk.book), new Date())
	}),
	operation('GET /api/backups/{backup}', {
		summary: 'Says what a copy holds beside what the book holds now',
		answer: json<CopyPreview>('answers#/definitions/CopyPreview'),
		run: ({ params, desk }) => ({ copy: holdsOf(copyAt(desk, params.backup)), now: whatIsIn(desk.book) })
	}),
	operation('POST /api/backups/{backup}/restore', {
		summary: 'Puts a copy in the place of the book; what was there is kept beside it',
		body: json<Record<string, never>>('actions#/definitions/EmptyAction'),
		answer: json<Restored>('answers#/definitions/Restored'),
		example: {},
		run: ({ params, desk }) => replaced(desk, copyAt(desk, params.backup))
	}),
	operation('POST /api/book/preview', {
		summary: 'Says what a file that was exported holds beside what the book holds now; nothing is changed',
		file: BOOK_FILE,
		answer: json<CopyPreview>('answers#/definitions/CopyPreview'),
		run: ({ desk, gone }, _, file) =>
			withDraft(file, gone, ({ db, head: { grower } }) => ({
				copy: whatIsIn(db),
				now: whatIsIn(desk.book),
				...(grower === undefined ? {} : { grower })
			}))
	}),
	operation('POST /api/book', {
		summary: 'Imports what was exported: a whole book in the place of this one, a grower beside the others',
		file: BOOK_FILE,
		answer: json<Restored>('answers#/definitions/Restored'),
		run: ({ desk, gone }, _, file) =>
			withDraft(file, gone, (read) => {
				if (read.head.grower === undefined) return replaced(desk, read.db.name);
				const { notes } = addGrower(desk.book, read);
				return { holds: whatIsIn(read.db), notes };
			})
	})
] as const;

function replaced({ book }: Desk, copy: string): Restored {
	if (book.memory) throw new ActionError('This book is in no file, so nothing can be put in its place.');
	const holds = holdsOf(copy);
	const aside = replaceBook(book, copy, new Date());
	return { holds, notes: aside === undefined ? [] : [`The book of before is kept as ${aside}.`] };
}

function copyAt({ book }: Desk, id: string): string {
	const file = backupFile(backupFolder(book.name), id);
	if (file === undefined) throw new NotThere('There is no such copy.');
	return file;
}

/** @throws ActionError where the copy is not whole */
function holdsOf(copy: string) {
	const { holds, fault } = checkCopy(copy);
	if (!holds) throw new ActionError(`This copy cannot be used: ${fault}.`);
	return holds;
}
