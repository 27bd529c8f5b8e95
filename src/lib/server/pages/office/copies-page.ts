import type { Desk } from '../../desk';
import { backupFolder, listBackups } from '../../book/copies/backups';
import { whatIsIn } from '../../book/copies/what-is-in';
import { backupsKept } from '../../stores/settings';
import { listGrowers } from '../../stores/fields';

/** The copies of the book, and what can be taken out of it and put into it. */
export function copiesPage({ book }: Desk) {
	const folder = backupFolder(book.name);
	return {
		title: 'Backups and exports',
		folder,
		kept: backupsKept(book),
		backups: listBackups(folder),
		growers: listGrowers(book),
		holds: whatIsIn(book)
	};
}
