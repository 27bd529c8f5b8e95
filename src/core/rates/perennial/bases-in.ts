import type { Answer } from '../../figure/figure';
import { basesOf } from '../../ground/block/rate-bases';
import type { Site } from '../../reading/site';
import type { Rate, RateNutrient } from '../../schema-types';
import { inSystem, type UnitSystem } from '../../units/rate-units';

/** A rate for each plant, each length of row and each treated area of its block; nothing without a block, or of lime, which goes by the ton. */
export function basesIn(
	rate: Answer,
	nutrient: RateNutrient,
	{ block, areaAc }: Pick<Site, 'block' | 'areaAc'>,
	units: UnitSystem
): Pick<Rate, 'perPlant' | 'per100Row' | 'perTreated'> {
	if (!block || nutrient === 'lime' || !rate.applies) return {};
	const { perPlant, per100Row, perTreated } = basesOf(rate, block, areaAc);
	return {
		perPlant: inSystem(perPlant, units),
		per100Row: inSystem(per100Row, units),
		perTreated: inSystem(perTreated, units)
	};
}
