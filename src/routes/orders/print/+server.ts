import { error } from '@sveltejs/kit';
import { currentLibrary } from '$lib/server/current-library';
import { yearOf } from '$lib/server/field/year-of';
import { planningYear } from '$lib/server/field/planning-year';
import { orderDocument } from '$lib/server/files/print/order-document';
import { pdfFile, pdfOf } from '$lib/server/files/print/pdf';
import { readDealers } from '$lib/server/stores/dealers';
import { listOpenPasses } from '$lib/server/stores/order-passes';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { RequestHandler } from './$types';

/** The order of a year as PDF, a page for each grower. */
export const GET: RequestHandler = async ({ url }) => {
	const asked = url.searchParams.get('year');
	const year = asked ? yearOf(asked) : planningYear(today());
	const open = listOpenPasses(theBook(), year, currentLibrary().products);
	if (open.length === 0) error(404, `No pass of ${year} is open; there is nothing to order.`);
	const head = {
		year,
		orderedOn: today(),
		preparedBy: readSettings(theBook()).preparedBy,
		dealers: readDealers(theBook())
	};
	return pdfFile(`orders-${year}.pdf`, await pdfOf(orderDocument(open, currentLibrary().products, head)));
};
