import type { Database } from 'better-sqlite3';
import type { NamedCrop } from '../../../../core/ground/lab-file/leaf-row';
import { mappingProblems } from '../../../../core/ground/lab-file/mapping-problems';
import { leafKey, readLabRows, type LabRow } from '../../../../core/ground/lab-file/read-lab-rows';
import type { LabDraft, LeafLogEntry, Sample } from '../../../../core/schema-types';
import { fromJson } from '../../from-json';
import { isTakenWhole, listFields } from '../../stores/fields';
import { labelledBags } from '../../stores/sampling/bags';
import type { LabGrid } from './read-file';

/** One line of the file as it will be read, and where it will go. */
export interface PreviewRow extends LabRow {
	cells: string[];
	/** imported: will be; left out: the adviser said so, or a blank line; undecided: bad, waits for the adviser. */
	status: 'imported' | 'left out' | 'undecided';
	/** The sample of the book that this row is a re-issue of, with the sheets that stand on it; undefined where there is none. */
	inBook: { sampleId: string; sheets: readonly number[] } | undefined;
	/** Whether the adviser lets it take the place of that sample. */
	replaces: boolean;
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
	const leaves = draft.mapping.leaf ? bookedLeaves(db) : undefined;
	const samples = draft.mapping.leaf ? undefined : bookedSamples(db);
	const replacing = new Set(draft.replaces);
	const leftOut = new Set(draft.leftOut);
	const rows = readLabRows(cells, draft.mapping, grid.firstLine, crops, labelledBags(db)).map(
		(row, index): PreviewRow => {
			const target = row.field === '' ? undefined : targetOf(row, draft, byName.get(key(row.field)) ?? [], fields);
			const problems = [...row.problems];
			const readable = row.layer !== undefined || row.leaf !== undefined;
			if (readable && typeof target === 'string') problems.push({ column: -1, message: target });
			const at = typeof target === 'object' ? `${target.fieldId}|${bookKey(row)}` : '';
			const known = readable ? samples?.get(at) : undefined;
			const whole = known !== undefined && isTakenWhole(fromJson<Sample>(known.report));
			const replaces = whole && replacing.has(row.line);
			if (readable && typeof target === 'object' && !replaces && (known || leaves?.has(at))) {
				const what = row.leaf ? 'leaf test' : 'sample';
				problems.push({ column: -1, message: `${target.name} already has this ${what} in the book` });
			}
			const out = row.blank || leftOut.has(row.line);
			return {
				...row,
				problems,
				cells: cells[index]!,
				inBook: whole ? { sampleId: known.id, sheets: sheetsOn(db, known) } : undefined,
				replaces,
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

interface BookedSample {
	id: string;
	fieldId: string;
	takenOn: string | null;
	/** As JSON: most are never looked into. */
	report: string;
}

/** Every sample in the book by field|day|sample number|spot. */
function bookedSamples(db: Database): Map<string, BookedSample> {
	const rows = db
		.prepare<[], BookedSample & { key: string }>(
			`SELECT field_id || '|' || ifnull(taken_on, '') || '|' || lab_number || '|' || ifnull(spot, 'whole') AS key,
				id, field_id AS fieldId, taken_on AS takenOn, report FROM sample`
		)
		.all();
	return new Map(rows.map(({ key, ...sample }) => [key, sample]));
}

/** Numbers of the issued sheets that were made from a sample. */
function sheetsOn(db: Database, { fieldId, takenOn }: BookedSample): number[] {
	return db
		.prepare<[string, string | null], { number: number }>(
			`SELECT s.number FROM sheet s JOIN field_year y ON y.id = s.field_year_id
			WHERE y.field_id = ? AND s.content ->> '$.request.sample.date' IS ? ORDER BY s.number`
		)
		.all(fieldId, takenOn)
		.map(({ number }) => number);
}

function key(name: string): string {
	return name.trim().toLowerCase();
}
