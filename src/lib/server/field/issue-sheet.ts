import { createHash } from 'node:crypto';
import type { IssuedSheets, SheetContent } from '../../../core/schema-types';
import { adviceText, sameAdvice } from '../../../core/sheet/same-advice';
import { objections } from '../../../core/sheet/objections';
import { sheetDifferences } from '../../../core/sheet/sheet-differences';
import { ActionError } from '../book/action-error';
import { draftSheet } from './draft-sheet';
import type { FieldYear } from './field-year';
import { leafFindings } from './leaf-readings';
import type { Desk } from '../desk';
import { listDecisions } from '../stores/plan/decisions';
import { newestPrescriptions } from '../stores/plan/prescriptions';
import { issueSheet, listSheets, type Sheet } from '../stores/sheets';

/** A short mark of what a draft advises, by which a page says which draft it shows. */
export function draftMark(content: SheetContent): string {
	return createHash('sha256').update(adviceText(content)).digest('hex').slice(0, 16);
}

/** The sheet of a field-year as it would be issued now; undefined while nothing follows from it. */
export function draftNow({ book, library, settings }: Desk, fieldYear: FieldYear): SheetContent | undefined {
	const { field, advice, year } = fieldYear;
	if (!advice) return undefined;
	const prescriptions = newestPrescriptions(book, advice.goal.id);
	const leafTests = leafFindings(book, library, field, year);
	const decisions = listDecisions(book, advice.goal.id);
	return draftSheet(fieldYear, advice, settings, prescriptions, { leafTests, decisions });
}

/** Whether the newest sheet of a field-year says something else than would be issued now. */
export function isOutOfDate(desk: Desk, fieldYear: FieldYear, newest: Sheet | undefined): boolean {
	const draft = newest && draftNow(desk, fieldYear);
	return draft !== undefined && !sameAdvice(newest!.content, draft);
}

/** What the draft of a sheet is issued over with a reason only. */
export function objectionsOf({ today }: Desk, { advice }: FieldYear, draft: SheetContent): string[] {
	const done = new Set(advice?.passes.filter(({ doneOn }) => doneOn !== null).map(({ plan }) => plan.id));
	return objections(draft, today, done);
}

/** A sheet is not issued over a stop without a reason. */
class UnansweredStop extends ActionError {
	constructor(stop: string) {
		super(`Say why it is issued all the same: ${stop}`);
	}
}

/**
 * Issues the sheet of a field-year as it stands now, with what changed since the last one; where the last one says the same, that
 * one is given back and nothing is issued twice.
 * @param seen the mark of the draft that was looked at; undefined where none was
 * @throws ActionError while there is nothing to issue, nobody who prepares it, or where the draft says something else by now
 */
export function issueNow(
	desk: Desk,
	fieldYear: FieldYear,
	seen?: string,
	/** Why each stop is passed, by its words; of many fields one reason for all. */
	reasonOf: (stop: string) => string | undefined = () => undefined
): Sheet & { again: boolean } {
	const { book, settings } = desk;
	const { field, advice } = fieldYear;
	if (settings.preparedBy === '')
		throw new ActionError('Say who prepares this sheet; a sheet without a name is not issued.');
	if (!advice) throw new ActionError(`${field.name} has no sample, crop and goal for this year yet.`);
	if (advice.passes.length === 0) throw new ActionError('The plan has no passes yet; there is nothing to issue.');
	const draft = draftNow(desk, fieldYear)!;
	if (seen !== undefined && seen !== draftMark(draft)) {
		throw new ActionError(
			'The field was changed after this draft was shown, so nothing was issued. The draft below shows it as it is now: look at it, then issue it.'
		);
	}
	const [last] = listSheets(book, advice.goal.id);
	if (last && sameAdvice(last.content, draft) && last.content.preparedBy === draft.preparedBy) {
		return { ...last, again: true };
	}
	const accepted = objectionsOf(desk, fieldYear, draft).map((stop) => {
		const reason = reasonOf(stop);
		if (reason === undefined) throw new UnansweredStop(stop);
		return { stop, reason };
	});
	const content = accepted.length > 0 ? { ...draft, accepted } : draft;
	const since = last && { number: last.number, changes: sheetDifferences(last.content, content) };
	return { ...issueSheet(book, advice.goal.id, since ? { ...content, since } : content), again: false };
}

/** Issues the sheets of many fields; what could not be issued is told field by field. */
export function issueMany(desk: Desk, fields: readonly string[], year: string, reason?: string): IssuedSheets {
	const answer: IssuedSheets = { issued: [], left: [] };
	for (const field of fields) {
		const fieldYear = desk.fieldYear({ field, year });
		try {
			const { id, number } = issueNow(desk, fieldYear, undefined, () => reason);
			answer.issued.push({ field: fieldYear.field.name, id, number });
		} catch (error) {
			if (!(error instanceof ActionError)) throw error;
			const stops = error instanceof UnansweredStop ? objectionsOf(desk, fieldYear, draftNow(desk, fieldYear)!) : [];
			const why = stops.length > 0 ? stops.join(' ') : error.message;
			answer.left.push({ id: field, field: fieldYear.field.name, why, stops: stops.length });
		}
	}
	answer.left.sort((a, b) => b.stops - a.stops);
	return answer;
}
