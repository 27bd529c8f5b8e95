import { draftSheet } from '../field/draft-sheet';
import { draftMark } from '../field/issue-sheet';
import { leafFindings } from '../field/leaf-readings';
import { listDecisions } from '../stores/plan/decisions';
import { listSheets } from '../stores/sheets';
import { listPrescriptions, newestPrescriptions } from '../stores/plan/prescriptions';
import { sheetDifferences } from '../../../core/sheet/sheet-differences';
import { sameAdvice } from '../../../core/sheet/same-advice';
import type { Desk, FieldAddress } from '../desk';

/** The page of the sheet: the draft of today and what was issued. */
export function sheetPage(desk: Desk, address: FieldAddress) {
	const fieldYear = desk.fieldYear(address);
	const { field, year, advice, goal } = fieldYear;
	const settings = desk.settings;
	const prescriptions = newestPrescriptions(desk.book, goal?.id ?? '');
	const leafTests = leafFindings(desk.book, desk.library, field, year);
	const decisions = listDecisions(desk.book, goal?.id ?? '');
	const draft = advice && draftSheet(fieldYear, advice, settings, prescriptions, { leafTests, decisions });
	const sheets = goal ? listSheets(desk.book, goal.id) : [];
	return {
		fieldId: field.id,
		year,
		draft,
		/** By which the page says which draft it shows. */
		mark: draft && draftMark(draft),
		preparedBy: settings.preparedBy,
		maps: goal ? listPrescriptions(desk.book, goal.id).map(({ id, content }) => ({ id, name: content.name })) : [],
		openChoices: advice ? advice.chosen.length === 0 : true,
		sheets: sheets.map(({ id, number, issuedAt, content }, index) => ({
			id,
			number,
			issuedAt,
			outOfDate: index === 0 && draft !== undefined && !sameAdvice(content, draft),
			changes: index === 0 && draft ? sheetDifferences(content, draft) : []
		}))
	};
}
