import type { Database } from 'better-sqlite3';
import type { NamedCrop } from '../../../../core/ground/lab-file/leaf-row';
import { mappingProblems } from '../../../../core/ground/lab-file/mapping-problems';
import { leafKey, readLabRows, type LabRow } from '../../../../core/ground/lab-file/read-lab-rows';
import type { LabDraft, LeafLogEntry } from '../../../../core/schema-types';
import { fromJson } from '../../from-json';
import { listFields } from '../../stores/fields';
import { labelledBags } from '../../stores/sampling/bags';
import type { LabGrid } from './read-file';

/** One line of the file as it will be read, and where it will go. */
export interface PreviewRow extends LabRow {
	cells: string[];
	/** imported: will be; left out: the adviser said so, or a blank line; undecided: bad, waits for the adviser. */
	status: 'imported' | 'left out' | 'undecided';
	/** The field of the book, or the new one. */
	target:
		{ fieldId: string; name: string; grower: string } | { fieldId: 'new'; name: string; grower: string } | undefined;
}

export interface Preview {
	mappingProblems: string[];
	rows: PreviewRow[];
}

/** What a lab file would become under the decisions so far. Reads the book, writes nothing. */
export function previewImport(db: Database, grid: LabGrid, draft: LabDraft, crops: readonly NamedCrop[]): Preview {
	const problems = mappingProblems(draft.mapping);
	if (draft.lab.trim() === '') problems.unshift('Name the lab, so that its columns are remembered.');
	const cells = grid.rows.map((row, index) => corrected(row, draft.corrections[String(grid.firstLine + index)]));
	const fields = listFields(db);
	const byName = new Map<string, typeof fields>();
	for (const field of fields) byName.set(key(field.name), [...(byName.get(key(field.name)) ?? []), field]);
	const taken = draft.mapping.leaf ? bookedLeaves(db) : takenDays(db);
	const leftOut = new Set(draft.leftOut);
	const rows = readLabRows(cells, draft.mapping, grid.firstLine, crops, labelledBags(db)).map(
		(row, index): PreviewRow => {
			const target = row.field === '' ? undefined : targetOf(row, draft, byName.get(key(row.field)) ?? [], fields);
			const problems = [...row.problems];
			const readable = row.layer !== undefined || row.leaf !== undefined;
			if (readable && typeof target === 'string') problems.push({ column: -1, message: target });
			if (readable && typeof target === 'object' && taken.has(`${target.fieldId}|${bookKey(row)}`)) {
				const what = row.leaf ? 'leaf test' : 'sample';
				problems.push({ column: -1, message: `${target.name} already has this ${what} in the book` });
			}
			const out = row.blank || leftOut.has(row.line);
			return {
				...row,
				problems,
				cells: cells[index]!,
				target: typeof target === 'object' ? target : undefined,
				status: out ? 'left out' : problems.length > 0 ? 'undecided' : 'imported'
			};
		}
	);
	return { mappingProblems: problems, rows };
}

function corrected(row: readonly string[], corrections: Record<string, string> | undefined): string[] {
	const cells = [...row];
	for (const [column, text] of Object.entries(corrections ?? {})) cells[Number(column)] = text;
	return Array.from(cells, (cell) => cell ?? '');
}

type KnownField = ReturnType<typeof listFields>[number];

/** Where a row goes, or why that cannot be said. */
function targetOf(
	row: LabRow,
	draft: LabDraft,
	sameName: KnownField[],
	fields: KnownField[]
): PreviewRow['target'] | string {
	const picked = draft.targets[String(row.line)];
	if (picked !== undefined && picked !== 'new') {
		const field = fields.find(({ id }) => id === picked);
		return field
			? { fieldId: field.id, name: field.name, grower: field.grower }
			: 'the field picked for this row is gone';
	}
	if (picked === undefined && row.bag) {
		const { fieldId, field, grower } = row.bag;
		return { fieldId, name: field, grower };
	}
	const grower = row.grower || draft.grower.trim();
	const known = sameName.filter((field) => row.grower === '' || key(field.grower) === key(row.grower));
	if (picked === undefined && known.length === 1) {
		return { fieldId: known[0]!.id, name: known[0]!.name, grower: known[0]!.grower };
	}
	if (picked === undefined && known.length > 1) {
		return `${known.length} growers have a field named ${row.field}; pick one`;
	}
	if (grower === '') return `${row.field} is a new field: say which grower it belongs to`;
	const own = sameName.find((field) => key(field.grower) === key(grower));
	if (own) return { fieldId: own.id, name: own.name, grower: own.grower };
	return { fieldId: 'new', name: row.field, grower };
}

/** What tells a row from others of its field. */
function bookKey({ leaf, date, sampleNumber, spot }: LabRow): string {
	return leaf ? leafKey(leaf) : `${date ?? ''}|${sampleNumber}|${spot}`;
}

function bookedLeaves(db: Database): Set<string> {
	const rows = db.prepare<[], { field_id: string; content: string }>('SELECT field_id, content FROM leaf_test').all();
	return new Set(rows.map(({ field_id, content }) => `${field_id}|${leafKey(fromJson<LeafLogEntry>(content))}`));
}

/** field|day|sample number|spot of every sample in the book. */
function takenDays(db: Database): Set<string> {
	const rows = db
		.prepare<[], { key: string }>(
			"SELECT field_id || '|' || ifnull(taken_on, '') || '|' || lab_number || '|' || ifnull(spot, 'whole') AS key FROM sample"
		)
		.all();
	return new Set(rows.map((row) => row.key));
}

function key(name: string): string {
	return name.trim().toLowerCase();
}
