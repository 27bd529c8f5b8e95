import { validator } from '$core/check/validator';
import type { SheetsAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { ActionError } from '$lib/server/book/action-error';
import { issueNow } from '$lib/server/field/issue-sheet';
import { fieldYearOf } from '$lib/server/http/params';
import type { RequestHandler } from './$types';

const asSheets = validator<SheetsAction>('actions#/definitions/SheetsAction');

/** Issues the sheets of many fields; what could not be issued is told field by field. */
export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asSheets, ({ fields, year }) => {
		const issued: { field: string; id: string; number: number }[] = [];
		const left: { field: string; why: string }[] = [];
		for (const field of fields) {
			const fieldYear = fieldYearOf({ field, year: String(year) });
			try {
				const { id, number } = issueNow(fieldYear);
				issued.push({ field: fieldYear.field.name, id, number });
			} catch (error) {
				if (!(error instanceof ActionError)) throw error;
				left.push({ field: fieldYear.field.name, why: error.message });
			}
		}
		return { issued, left };
	});
