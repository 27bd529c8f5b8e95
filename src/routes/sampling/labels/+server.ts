import { error } from '@sveltejs/kit';
import { deskOf } from '$lib/server/desk';
import { bagLabels, LABELS_A_PAGE } from '$lib/server/files/print/bag-labels';
import { pdfFile, pdfOf } from '$lib/server/files/print/pdf';
import { bagsAsked } from '$lib/server/http/bags-asked';
import type { RequestHandler } from './$types';

/** Labels of bags as PDF, 30 to a page. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const desk = deskOf(locals);
	const bags = bagsAsked(desk, url.searchParams);
	const skip = Number(url.searchParams.get('skip') ?? 0);
	if (!Number.isInteger(skip) || skip < 0 || skip >= LABELS_A_PAGE) {
		error(400, `skip must be a whole number from 0 to ${LABELS_A_PAGE - 1}; got “${url.searchParams.get('skip')}”.`);
	}
	return pdfFile('bag-labels.pdf', await pdfOf(bagLabels(bags, desk.settings.units, skip, desk.today)));
};
