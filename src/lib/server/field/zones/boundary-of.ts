import { fromJson } from '../../from-json';
import type { Shape } from '../../../../core/ground/shapes/shape';
import type { FieldRow } from '../../stores/fields';

/** A field's boundary; undefined where none was drawn. */
export function boundaryOf({ boundary }: Pick<FieldRow, 'boundary'>): Shape | undefined {
	return boundary === null ? undefined : fromJson<Shape>(boundary);
}
