import { error } from '@sveltejs/kit';
import type { Shape } from '../../../core/ground/shapes/shape';
import { findField, type FieldRow } from '../stores/fields';
import { theBook } from '../the-book';

/** The field of an address. */
export function fieldOf({ field }: { field: string }): FieldRow {
	return findField(theBook(), field) ?? error(404, 'There is no such field in this book.');
}

/** A field's boundary; undefined where none was drawn. */
export function boundaryOf({ boundary }: Pick<FieldRow, 'boundary'>): Shape | undefined {
	return boundary === null ? undefined : (JSON.parse(boundary) as Shape);
}
