import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { LabMapping } from '../../../../core/schema-types';
import { act, type Writer } from '../../book/act';
import { ActionError } from '../../book/action-error';
import { findField, writeNewField } from '../../stores/fields';
import type { LabImport } from '../../stores/lab-imports';
import type { NamedCrop } from '../../../../core/ground/lab-file/leaf-row';
import { previewImport, type PreviewRow } from './preview';
import { writeSamples } from './write-samples';

/**
 * Puts a lab file into the book as one action: samples or leaf tests, new fields, the lab's layout, and what became of each line.
 * @throws ActionError while any row is undecided; nothing is written then
 */
export function commitImport(
	db: Database,
	{ id, fileName, grid, draft, committedAt }: LabImport,
	crops: readonly NamedCrop[]
): void {
	if (committedAt !== null) throw new ActionError(`${fileName} is already in the book.`);
	act(db, { label: `Imported ${fileName}` }, (writer) => {
		const { rows, mappingProblems } = previewImport(db, grid, draft, crops);
		if (mappingProblems.length > 0) throw new ActionError(mappingProblems.join(' '));
		const undecided = rows.filter(({ status }) => status === 'undecided');
		if (undecided.length > 0) {
			throw new ActionError(`Line ${undecided[0]!.line} still needs a decision; nothing was imported.`);
		}
		if (!rows.some(({ status }) => status === 'imported'))
			throw new ActionError('Every row is left out: there is nothing to import.');
		const fieldOf = fieldWriter(db, writer);
		const written = draft.mapping.leaf
			? writeLeafTests(writer, draft.lab.trim(), rows, fieldOf)
			: writeSamples(db, writer, draft.lab.trim(), rows, fieldOf);
		writeFieldFacts(db, writer, rows, fieldOf);
		for (const row of rows) {
			const imported = row.status === 'imported';
			writer.insert('lab_import_row', {
				id: `${id}:${row.line}`,
				import_id: id,
				line: row.line,
				outcome: imported ? 'imported' : 'left out',
				reason: imported ? '' : outReason(row),
				sample_id: null,
				leaf_id: null,
				...(imported ? { [draft.mapping.leaf ? 'leaf_id' : 'sample_id']: written.get(row.line)! } : {})
			});
		}
		rememberMapping(db, writer, draft.lab.trim(), draft.mapping);
		writer.update('lab_import', id, { committed_at: new Date().toISOString() });
	});
}

type FieldOf = (target: NonNullable<PreviewRow['target']>) => string;

/** The field a row goes to; a new one is written once, however many rows are of it. */
function fieldWriter(db: Database, writer: Writer): FieldOf {
	const newFields = new Map<string, string>();
	return ({ fieldId, name, grower }) => {
		if (fieldId !== 'new') return fieldId;
		const newKey = `${grower}|${name}`.toLowerCase();
		const id = newFields.get(newKey) ?? writeNewField(db, writer, { name, grower, areaAcres: undefined });
		newFields.set(newKey, id);
		return id;
	};
}

/** Area and texture from the file, where the field has none yet: what the adviser said stays. */
function writeFieldFacts(db: Database, writer: Writer, rows: readonly PreviewRow[], fieldOf: FieldOf): void {
	const done = new Set<string>();
	for (const { status, target, facts } of rows) {
		if (status !== 'imported' || !target || (facts.areaAc === undefined && facts.texture === undefined)) continue;
		const id = fieldOf(target);
		const field = findField(db, id);
		if (!field || done.has(id)) continue;
		done.add(id);
		const missing = {
			...(field.area_ac === null && facts.areaAc !== undefined ? { area_ac: facts.areaAc } : {}),
			...(field.texture === null && facts.texture !== undefined ? { texture: facts.texture } : {})
		};
		if (Object.keys(missing).length > 0) writer.update('field', id, missing);
	}
}

/** Writes a leaf test per row. */
function writeLeafTests(
	writer: Writer,
	lab: string,
	rows: readonly PreviewRow[],
	fieldOf: FieldOf
): Map<number, string> {
	const ids = new Map<number, string>();
	for (const { status, leaf, target, line } of rows) {
		if (status !== 'imported' || !leaf || !target) continue;
		const id = randomUUID();
		writer.insert('leaf_test', { id, field_id: fieldOf(target), content: JSON.stringify({ ...leaf, lab }) });
		ids.set(line, id);
	}
	return ids;
}

function rememberMapping(db: Database, writer: Writer, lab: string, mapping: LabMapping): void {
	const known = db
		.prepare<[string, string], { id: string }>('SELECT id FROM lab_mapping WHERE lab = ? COLLATE NOCASE AND kind = ?')
		.get(lab, mapping.leaf ? 'leaf' : 'soil');
	const row = { mapping: JSON.stringify(mapping) };
	if (known) writer.update('lab_mapping', known.id, row);
	else writer.insert('lab_mapping', { id: randomUUID(), lab, ...row });
}

function outReason({ blank, problems }: PreviewRow): string {
	if (blank) return 'blank line';
	return problems.length > 0 ? problems.map(({ message }) => message).join('; ') : 'the adviser left it out';
}
