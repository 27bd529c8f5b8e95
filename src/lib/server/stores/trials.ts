import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { PlotRecord, TrialPlan, TrialPlot, TrialRecord } from '../../../core/schema-types';
import { act, type Writer } from '../book/act';
import { fromJson } from '../from-json';

/** A trial as the book holds it. */
export interface BookTrial extends TrialRecord {
	id: string;
	fieldId: string;
	field: string;
	grower: string;
	year: number;
}

interface Row {
	id: string;
	field_id: string;
	field: string;
	grower: string;
	year: number;
	plan: string;
	plots: string;
	records: string;
}

const SELECT = `SELECT t.*, f.name AS field, g.name AS grower
	FROM trial t JOIN field f ON f.id = t.field_id JOIN grower g ON g.id = f.grower_id`;

/** Every trial of the book, the newest year first. */
export function listTrials(db: Database): BookTrial[] {
	return db.prepare<[], Row>(`${SELECT} ORDER BY t.year DESC, t.plan ->> '$.name' COLLATE NOCASE`).all().map(trialOf);
}

/** Those that lie on a field. */
export function trialsOnField(db: Database, fieldId: string): BookTrial[] {
	return db.prepare<[string], Row>(`${SELECT} WHERE t.field_id = ? ORDER BY t.year`).all(fieldId).map(trialOf);
}

export function findTrial(db: Database, id: string): BookTrial | undefined {
	const row = db.prepare<[string], Row>(`${SELECT} WHERE t.id = ?`).get(id);
	return row && trialOf(row);
}

function trialOf({ id, field_id, field, grower, year, plan, plots, records }: Row): BookTrial {
	return {
		id,
		fieldId: field_id,
		field,
		grower,
		year,
		plan: fromJson<TrialPlan>(plan),
		plots: fromJson<TrialPlot[]>(plots),
		records: fromJson<PlotRecord[]>(records)
	};
}

export function addTrial(db: Database, fieldId: string, year: number, record: TrialRecord): string {
	return act(db, { label: `Laid out the trial ${record.plan.name}`, fieldId }, (writer) =>
		writeTrial(writer, fieldId, year, record)
	);
}

export function writeTrial(
	writer: Writer,
	fieldId: string,
	year: number,
	{ plan, plots, records }: TrialRecord
): string {
	const id = randomUUID();
	writer.insert('trial', {
		id,
		field_id: fieldId,
		year,
		plan: JSON.stringify(plan),
		plots: JSON.stringify(plots),
		records: JSON.stringify(records)
	});
	return id;
}

export function setTrialPlan(
	db: Database,
	{ id, fieldId }: BookTrial,
	plan: TrialPlan,
	plots: readonly TrialPlot[]
): void {
	act(db, { label: `Changed the trial ${plan.name}`, fieldId }, (writer) =>
		writer.update('trial', id, { plan: JSON.stringify(plan), plots: JSON.stringify(plots) })
	);
}

export function setPlotRecords(
	db: Database,
	{ id, fieldId, plan }: BookTrial,
	records: readonly PlotRecord[],
	label = `Recorded plots of ${plan.name}`
): void {
	act(db, { label, fieldId }, (writer) => writer.update('trial', id, { records: JSON.stringify(records) }));
}

export function removeTrial(db: Database, { id, fieldId, plan }: BookTrial): void {
	act(db, { label: `Deleted the trial ${plan.name}`, fieldId }, (writer) => writer.remove('trial', id));
}
