import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { Layer } from '../../../../core/schema-types';
import { act, type Writer } from '../../book/act';
import { ActionError } from '../../book/action-error';
import { writeNewField } from '../../stores/fields';
import type { LabImport } from '../../stores/lab-imports';
import { previewImport, type PreviewRow } from './preview';

/**
 * Puts a lab file into the book as one action: samples, new fields, the lab's layout, and what became of each line.
 * @throws ActionError while any row is undecided; nothing is written then
 */
export function commitImport(db: Database, { id, fileName, grid, draft, committedAt }: LabImport): void {
	if (committedAt !== null) throw new ActionError(`${fileName} is already in the book.`);
	act(db, { label: `Imported ${fileName}` }, (writer) => {
		const { rows, mappingProblems } = previewImport(db, grid, draft);
		if (mappingProblems.length > 0) throw new ActionError(mappingProblems.join(' '));
		const undecided = rows.filter(({ status }) => status === 'undecided');
		if (undecided.length > 0) {
			throw new ActionError(`Line ${undecided[0]!.line} still needs a decision; nothing was imported.`);
		}
		if (!rows.some(({ status }) => status === 'imported'))
			throw new ActionError('Every row is left out: there is nothing to import.');
		const sampleIds = writeSamples(db, writer, draft.lab.trim(), rows);
		for (const row of rows) {
			const imported = row.status === 'imported';
			writer.insert('lab_import_row', {
				id: `${id}:${row.line}`,
				import_id: id,
				line: row.line,
				outcome: imported ? 'imported' : 'left out',
				reason: imported ? '' : outReason(row),
				sample_id: imported ? sampleIds.get(row.line)! : null
			});
		}
		rememberMapping(db, writer, draft.lab.trim(), JSON.stringify(draft.mapping));
		writer.update('lab_import', id, { committed_at: new Date().toISOString() });
	});
}

/** Writes one sample per field, day and number, with a layer per row. */
function writeSamples(db: Database, writer: Writer, lab: string, rows: readonly PreviewRow[]): Map<number, string> {
	const samples = new Map<string, { fieldId: string; row: PreviewRow; layers: Layer[]; lines: number[] }>();
	const newFields = new Map<string, string>();
	for (const row of rows) {
		if (row.status !== 'imported' || !row.layer || !row.target) continue;
		const { name, grower } = row.target;
		let fieldId = row.target.fieldId;
		if (fieldId === 'new') {
			const newKey = `${grower}|${name}`.toLowerCase();
			fieldId = newFields.get(newKey) ?? writeNewField(db, writer, { name, grower, areaAcres: undefined });
			newFields.set(newKey, fieldId);
		}
		const sampleKey = `${fieldId}|${row.date ?? ''}|${row.sampleNumber}`;
		const sample = samples.get(sampleKey) ?? { fieldId, row, layers: [], lines: [] };
		sample.layers.push(row.layer);
		sample.lines.push(row.line);
		samples.set(sampleKey, sample);
	}
	const ids = new Map<number, string>();
	for (const { fieldId, row, layers, lines } of samples.values()) {
		const id = randomUUID();
		const report = JSON.stringify({ ...(row.date ? { date: row.date } : {}), layers });
		writer.insert('sample', { id, field_id: fieldId, lab, lab_number: row.sampleNumber, report });
		for (const line of lines) ids.set(line, id);
	}
	return ids;
}

function rememberMapping(db: Database, writer: Writer, lab: string, mapping: string): void {
	const known = db
		.prepare<[string], { id: string }>('SELECT id FROM lab_mapping WHERE lab = ? COLLATE NOCASE')
		.get(lab);
	if (known) writer.update('lab_mapping', known.id, { mapping });
	else writer.insert('lab_mapping', { id: randomUUID(), lab, mapping });
}

function outReason({ blank, problems }: PreviewRow): string {
	if (blank) return 'blank line';
	return problems.length > 0 ? problems.map(({ message }) => message).join('; ') : 'the adviser left it out';
}
