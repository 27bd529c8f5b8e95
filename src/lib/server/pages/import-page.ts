import { error } from '@sveltejs/kit';
import { previewImport } from '../files/lab-file/preview';
import { listFields, listGrowers } from '../stores/fields';
import { findImport, listLabs, listOutcomes } from '../stores/lab-imports';
import { planningYear } from '../field/planning-year';
import type { Desk } from '../desk';

const MOST_FIELDS_LISTED = 3000;

/** The page of a lab file: how it is read while it is a draft, and what became of its lines once it is in the book. */
export function importPage({ book: db, library, today }: Desk, id: string) {
	const found = findImport(db, id);
	if (!found) error(404, 'There is no such import; it may have been thrown away.');
	const { fileName, grid, draft, committedAt } = found;
	const committed = committedAt !== null;
	return {
		id,
		fileName,
		title: fileName,
		/** How the file was read, where that is not the usual way. */
		notes: grid.notes ?? [],
		year: planningYear(today),
		committed,
		draft,
		sampleCells: grid.headers.map((_, column) => firstCell(grid.rows, column)),
		preview: committed ? undefined : previewImport(db, grid, draft, library.crops),
		outcomes: committed ? listOutcomes(db, id) : [],
		crops: library.crops.map(({ name }) => name),
		labs: committed ? [] : listLabs(db),
		growers: listGrowers(db).map(({ name }) => name),
		fields: committed
			? []
			: listFields(db)
					.slice(0, MOST_FIELDS_LISTED)
					.map((field) => ({ id: field.id, name: `${field.name} (${field.grower})` }))
	};
}

export type ImportPage = ReturnType<typeof importPage>;

/** An example from the column, for the adviser to recognise it by. */
function firstCell(rows: readonly string[][], column: number): string {
	return rows.map((row) => row[column] ?? '').find((cell) => cell.trim() !== '') ?? '';
}
