import { createHash } from 'node:crypto';
import type { IssuedSheets, SheetContent } from '../../../core/schema-types';
import { adviceText, sameAdvice } from '../../../core/sheet/same-advice';
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

/**
 * Issues the sheet of a field-year as it stands now, with what changed since the last one; where the last one says the same, that
 * one is given back and nothing is issued twice.
 * @param seen the mark of the draft that was looked at; undefined where none was
 * @throws ActionError while there is nothing to issue, nobody who prepares it, or where the draft says something else by now
 */
export function issueNow(
	{ book, library, settings }: Desk,
	fieldYear: FieldYear,
	seen?: string
): Sheet & { again: boolean } {
	const { field, advice } = fieldYear;
	if (settings.preparedBy === '')
		throw new ActionError('Say who prepares this sheet; a sheet without a name is not issued.');
	if (!advice) throw new ActionError(`${field.name} has no sample, crop and goal for this year yet.`);
	if (advice.passes.length === 0) throw new ActionError('The plan has no passes yet; there is nothing to issue.');
	const prescriptions = newestPrescriptions(book, advice.goal.id);
	const leafTests = leafFindings(book, library, field, fieldYear.year);
	const decisions = listDecisions(book, advice.goal.id);
	const content = draftSheet(fieldYear, advice, settings, prescriptions, { leafTests, decisions });
	if (seen !== undefined && seen !== draftMark(content)) {
		throw new ActionError(
			'The field was changed after this draft was shown, so nothing was issued. The draft below shows it as it is now: look at it, then issue it.'
		);
	}
	const [last] = listSheets(book, advice.goal.id);
	if (last && sameAdvice(last.content, content) && last.content.preparedBy === content.preparedBy) {
		return { ...last, again: true };
	}
	const since = last && { number: last.number, changes: sheetDifferences(last.content, content) };
	return { ...issueSheet(book, advice.goal.id, since ? { ...content, since } : content), again: false };
}

/** Issues the sheets of many fields; what could not be issued is told field by field. */
export function issueMany(desk: Desk, fields: readonly string[], year: string): IssuedSheets {
	const answer: IssuedSheets = { issued: [], left: [] };
	for (const field of fields) {
		const fieldYear = desk.fieldYear({ field, year });
		try {
			const { id, number } = issueNow(desk, fieldYear);
			answer.issued.push({ field: fieldYear.field.name, id, number });
		} catch (error) {
			if (!(error instanceof ActionError)) throw error;
			answer.left.push({ field: fieldYear.field.name, why: error.message });
		}
	}
	return answer;
}
