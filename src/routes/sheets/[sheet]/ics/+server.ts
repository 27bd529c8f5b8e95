import { error } from '@sveltejs/kit';
import { sheetCalendar } from '$lib/server/files/print/sheet-calendar';
import { sheetFile, sheetOf } from '$lib/server/http/sheet-param';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) => {
	const sheet = sheetOf(params);
	const calendar = sheetCalendar(sheet);
	if (calendar === undefined) error(500, 'The calendar could not be written.');
	return sheetFile(sheet, 'ics', 'text/calendar; charset=utf-8', calendar);
};
