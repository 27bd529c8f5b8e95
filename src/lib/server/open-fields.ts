import type { AdviseRequest, Crop, PackDocument } from '../../core/schema-types';
import { currentLibrary } from './current-library';
import { requestFor } from './field-request';
import { planningYear } from './planning-year';
import { listFields } from './stores/fields';
import { listCurves } from './stores/response-curves';
import { theBook } from './the-book';
import { today } from './today';

/** A field with a goal and a sample in the planning year, and the request its rates come from. */
export interface OpenField {
	id: string;
	name: string;
	grower: string;
	request: AdviseRequest;
}

/** What a worker needs to work out the rates of all open fields by itself. */
export interface OpenFields {
	year: number;
	today: string;
	crops: readonly Crop[];
	guides: PackDocument[];
	fields: OpenField[];
}

/** All open fields of the planning year with the guides in use. */
export function openFields(): OpenFields {
	const db = theBook();
	const library = currentLibrary();
	const year = planningYear(today());
	const curves = listCurves(db);
	const inUse = new Set(library.packs.rules.map(({ pack }) => pack.id));
	const fields = listFields(db).flatMap(({ id, name, grower }) => {
		const request = requestFor(db, library, id, year, today(), curves);
		return request ? [{ id, name, grower, request }] : [];
	});
	const guides = library.packs.packs.filter(({ id }) => inUse.has(id));
	return { year, today: today(), crops: library.crops, guides, fields };
}
