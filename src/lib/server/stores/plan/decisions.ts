import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { Decision, DecisionPlan, KeptPlan, Pass } from '../../../../core/schema-types';
import { act } from '../../book/act';
import { fromJson } from '../../from-json';
import { listPasses, type FieldYearRow } from '../field-years';
import { planText, writeSeason } from './write-season';

/** A plan that was kept beside the one in use. */
export interface KeptPlanRecord extends KeptPlan {
	id: string;
}

/** What the plan of a year decides later, by the day of the look. */
export function listDecisions(db: Database, fieldYearId: string): Decision[] {
	return db
		.prepare<[string], { id: string; content: string }>(
			"SELECT id, content FROM decision WHERE field_year_id = ? ORDER BY content ->> '$.plan.on', seq"
		)
		.all(fieldYearId)
		.map(({ id, content }) => ({ ...fromJson<Omit<Decision, 'id'>>(content), id }));
}

export function addDecision(db: Database, fieldYear: FieldYearRow, plan: DecisionPlan): string {
	const id = randomUUID();
	act(db, { label: `Planned the decision ${plan.name}`, fieldYear }, (writer) =>
		writer.insert('decision', { id, field_year_id: fieldYear.id, content: JSON.stringify({ plan }) })
	);
	return id;
}

/** Puts the pass of a decision into the plan, and keeps that it was decided. */
export function takeDecision(db: Database, fieldYear: FieldYearRow, { id, plan }: Decision, today: string): void {
	const pass = { ...plan.pass, id: randomUUID() };
	act(db, { label: `Added ${pass.label} by the decision ${plan.name}`, fieldYear }, (writer) => {
		writer.insert('pass', { id: pass.id, field_year_id: fieldYear.id, done_on: null, plan: planText(pass) });
		writer.update('decision', id, { content: JSON.stringify({ plan, madeOn: today }) });
	});
}

export function removeDecision(db: Database, fieldYear: FieldYearRow, { id, plan }: Decision): void {
	act(db, { label: `Deleted the decision ${plan.name}`, fieldYear }, (writer) => writer.remove('decision', id));
}

/** Plans that were kept in a year, in the order in which they were. */
export function listKeptPlans(db: Database, fieldYearId: string): KeptPlanRecord[] {
	return db
		.prepare<[string], { id: string; content: string }>(
			'SELECT id, content FROM kept_plan WHERE field_year_id = ? ORDER BY seq'
		)
		.all(fieldYearId)
		.map(({ id, content }) => ({ ...fromJson<KeptPlan>(content), id }));
}

/** Keeps the plan as it stands, with what it decides later, under a name; one of the same name is replaced. */
export function keepPlan(db: Database, fieldYear: FieldYearRow, name: string): string {
	const known = listKeptPlans(db, fieldYear.id).find((one) => one.name === name);
	const id = known?.id ?? randomUUID();
	const kept: KeptPlan = {
		name,
		passes: listPasses(db, fieldYear.id).map(({ plan }) => plan),
		decisions: listDecisions(db, fieldYear.id).flatMap(({ plan, madeOn }) => (madeOn === undefined ? [plan] : []))
	};
	act(db, { label: `Saved the plan as ${name}`, fieldYear }, (writer) =>
		writer.put('kept_plan', { id, field_year_id: fieldYear.id, content: JSON.stringify(kept) })
	);
	return id;
}

/**
 * Puts a kept plan in place of the one in use: what was applied stays, all else becomes as it was kept. A decision that was made stays made
 * where its pass was applied, and waits again where it was not.
 */
export function takeKeptPlan(db: Database, fieldYear: FieldYearRow, { name, passes, decisions }: KeptPlanRecord): void {
	const standing = listPasses(db, fieldYear.id);
	const applied = standing.filter(({ doneOn }) => doneOn !== null);
	const isApplied = ({ date, label }: Pass) => applied.some(({ plan }) => plan.date === date && plan.label === label);
	const appliedIds = new Set(applied.map(({ plan }) => plan.id));
	const removed = standing.flatMap(({ plan }) => (appliedIds.has(plan.id) ? [] : [plan.id]));
	const added = passes.filter(({ id }) => !appliedIds.has(id));
	const known = listDecisions(db, fieldYear.id);
	const made = known.filter(({ plan, madeOn }) => madeOn !== undefined && isApplied(plan.pass));
	const isMade = (one: DecisionPlan) => made.some(({ plan }) => plan.name === one.name && plan.on === one.on);
	act(db, { label: `Put the saved plan ${name} into use`, fieldYear }, (writer) => {
		writeSeason(writer, fieldYear, standing, { choices: [], removed, added });
		for (const one of known) if (!made.includes(one)) writer.remove('decision', one.id);
		for (const plan of decisions) {
			if (isMade(plan)) continue;
			writer.insert('decision', { id: randomUUID(), field_year_id: fieldYear.id, content: JSON.stringify({ plan }) });
		}
	});
}

export function removeKeptPlan(db: Database, fieldYear: FieldYearRow, { id, name }: KeptPlanRecord): void {
	act(db, { label: `Deleted the saved plan ${name}`, fieldYear }, (writer) => writer.remove('kept_plan', id));
}
