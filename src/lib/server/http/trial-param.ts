import { error } from '@sveltejs/kit';
import { findTrial, type BookTrial } from '../stores/trials';
import { theBook } from '../the-book';

/** The trial of an address. */
export function trialOf({ trial }: { trial: string }): BookTrial {
	return findTrial(theBook(), trial) ?? error(404, 'There is no such trial in this book.');
}
