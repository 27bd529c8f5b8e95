import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { phValue } from '../../packs/ph-value';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { CACO3_T_HA_PER_CMOL, T_HA_PER_SHORT_TON_AC } from '../../units/factors';
import { callsForLime, gateParameters, noLime } from './lime-gate';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['perOrganicCarbon', 'perClay', 'referenceEffectiveFraction'],
	properties: {
		perOrganicCarbon: { type: 'number', minimum: 0, description: 'cmol(+)/kg per pH unit for each % organic carbon' },
		perClay: { type: 'number', minimum: 0, description: 'cmol(+)/kg per pH unit for each % clay' },
		target: { ...phValue, description: 'aimed for where the adviser sets no target on this scale' },
		referenceEffectiveFraction: { const: 1, description: 'rates are of pure CaCO3' },
		...gateParameters
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** Buffer capacity in cmol(+)/kg per pH unit, and pure CaCO3 in t/ha. */
const steps = { capacity: NaN, pure: NaN };

/** pH buffer capacity of a soil, cmol(+)/kg per pH unit, from organic carbon and clay in %. */
export function bufferCapacity(p: Pick<Parameters, 'perOrganicCarbon' | 'perClay'>, carbon: number, clay: number) {
	return p.perOrganicCarbon * carbon + p.perClay * clay;
}

/**
 * Buffer capacity by layer: pure CaCO3, t/ha = capacity x (target - pH) x bulk density (g/cm3) x thickness (cm)
 * x 0.05, here in short tons/ac of the material at hand; the layers are summed by the caller, and a layer that is
 * not below the trigger takes none.
 * Source: Aitken, Moody and McKinley 1990, from memory; pH and target on one named scale.
 */
export const bufferCapacityByLayer: RuleKind<Parameters, typeof steps> = {
	kind: 'buffer-capacity',
	byLayer: true,
	parameters,
	steps,
	needs: () => ['soilPh', 'targetPh', 'organicCarbon', 'clay', 'bulkDensity', 'layerThicknessCm', 'effectiveFraction'],
	compute(p, numbers, s) {
		s.capacity = bufferCapacity(p, numbers.organicCarbon, numbers.clay);
		const gap = Math.max(0, numbers.targetPh - numbers.soilPh);
		s.pure = s.capacity * gap * numbers.bulkDensity * numbers.layerThicknessCm * CACO3_T_HA_PER_CMOL;
		const rate = s.pure / T_HA_PER_SHORT_TON_AC / numbers.effectiveFraction;
		if (Number.isNaN(rate)) return NaN;
		return callsForLime(p, numbers.soilPh, numbers.targetPh) ? rate : 0;
	},
	explain(p, figures, words, worked) {
		const { soilPh, targetPh, organicCarbon, clay, bulkDensity, layerThicknessCm, effectiveFraction } = figures;
		if (!callsForLime(p, soilPh.value, targetPh.value)) return noLime(p, soilPh, targetPh, words);
		const source = sourceOf(words);
		const capacity = figure({
			label: 'pH buffer capacity',
			value: worked.capacity,
			unit: 'cmol/kg per pH',
			formula: `${p.perOrganicCarbon} x organic carbon + ${p.perClay} x clay`,
			inputs: [organicCarbon, clay],
			...source
		});
		const pure = figure({
			label: 'pure CaCO3',
			value: worked.pure,
			unit: 't/ha',
			formula: `capacity x (target - pH) x bulk density x thickness x ${CACO3_T_HA_PER_CMOL}`,
			inputs: [capacity, targetPh, soilPh, bulkDensity, layerThicknessCm],
			...source
		});
		return figure({
			label: words.title,
			value: worked.rate,
			unit: words.unit,
			formula: `/ ${T_HA_PER_SHORT_TON_AC.toFixed(4)} t/ha in a short ton/ac / effective fraction`,
			inputs: [pure, effectiveFraction],
			...source,
			cautions: words.cautions
		});
	}
};
