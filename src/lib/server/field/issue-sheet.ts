import { sheetDifferences } from '../../../core/sheet/sheet-differences';
import { ActionError } from '../book/action-error';
import { draftSheet } from './draft-sheet';
import type { FieldYear } from './field-year';
import { readSettings } from '../stores/settings';
import { newestPrescriptions } from '../stores/prescriptions';
import { issueSheet, listSheets, type Sheet } from '../stores/sheets';
import { theBook } from '../the-book';

/**
 * Issues the sheet of a field-year as it stands now, with what changed since the last one.
 * @throws ActionError while there is nothing to issue, or nobody who prepares it
 */
export function issueNow(fieldYear: FieldYear): Sheet {
	const { field, advice } = fieldYear;
	const settings = readSettings(theBook());
	if (settings.preparedBy === '')
		throw new ActionError('Say who prepares this sheet; a sheet without a name is not issued.');
	if (!advice) throw new ActionError(`${field.name} has no sample, crop and goal for this year yet.`);
	if (advice.passes.length === 0) throw new ActionError('The plan has no passes yet; there is nothing to issue.');
	const prescriptions = newestPrescriptions(theBook(), advice.goal.id);
	const content = draftSheet(fieldYear, advice, settings, prescriptions);
	const [last] = listSheets(theBook(), advice.goal.id);
	const since = last && { number: last.number, changes: sheetDifferences(last.content, content) };
	return issueSheet(theBook(), advice.goal.id, since ? { ...content, since } : content);
}
