import { error } from '@sveltejs/kit';
import { previewImport, type Preview } from '../files/lab-file/preview';
import { listFields, listGrowers } from '../stores/fields';
import { findImport, listLabs, listOutcomes } from '../stores/lab-imports';
import { planningYear } from '../field/planning-year';
import type { Desk } from '../desk';

const MOST_FIELDS_LISTED = 3000;

/** A file has thousands of rows, and each of them a choice of all fields: so many go to the page, and more when they are asked for. */
const ROWS_AT_ONCE = 200;

/**
 * The page of a lab file: how it is read while it is a draft, and what became of its lines once it is in the book.
 * @param asked how many of its rows the page shows, those that wait for a decision first
 */
export function importPage({ book: db, library, today }: Desk, id: string, asked: string | null) {
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
		preview: committed
			? undefined
			: shownRows(previewImport(db, grid, draft, library.crops), Math.max(ROWS_AT_ONCE, Number(asked) || 0)),
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

function shownRows({ mappingProblems, rows }: Preview, most: number) {
	const of = (status: (typeof rows)[number]['status']) => rows.filter((row) => row.status === status);
	const [undecided, imported, leftOut] = [of('undecided'), of('imported'), of('left out')];
	const others = rows.filter(({ status }) => status !== 'undecided');
	return {
		mappingProblems,
		count: { all: rows.length, undecided: undecided.length, imported: imported.length, leftOut: leftOut.length },
		rows: [...undecided, ...others].slice(0, most),
		/** So many the next step shows beside them. */
		more: Math.min(ROWS_AT_ONCE, Math.max(0, rows.length - most))
	};
}

export type ImportPage = ReturnType<typeof importPage>;

/** An example from the column, for the adviser to recognise it by. */
function firstCell(rows: readonly string[][], column: number): string {
	return rows.map((row) => row[column] ?? '').find((cell) => cell.trim() !== '') ?? '';
}
