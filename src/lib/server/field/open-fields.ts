import type { OpenFields } from '../../../core/rates/open-fields';
import type { Desk } from '../desk';
import { requestFor } from './field-request';
import { planningYear } from './planning-year';
import { listFields } from '../stores/fields';
import { listCurves } from '../stores/response-curves';

/** All open fields of the planning year with the guides in use. */
export function openFields({ book: db, library, today }: Desk): OpenFields {
	const year = planningYear(today);
	const curves = listCurves(db);
	const inUse = new Set(library.packs.rules.map(({ pack }) => pack.id));
	const fields = listFields(db).flatMap(({ id, name, grower }) => {
		const request = requestFor(db, library, id, year, today, curves);
		return request ? [{ id, name, grower, request }] : [];
	});
	const { crops, coverCrops } = library;
	const guides = library.packs.packs.filter(({ id }) => inUse.has(id));
	return { year, today, crops, coverCrops, guides, fields };
}
