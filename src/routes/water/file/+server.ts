import Papa from 'papaparse';
import { reportRows } from '$core/water/report-csv';
import { listWaterSources } from '$lib/server/stores/water/water-sources';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

/** The reports of all sources as CSV; those in meq/L as a file of their own, by `?unit=meq`. */
export const GET: RequestHandler = ({ url }) => {
	const unit = url.searchParams.get('unit') === 'meq' ? 'meq/L' : 'ppm';
	const csv = Papa.unparse(reportRows(listWaterSources(theBook()), unit), { escapeFormulae: true });
	return new Response(`${csv}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="water-reports.csv"'
		}
	});
};
