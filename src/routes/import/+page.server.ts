import { listImports } from '$lib/server/stores/lab-imports';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ imports: listImports(theBook()), title: 'Import a lab file' });
