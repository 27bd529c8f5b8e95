import { draftSheet } from '$lib/server/draft-sheet';
import { fieldYearOf } from '$lib/server/params';
import { readSettings } from '$lib/server/stores/settings';
import { listSheets } from '$lib/server/stores/sheets';
import { listPrescriptions, newestPrescriptions } from '$lib/server/stores/prescriptions';
import { theBook } from '$lib/server/the-book';
import { sheetDifferences } from '$core/sheet/sheet-differences';
import { sameAdvice } from '$core/sheet/same-advice';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
	const fieldYear = fieldYearOf(params);
	const { field, year, advice, goal } = fieldYear;
	const settings = readSettings(theBook());
	const prescriptions = newestPrescriptions(theBook(), goal?.id ?? '');
	const draft = advice && draftSheet(fieldYear, advice, settings, prescriptions);
	const sheets = goal ? listSheets(theBook(), goal.id) : [];
	return {
		fieldId: field.id,
		year,
		draft,
		settings,
		maps: goal ? listPrescriptions(theBook(), goal.id).map(({ id, content }) => ({ id, name: content.name })) : [],
		openChoices: advice ? advice.chosen.length === 0 : true,
		sheets: sheets.map(({ id, number, issuedAt, content }, index) => ({
			id,
			number,
			issuedAt,
			outOfDate: index === 0 && draft !== undefined && !sameAdvice(content, draft),
			changes: index === 0 && draft ? sheetDifferences(content, draft) : []
		}))
	};
};
