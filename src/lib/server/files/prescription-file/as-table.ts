import { csvText } from '../../../../core/check/csv-text';
import { partsOf, type Shape } from '../../../../core/ground/shapes/shape';
import type { Prescription } from '../../../../core/schema-types';

/** A prescription as CSV: a line for each part with its shape as well-known text, and one for the ground outside. */
export function asTable({ parts, unit, product, outside }: Prescription): string {
	const rows = parts.map(({ zone, rate, areaAcres, shape }) => [zone, rate, unit, product.name, areaAcres, wkt(shape)]);
	const all = [
		['zone', 'rate', 'unit', 'product', 'acres', 'shape'],
		...rows,
		['outside', outside, unit, product.name, '', '']
	];
	return csvText(all);
}

function wkt(shape: Shape): string {
	const parts = partsOf(shape).map(
		(rings) => `(${rings.map((ring) => `(${ring.map(([x = 0, y = 0]) => `${x} ${y}`).join(', ')})`).join(', ')})`
	);
	return `MULTIPOLYGON (${parts.join(', ')})`;
}
