import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import type { ResponseCurve } from '../../../core/schema-types';
import { act } from '../book/act';
import { ActionError } from '../book/action-error';

/** The library of the adviser's own curves of yield against nitrogen, by title. */
export function listCurves(db: Database): ResponseCurve[] {
	return db
		.prepare<[], { curve: string }>("SELECT curve FROM response_curve ORDER BY curve ->> '$.title'")
		.all()
		.map(({ curve }) => fromJson<ResponseCurve>(curve));
}

/** @throws ActionError where a new curve would take the place of another one of the same title */
export function addCurve(db: Database, curve: ResponseCurve): void {
	if (listCurves(db).some(({ id }) => id === curve.id)) {
		throw new ActionError(`There is already a curve called “${curve.title}”; give this one another title.`);
	}
	act(db, { label: `Put the curve ${curve.title} into the library` }, (writer) =>
		writer.insert('response_curve', { id: curve.id, curve: JSON.stringify(curve) })
	);
}

export function removeCurve(db: Database, { id, title }: ResponseCurve): void {
	act(db, { label: `Deleted the curve ${title} from the library` }, (writer) => writer.remove('response_curve', id));
}
