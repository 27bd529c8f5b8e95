/** How a mix comes out of the blending plant. */
export interface Batches {
	/** Alike, the last one too. */
	count: number;
	acresEach: number;
	/** lb/ac in which a product can be set, when it is weighed into each batch in whole steps. */
	stepLbPerAcre: number;
}

/**
 * The batches that a mix for a field takes.
 * @param mixLbPerAcre of all products together, above 0
 * @param batchLb what the mixer holds @param weighLb steps of its scale
 */
export function batchesFor(mixLbPerAcre: number, areaAcres: number, batchLb: number, weighLb: number): Batches {
	const count = Math.max(1, Math.ceil((mixLbPerAcre * areaAcres) / batchLb - 1e-9));
	const acresEach = areaAcres / count;
	return { count, acresEach, stepLbPerAcre: weighLb / acresEach };
}
