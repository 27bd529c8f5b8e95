import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { endOf, type BookedApplication, type RecordedPass } from '../../../../core/season/applied/recorded-pass';
import type { Application, Pass } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { act, type Writer } from '../../book/act';
import { fromJson } from '../../from-json';

/** The entries on a pass (`p`), in the order in which they were written. */
const ENTRIES = `(SELECT json_group_array(json_object('id', a.id, 'content', json(a.content)) ORDER BY a.seq)
	FROM application a WHERE a.pass_id = p.id)`;

/** A pass of the book (`p`) as columns for `recordedPass`. */
export const RECORDED_PASS = `p.plan, p.done_on, ${ENTRIES} AS applications`;

export interface RecordedPassRow {
	plan: string;
	done_on: string | null;
	applications: string;
}

export function recordedPass({ plan, done_on, applications }: RecordedPassRow): RecordedPass {
	return {
		plan: fromJson<Pass>(plan),
		doneOn: done_on,
		applications: fromJson<BookedApplication[]>(applications)
	};
}

/** The passes of a year (`y`) in one column, for `passesOfYear`: for lists over many fields. */
export const PASSES_OF_YEAR = `(SELECT json_group_array(json_object('plan', json(p.plan), 'doneOn', p.done_on, 'applications', json(${ENTRIES})))
	FROM pass p WHERE p.field_year_id = y.id)`;

export const passesOfYear = (passes: string): RecordedPass[] => fromJson<RecordedPass[]>(passes);

/** Writes an entry on a pass, in an action of its own: what it says, and with it whether the pass is done with. */
export function addApplication(
	db: Database,
	fieldYear: { id: string; field_id: string },
	pass: RecordedPass,
	content: Application
): void {
	act(db, { label: labelOf(pass, content), fieldYear }, (writer) => writeApplication(writer, fieldYear, pass, content));
}

/** The same within another action. */
export function writeApplication(
	writer: Writer,
	fieldYear: { id: string },
	{ plan, applications }: RecordedPass,
	content: Application
): void {
	const id = randomUUID();
	writer.insert('application', {
		id,
		field_year_id: fieldYear.id,
		pass_id: plan.id,
		content: JSON.stringify(content)
	});
	writer.update('pass', plan.id, { done_on: endOf([...applications, { id, content }]) });
}

function labelOf({ plan }: RecordedPass, { applied, corrects }: Application): string {
	if (!applied) return `Recorded that an entry on ${plan.label} was wrong`;
	const what = `what was applied of ${plan.label} on ${longDate(applied.appliedOn)}`;
	return corrects === undefined ? `Recorded ${what}` : `Corrected ${what}`;
}
