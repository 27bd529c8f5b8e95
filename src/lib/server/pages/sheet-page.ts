import { draftMark, draftNow, objectionsOf } from '../field/issue-sheet';
import { listSheets } from '../stores/sheets';
import { listPrescriptions } from '../stores/plan/prescriptions';
import { sheetDifferences } from '../../../core/sheet/sheet-differences';
import { sameAdvice } from '../../../core/sheet/same-advice';
import type { Desk, FieldAddress } from '../desk';

/** The page of the sheet: the draft of today and what was issued. */
export function sheetPage(desk: Desk, address: FieldAddress) {
	const fieldYear = desk.fieldYear(address);
	const { field, year, advice, goal } = fieldYear;
	const settings = desk.settings;
	const draft = draftNow(desk, fieldYear);
	const sheets = goal ? listSheets(desk.book, goal.id) : [];
	return {
		fieldId: field.id,
		year,
		draft,
		/** By which the page says which draft it shows. */
		mark: draft && draftMark(draft),
		/** Each wants a reason before the sheet is issued. */
		objections: draft ? objectionsOf(desk, fieldYear, draft) : [],
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
