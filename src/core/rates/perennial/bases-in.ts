import { basesOf } from '../../ground/block/rate-bases';
import type { CompiledRule } from '../../packs/pack';
import { applyRule } from '../../reading/apply-rule';
import type { SiteReading } from '../../reading/site-reading';
import type { Rate, RateNutrient } from '../../schema-types';
import { inSystem, type UnitSystem } from '../../units/rate-units';

/** A rate for each plant, each length of row and each treated area of its block; nothing without a block, or of lime, which goes by the ton. */
export function basesIn(
	compiled: CompiledRule,
	nutrient: RateNutrient,
	reading: SiteReading,
	units: UnitSystem
): Pick<Rate, 'perPlant' | 'per100Row' | 'perTreated'> {
	const { block, areaAc } = reading.site;
	if (!block || nutrient === 'lime') return {};
	const rate = applyRule(compiled, reading);
	if (!rate.applies) return {};
	const { perPlant, per100Row, perTreated } = basesOf(rate, block, areaAc);
	return {
		perPlant: inSystem(perPlant, units),
		per100Row: inSystem(per100Row, units),
		perTreated: inSystem(perTreated, units)
	};
}
