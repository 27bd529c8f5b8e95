import { fromJson } from '../from-json';
import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { validator } from '../../../core/check/validator';
import { applyMapping, guessMapping } from '../../../core/ground/lab-file/guess-mapping';
import type { LabDraft, LabMapping } from '../../../core/schema-types';
import type { LabGrid } from '../files/lab-file/read-file';

export interface LabImport {
	id: string;
	fileName: string;
	uploadedAt: string;
	grid: LabGrid;
	draft: LabDraft;
	committedAt: string | null;
}

const asDraft = validator<LabDraft>('lab-draft');

/** Keeps an uploaded file as a draft. Nothing of it is in the book until it is committed. */
export function startImport(db: Database, fileName: string, grid: LabGrid): string {
	const id = randomUUID();
	const remembered = rememberedFor(db, grid.headers);
	const draft: LabDraft = {
		lab: remembered?.lab ?? '',
		grower: '',
		mapping: remembered ? applyMapping(grid.headers, remembered.mapping) : guessMapping(grid.headers, grid.rows),
		corrections: {},
		leftOut: [],
		targets: {}
	};
	db.prepare('INSERT INTO lab_import (id, file_name, uploaded_at, grid, lab, draft) VALUES (?, ?, ?, ?, ?, ?)').run(
		id,
		fileName,
		new Date().toISOString(),
		JSON.stringify(grid),
		draft.lab,
		JSON.stringify(draft)
	);
	return id;
}

interface ImportRow {
	id: string;
	file_name: string;
	uploaded_at: string;
	grid: string;
	draft: string;
	committed_at: string | null;
}

export function findImport(db: Database, id: string): LabImport | undefined {
	const row = db.prepare<[string], ImportRow>('SELECT * FROM lab_import WHERE id = ?').get(id);
	return (
		row && {
			id: row.id,
			fileName: row.file_name,
			uploadedAt: row.uploaded_at,
			grid: fromJson<LabGrid>(row.grid),
			draft: fromJson<LabDraft>(row.draft),
			committedAt: row.committed_at
		}
	);
}

/** Imports the newest first, without their cells. */
export function listImports(
	db: Database
): { id: string; fileName: string; lab: string; uploadedAt: string; committedAt: string | null }[] {
	return db
		.prepare<[], { id: string; fileName: string; lab: string; uploadedAt: string; committedAt: string | null }>(
			'SELECT id, file_name AS fileName, lab, uploaded_at AS uploadedAt, committed_at AS committedAt FROM lab_import ORDER BY uploaded_at DESC LIMIT 50'
		)
		.all();
}

/**
 * Keeps what the adviser decided so far.
 * @throws InputError for a draft that does not fit the schema
 */
export function saveDraft(db: Database, id: string, draft: unknown): void {
	const checked = asDraft(draft);
	db.prepare('UPDATE lab_import SET draft = ?, lab = ? WHERE id = ? AND committed_at IS NULL').run(
		JSON.stringify(checked),
		checked.lab,
		id
	);
}

/** Throws a draft away; a committed import stays. */
export function discardImport(db: Database, id: string): void {
	db.prepare('DELETE FROM lab_import WHERE id = ? AND committed_at IS NULL').run(id);
}

/** How each known lab lays out its files. */
export function listLabs(db: Database): { lab: string; mapping: LabMapping }[] {
	return db
		.prepare<[], { lab: string; mapping: string }>('SELECT lab, mapping FROM lab_mapping ORDER BY lab')
		.all()
		.map(({ lab, mapping }) => ({ lab, mapping: fromJson<LabMapping>(mapping) }));
}

/** The lab whose last file had this very header line. */
function rememberedFor(db: Database, headers: readonly string[]): { lab: string; mapping: LabMapping } | undefined {
	const wanted = JSON.stringify(headers);
	return listLabs(db).find(({ mapping }) => JSON.stringify(mapping.columns.map(({ header }) => header)) === wanted);
}

/** What became of each line of a committed file. */
export function listOutcomes(
	db: Database,
	importId: string
): { line: number; outcome: 'imported' | 'left out'; reason: string; fieldId: string | null; field: string | null }[] {
	return db
		.prepare<
			[string],
			{ line: number; outcome: 'imported' | 'left out'; reason: string; fieldId: string | null; field: string | null }
		>(
			`SELECT r.line, r.outcome, r.reason, f.id AS fieldId, f.name AS field
			FROM lab_import_row r LEFT JOIN sample s ON s.id = r.sample_id LEFT JOIN leaf_test l ON l.id = r.leaf_id
			LEFT JOIN field f ON f.id = coalesce(s.field_id, l.field_id)
			WHERE r.import_id = ? ORDER BY r.line`
		)
		.all(importId);
}
