import { insideTest } from '../../ground/shapes/inside';
import { cellAt, gridOf } from '../surface/field-grid';
import type { AsApplied, Prescription } from '../../schema-types';
import { spreadOf, type PlacedValue } from '../surface/sample-points';

/** Cells by which it is told what ground was passed over, metres: about a narrow swath. */
const COVER_CELL_M = 15;

/**
 * What a monitor logged, part by part, beside what was wanted there.
 * @returns undefined where no point lies in the prescription
 */
export function asApplied(
	logged: readonly PlacedValue[],
	{ parts, product, unit }: Prescription,
	appliedOn: string
): AsApplied | undefined {
	const zones = parts.map(({ zone, rate, shape }) => {
		const inZone = insideTest(shape);
		const rates = logged.filter(([x, y]) => inZone([x, y])).map(([, , value]) => value);
		const { mean, variance } = spreadOf(rates);
		const some = rates.length > 0;
		return {
			zone,
			wanted: rate,
			applied: some ? mean : 0,
			variation: some && mean > 0 ? (100 * Math.sqrt(variance)) / mean : 0,
			points: rates.length
		};
	});
	const points = zones.reduce((sum, zone) => sum + zone.points, 0);
	if (points === 0) return undefined;
	return { appliedOn, product: product.name, unit, points, share: coveredShare(logged, parts), zones };
}

/** Share of the ground that has a point in its cell, or in one beside it along a swath. */
function coveredShare(logged: readonly PlacedValue[], parts: Prescription['parts']): number {
	let cells = 0;
	let passed = 0;
	for (const { shape, areaAcres } of parts) {
		if (areaAcres <= 0) continue;
		const grid = gridOf(shape, COVER_CELL_M);
		const seen = new Set(logged.map(([x, y]) => cellAt(grid, [x, y])));
		for (let cell = 0; cell < grid.inside.length; cell++) {
			if (!grid.inside[cell]) continue;
			cells++;
			if (seen.has(cell)) passed++;
		}
	}
	return cells === 0 ? 0 : passed / cells;
}
