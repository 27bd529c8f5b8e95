import { copyFileSync, existsSync, renameSync, rmSync } from 'node:fs';
import { ActionError } from '../action-error';
import { checkCopy } from './check-copy';

/** The book itself, and what SQLite keeps beside it while it is open: of another book, that would be played into this one. */
const PARTS = ['', '-wal', '-shm'];

/** @throws ActionError where a copy is not whole */
export function assertWhole(copy: string): void {
	const { fault } = checkCopy(copy);
	if (fault !== undefined) throw new ActionError(`This copy was not restored: ${fault}.`);
}

/**
 * Puts a whole copy in the place of a book that nobody has open. What was there is kept beside it.
 * @param now tells what was there from other ones: `<book>.replaced-<time>`
 * @returns where the book of before is now; undefined where there was none
 */
export function replaceFile(book: string, copy: string, now: Date): string | undefined {
	const draft = `${book}.part`;
	copyFileSync(copy, draft);
	const stamp = now.toISOString().slice(0, 19).replaceAll(':', '-');
	const aside = existsSync(book) ? `${book}.replaced-${stamp}` : undefined;
	move(book, aside);
	renameSync(draft, book);
	return aside;
}

/** Puts the book of before back in its place. */
export function putBack(book: string, aside: string): void {
	move(book, undefined);
	move(aside, book);
}

/** Moves a book with all its parts; without a place to go it is removed. */
function move(from: string, to: string | undefined): void {
	for (const part of PARTS) {
		if (!existsSync(from + part)) continue;
		if (to === undefined) rmSync(from + part);
		else renameSync(from + part, to + part);
	}
}
