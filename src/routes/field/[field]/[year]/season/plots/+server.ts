import { error, json } from '@sveltejs/kit';
import { boardYear, liveSeason } from '$core/season/live/live-season';
import { deskOf } from '$lib/server/desk';
import { seasonGround } from '$lib/server/pages/season-page';
import { drawnPlots, PLOT_WIDTHS } from '$lib/ui/charts/board/drawn-plots';
import type { RequestHandler } from './$types';

/** The board's plots of the plan as it is kept, drawn so many pixels wide: pages show them without what draws charts. */
export const GET: RequestHandler = ({ params, locals, url }) => {
	const width = Number(url.searchParams.get('width') ?? NaN);
	const { least, most } = PLOT_WIDTHS;
	if (!(Number.isInteger(width) && width >= least && width <= most)) {
		const got = url.searchParams.get('width') ?? 'none';
		error(400, `width must be a whole number of pixels from ${least} to ${most}; got “${got}”.`);
	}
	const season = seasonGround(deskOf(locals), params, url.searchParams.get('weather'));
	if (!season) error(404, 'This field has no season in that year: it wants a soil sample, a crop and a goal.');
	const { ground, units } = season;
	const year = boardYear(ground);
	const { run } = liveSeason(ground, year, ground.request.passes);
	return json(drawnPlots({ year, run, units, width }));
};
