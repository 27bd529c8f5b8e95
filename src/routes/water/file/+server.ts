import { csvText } from '$core/check/csv-text';
import { reportRows } from '$core/water/report-csv';
import { listWaterSources } from '$lib/server/stores/water/water-sources';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

/** The reports of all sources as CSV. */
export const GET: RequestHandler = () => {
	const csv = csvText(reportRows(listWaterSources(theBook())));
	return new Response(csv, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="water-reports.csv"'
		}
	});
};
