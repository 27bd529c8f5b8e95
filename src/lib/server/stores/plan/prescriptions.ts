import { fromJson } from '../../from-json';
import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { AsApplied, Prescription } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { loggedApplication } from '../../../../core/zones/prescription/logged-application';
import { act } from '../../book/act';
import { ActionError } from '../../book/action-error';
import { listPasses } from '../field-years';
import { writeApplication } from './applications';

/** A prescription that was handed out, with what came back of it. */
export interface PrescriptionRecord {
	id: string;
	fieldId: string;
	fieldYearId: string;
	madeAt: string;
	content: Prescription;
	applied: { id: string; content: AsApplied }[];
}

interface Row {
	id: string;
	field_id: string;
	field_year_id: string;
	made_at: string;
	content: string;
}

const SELECT = `SELECT p.id, y.field_id, p.field_year_id, p.made_at, p.content
	FROM prescription p JOIN field_year y ON y.id = p.field_year_id`;

/** Prescriptions of a field-year, the newest first. */
export function listPrescriptions(db: Database, fieldYearId: string): PrescriptionRecord[] {
	return db
		.prepare<[string], Row>(`${SELECT} WHERE p.field_year_id = ? ORDER BY p.seq DESC`)
		.all(fieldYearId)
		.map((row) => recordOf(db, row));
}

/** The newest prescription of each pass of a field-year, by the pass; one that was made for another rate, unit or product is void. */
export function newestPrescriptions(db: Database, fieldYearId: string): Map<string, Prescription> {
	const rows = db
		.prepare<[string], { pass: string; content: string }>(
			`SELECT a.id AS pass, p.content FROM prescription p JOIN pass a ON a.id = p.content ->> '$.pass'
			WHERE p.field_year_id = ? AND a.unit = p.content ->> '$.unit'
				AND a.product = p.content ->> '$.product.id' AND a.rate = p.content ->> '$.flat'
			ORDER BY p.seq`
		)
		.all(fieldYearId);
	return new Map(rows.map(({ pass, content }) => [pass, fromJson<Prescription>(content)]));
}

export function findPrescription(db: Database, id: string): PrescriptionRecord | undefined {
	const row = db.prepare<[string], Row>(`${SELECT} WHERE p.id = ?`).get(id);
	return row && recordOf(db, row);
}

function recordOf(db: Database, { id, field_id, field_year_id, made_at, content }: Row): PrescriptionRecord {
	const applied = db
		.prepare<[string], { id: string; content: string }>(
			'SELECT id, content FROM as_applied WHERE prescription_id = ? ORDER BY seq'
		)
		.all(id);
	return {
		id,
		fieldId: field_id,
		fieldYearId: field_year_id,
		madeAt: made_at,
		content: fromJson<Prescription>(content),
		applied: applied.map((one) => ({ id: one.id, content: fromJson<AsApplied>(one.content) }))
	};
}

export function addPrescription(db: Database, fieldId: string, fieldYearId: string, content: Prescription): string {
	const id = randomUUID();
	act(db, { label: `Made the prescription ${content.name}`, fieldId }, (writer) =>
		writer.insert('prescription', {
			id,
			field_year_id: fieldYearId,
			made_at: new Date().toISOString(),
			content: JSON.stringify(content)
		})
	);
	return id;
}

/**
 * Books what a monitor logged, and with it an entry on the pass that it was for, which is done with it.
 * @throws ActionError where the same log is in the book already
 */
export function addAsApplied(
	db: Database,
	{ id, fieldId, fieldYearId, content, applied: before }: PrescriptionRecord,
	applied: AsApplied
): void {
	const text = JSON.stringify(applied);
	if (before.some((log) => JSON.stringify(log.content) === text)) {
		throw new ActionError(`This log of ${longDate(applied.appliedOn)} is in the book already.`);
	}
	act(db, { label: `Recorded what went on by ${content.name}`, fieldId }, (writer) => {
		writer.insert('as_applied', { id: randomUUID(), prescription_id: id, content: text });
		const pass = listPasses(db, fieldYearId).find(({ plan }) => plan.id === content.pass);
		const entry = loggedApplication(applied, content);
		if (pass && entry) {
			writeApplication(writer, { id: fieldYearId }, pass, { ...entry, recordedAt: new Date().toISOString() });
		}
	});
}
