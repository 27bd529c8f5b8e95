import { undoable } from '$lib/server/book/act';
import { planningYear } from '$lib/server/field/planning-year';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ params }) => {
	const day = today();
	return {
		settings: readSettings(theBook()),
		today: day,
		planningYear: planningYear(day),
		// On a field's pages its own last change, elsewhere the book's.
		undoable: undoable(theBook(), params.field)
	};
};
