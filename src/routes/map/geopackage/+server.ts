import { deskOf } from '$lib/server/desk';
import { planningYear } from '$lib/server/field/planning-year';
import { yearOf } from '$lib/server/field/year-of';
import { download } from '$lib/server/files/download';
import { groundOfBook } from '$lib/server/files/geo-package/ground-of-book';
import { writeGeoPackage } from '$lib/server/files/geo-package/write-geo-package';
import type { RequestHandler } from './$types';

/** The ground of the book as one GeoPackage, with the rates of a year, or of every year (`year=every`). */
export const GET: RequestHandler = async ({ locals, url }) => {
	const desk = deskOf(locals);
	const asked = url.searchParams.get('year');
	const year = asked === null ? planningYear(desk.today) : asked === 'every' ? undefined : yearOf(asked);
	const layers = await groundOfBook(desk, year);
	return download(`ground ${year ?? 'every year'}`, '.gpkg', writeGeoPackage(layers, new Date().toISOString()));
};
