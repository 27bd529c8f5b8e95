import { randomUUID } from 'node:crypto';
import { setImmediate as turn } from 'node:timers/promises';
import type { Database } from 'better-sqlite3';
import type { WorkAction, WorkRow, WorkRun } from '../../../../core/schema-types';
import { act } from '../../book/act';
import { ActionError } from '../../book/action-error';
import type { Desk } from '../../desk';
import type { FieldRow } from '../../stores/fields';
import { newestEvent } from '../../stores/events';
import type { Planned } from './planned';
import { workPlan, type WorkPlan } from './plan-work';
import { WorkGround } from './work-ground';

/** A piece of work on many fields, worked out in the background; nothing is written before it is saved. */
interface Run extends WorkRun {
	plans: Planned[];
	book: Database;
	/** The newest change of the book when it began: what was worked out stands on it. */
	since: number;
}

/** Runs that were neither saved nor cancelled are forgotten when so many newer ones were begun. */
const MOST_KEPT = 8;
/** Other requests are answered after so many fields. */
const AT_ONCE = 4;

const runs = new Map<string, Run>();

/**
 * Begins a piece of work.
 * @returns its id
 * @throws InputError where the work names what is not known
 */
export function beginWork(desk: Desk, { year, fields, work }: WorkAction): string {
	const ground = new WorkGround(desk, year);
	const rows = fields.flatMap((id) => ground.field(id) ?? []);
	const { label, planFor } = workPlan(ground, work, rows);
	const run: Run = {
		state: 'working',
		done: 0,
		of: rows.length,
		label,
		rows: [],
		plans: [],
		book: desk.book,
		since: newestEvent(desk.book)
	};
	const id = randomUUID();
	runs.set(id, run);
	for (const old of [...runs.keys()].slice(0, -MOST_KEPT)) runs.delete(old);
	void workOut(run, rows, planFor);
	return id;
}

async function workOut(run: Run, fields: readonly FieldRow[], planFor: WorkPlan['planFor']): Promise<void> {
	const rows: WorkRow[] = [];
	for (const field of fields) {
		if (run.done % AT_ONCE === 0) await turn();
		if (run.state !== 'working') return;
		const { changes, notes, cannot, write } = planned(() => planFor(field));
		run.plans.push({ changes, notes, write });
		rows.push({
			field: field.id,
			name: field.name,
			grower: field.grower,
			changes,
			notes,
			...(cannot ? { cannot } : {})
		});
		run.done++;
	}
	run.rows = rows;
	run.state = 'ready';
}

/** A field on which the book itself refuses is one that cannot, not the end of the others. */
function planned(plan: () => Planned): Planned {
	try {
		return plan();
	} catch (error) {
		const known = error instanceof ActionError;
		const why = known ? error.message : 'something on this field could not be worked out; its own pages say more';
		return { changes: [], notes: [], cannot: why };
	}
}

/** How far a piece of work is, and when it is ready what becomes of each field; undefined where there is none of this id. */
export function findWork(id: string): WorkRun | undefined {
	const run = runs.get(id);
	if (!run) return undefined;
	const { state, done, of, label, rows } = run;
	return { state, done, of, label, rows };
}

/** Leaves off; nothing was written. */
export function cancelWork(id: string): void {
	const run = runs.get(id);
	if (run?.state === 'working' || run?.state === 'ready') run.state = 'cancelled';
}

/**
 * Saves a piece of work that is ready as one action.
 * @returns how many fields were changed
 * @throws ActionError where it is not ready, or the book was changed since it was worked out
 */
export function saveWork(id: string): number {
	const run = runs.get(id)!;
	if (run.state !== 'ready') throw new ActionError(NOT_READY[run.state]);
	if (newestEvent(run.book) !== run.since) {
		throw new ActionError('The book was changed after this was worked out, so nothing was saved. Preview it again.');
	}
	const writes = run.plans.flatMap(({ changes, write }) => (changes.length > 0 && write ? [write] : []));
	if (writes.length === 0) throw new ActionError('Nothing would change, so nothing was saved.');
	const label = `${run.label} on ${writes.length} ${writes.length === 1 ? 'field' : 'fields'}`;
	act(run.book, { label }, (writer) => writes.forEach((write) => write(writer)));
	run.state = 'saved';
	run.plans = [];
	return writes.length;
}

const NOT_READY = {
	working: 'This is still being worked out.',
	cancelled: 'This was cancelled; preview it again.',
	saved: 'This was saved already.'
} as const;
