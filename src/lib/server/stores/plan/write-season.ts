import { randomUUID } from 'node:crypto';
import type { Choice } from '../../../../core/rates/choose';
import type { Pass } from '../../../../core/schema-types';
import { standingApplications, type RecordedPass } from '../../../../core/season/applied/recorded-pass';
import { wholePass } from '../../../../core/season/applied/what-happened';
import { longDate } from '../../../../core/units/day-text';
import type { Writer } from '../../book/act';
import { ActionError } from '../../book/action-error';

/** What a season is changed to: rates settled, passes that go by their ids, passes that come. */
export interface SeasonChange {
	choices: readonly Choice[];
	removed: readonly string[];
	added: readonly Pass[];
}

/** A year of a field by its id. */
interface YearId {
	id: string;
}

export function writeChoices(writer: Writer, { id }: YearId, choices: readonly Choice[]): void {
	for (const { nutrient, method, ownRate, reason, bothYears, seen } of choices) {
		writer.put('choice', {
			id: `${id}:${nutrient}`,
			field_year_id: id,
			nutrient,
			method: method ?? null,
			own_rate: ownRate ?? null,
			reason: reason ?? null,
			both_years: bothYears ? 1 : 0,
			seen: seen ?? null
		});
	}
}

/**
 * Settles rates and replaces passes. Passes without a row of their own get one.
 * @param before the passes of the year as they stand
 * A pass that goes after part of it was applied is done with: its rest is not applied any more.
 * @throws ActionError where a pass that goes was applied
 */
export function writeSeason(
	writer: Writer,
	fieldYear: YearId,
	before: readonly RecordedPass[],
	{ choices, removed, added }: SeasonChange
): void {
	writeChoices(writer, fieldYear, choices);
	const kept = new Set(added.map(({ id }) => id).filter((id) => removed.includes(id)));
	for (const id of removed) {
		const booked = before.find(({ plan }) => plan.id === id);
		if (booked?.doneOn) throw new ActionError(appliedText(booked));
		if (kept.has(id)) continue;
		const entries = booked?.applications ?? [];
		const last = standingApplications(entries).at(-1);
		if (last) {
			writer.update('pass', id, { done_on: last.content.applied.appliedOn });
			continue;
		}
		// Where every entry was taken back nothing was applied.
		for (const entry of entries) writer.remove('application', entry.id);
		writer.remove('pass', id);
	}
	for (const pass of added) {
		const id = kept.has(pass.id) ? pass.id : randomUUID();
		const plan = planText({ ...pass, id });
		if (kept.has(id)) writer.update('pass', id, { plan });
		else writer.insert('pass', { id, field_year_id: fieldYear.id, done_on: null, plan });
	}
}

/** A pass as the book keeps it: for the whole field, whatever part of it is left. */
export const planText = (pass: Pass): string => JSON.stringify(wholePass(pass));

/** What is on the field stays in the book as it was until somebody takes back that it was applied. */
function appliedText({ plan, doneOn }: RecordedPass): string {
	return `${plan.label} was applied on ${longDate(doneOn!)}: take that back first, then change or remove it.`;
}
