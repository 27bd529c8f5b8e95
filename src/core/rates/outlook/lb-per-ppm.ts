import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import { atCec, type CecLine } from '../../packs/cec-line';
import { cationExchangeCapacity } from '../../reading/soil/cec';
import type { SampledSoil } from '../../reading/soil/sampled-soil';
import type { LabMethod } from '../../schema-types';

export type PhosphateOrPotash = 'P2O5' | 'K2O';

/**
 * lb of the oxide that move the soil test by 1 ppm, for the two methods the tri-state equations were made on: four
 * years of 5 lb for P by Bray P1, four years of 1 + 0.05 CEC for K by ammonium acetate (bulletin E-2567, memory).
 */
const USUAL: Record<PhosphateOrPotash, { method: LabMethod; line: CecLine }> = {
	P2O5: { method: 'bray-p1', line: { constant: 20 } },
	K2O: { method: 'ammonium-acetate', line: { constant: 4, perCec: 0.2 } }
};
const USUAL_CITATION = 'Tri-state bulletin E-2567 (1995), build-up over four years';

export const LB_PER_PPM = 'lb/ac that move the soil test by 1 ppm';

/** The method whose test the usual pounds are of. */
export function usualTest(nutrient: PhosphateOrPotash): LabMethod {
	return USUAL[nutrient].method;
}

/** The usual pounds of the oxide that move the soil test by 1 ppm, lb/ac; for other methods they do not hold. */
export function usualLbPerPpm(nutrient: PhosphateOrPotash, soil: SampledSoil): Answer {
	return lbPerPpmBy(USUAL[nutrient].line, soil, { basis: 'memory', citation: USUAL_CITATION });
}

/**
 * The pounds that move a soil test by 1 ppm, lb/ac, on a soil.
 * @returns does not apply where they go by the CEC and it is not known
 */
export function lbPerPpmBy(line: CecLine, soil: SampledSoil, source: Pick<Figure, 'basis' | 'citation'>): Answer {
	const cec = cationExchangeCapacity(soil);
	if (line.perCec !== undefined && !cec.applies) return notApplicable(LB_PER_PPM, cec.reason, cec.remedy);
	return figure({
		label: LB_PER_PPM,
		value: atCec(line, cec.applies ? cec.value : NaN),
		unit: 'lb/ac',
		formula: line.perCec === undefined ? '' : `${line.constant} + ${line.perCec} x CEC`,
		inputs: line.perCec !== undefined && cec.applies ? [cec] : [],
		...source
	});
}
