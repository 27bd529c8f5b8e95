import { error } from '@sveltejs/kit';
import { previewImport } from '$lib/server/lab-file/preview';
import { listFields, listGrowers } from '$lib/server/stores/fields';
import { findImport, listLabs, listOutcomes } from '$lib/server/stores/lab-imports';
import { planningYear } from '$lib/server/planning-year';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

const MOST_FIELDS_LISTED = 3000;

export const load: PageServerLoad = ({ params }) => {
	const db = theBook();
	const found = findImport(db, params.import);
	if (!found) error(404, 'There is no such import; it may have been thrown away.');
	const { id, fileName, grid, draft, committedAt } = found;
	const committed = committedAt !== null;
	return {
		id,
		fileName,
		title: fileName,
		year: planningYear(today()),
		committed,
		draft,
		sampleCells: grid.headers.map((_, column) => firstCell(grid.rows, column)),
		preview: committed ? undefined : previewImport(db, grid, draft),
		outcomes: committed ? listOutcomes(db, id) : [],
		labs: committed ? [] : listLabs(db),
		growers: listGrowers(db).map(({ name }) => name),
		fields: committed
			? []
			: listFields(db)
					.slice(0, MOST_FIELDS_LISTED)
					.map((field) => ({ id: field.id, name: `${field.name} (${field.grower})` }))
	};
};

/** An example from the column, for the adviser to recognise it by. */
function firstCell(rows: readonly string[][], column: number): string {
	return rows.map((row) => row[column] ?? '').find((cell) => cell.trim() !== '') ?? '';
}
