import { error } from '@sveltejs/kit';
import { MAIN_BALANCED } from '$core/season/plan/balance/nutrient-balance';
import { deskOf } from '$lib/server/desk';
import { pdfFile, pdfOf } from '$lib/server/files/print/pdf';
import { DRAWN_CHART_PX, yearsDocument } from '$lib/server/files/print/years-document';
import { MOST_PRINTED, yearsPage } from '$lib/server/pages/office/years-page';
import { drawnBalances } from '$lib/ui/charts/drawn-balances';
import type { RequestHandler } from './$types';

/** The book over the years as PDF. */
export const GET: RequestHandler = async ({ locals, url }) => {
	const desk = deskOf(locals);
	const years = yearsPage(desk, url.searchParams);
	if (years.lines.length > MOST_PRINTED) {
		const asked = `A PDF holds at most ${MOST_PRINTED} lines, and these would be ${years.lines.length}`;
		error(400, `${asked}: show fewer years, or by grower; the CSV holds all.`);
	}
	const name = `${years.by}-${years.from}-to-${years.to}.pdf`;
	const charts =
		years.by === 'field' ? undefined : drawnBalances(years.lines, MAIN_BALANCED, years.units, DRAWN_CHART_PX);
	return pdfFile(name, await pdfOf(yearsDocument(years, desk.today, charts)));
};
