import { draftSheet } from '$lib/server/draft-sheet';
import { fieldYearOf } from '$lib/server/params';
import { readSettings } from '$lib/server/stores/settings';
import { listSheets } from '$lib/server/stores/sheets';
import { theBook } from '$lib/server/the-book';
import type { SheetContent } from '$core/schema-types';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
	const fieldYear = fieldYearOf(params);
	const { field, year, advice, goal } = fieldYear;
	const settings = readSettings(theBook());
	const draft = advice && draftSheet(fieldYear, advice, settings);
	const sheets = goal ? listSheets(theBook(), goal.id) : [];
	return {
		fieldId: field.id,
		year,
		draft,
		settings,
		openChoices: advice ? advice.chosen.length === 0 : true,
		sheets: sheets.map(({ id, number, issuedAt, content }, index) => ({
			id,
			number,
			issuedAt,
			outOfDate: index === 0 && draft !== undefined && !sameAdvice(content, draft)
		}))
	};
};

/** Whether two sheets say the same, whoever printed them and on whatever day. */
function sameAdvice(a: SheetContent, b: SheetContent): boolean {
	const advice = ({ issuedOn, preparedBy, request: { asOf, ...request }, findings, ...rest }: SheetContent) => {
		void [issuedOn, preparedBy, asOf, findings];
		return JSON.stringify({ ...rest, request });
	};
	return advice(a) === advice(JSON.parse(JSON.stringify(b)) as SheetContent);
}
