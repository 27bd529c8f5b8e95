import type { ResultUnit } from '$core/schema-types';

/** A lab's unit as an adviser reads it. */
export function unitText(unit: ResultUnit): string {
	switch (unit) {
		case 'lb/ac':
			return 'lb/ac in the layer';
		case 'lb/ac-furrow':
			return 'lb/ac (ppm x 2)';
		case 'meq/100g':
			return 'meq/100 g';
		default:
			return unit;
	}
}
