import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { phValue } from '../../packs/ph-value';
import { sourceOf, type RuleKind, type RuleNumbers } from '../../packs/rule-kind';
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
export const bufferCapacityByLayer: RuleKind<Parameters> = {
	kind: 'buffer-capacity',
	byLayer: true,
	parameters,
	needs: () => ['soilPh', 'targetPh', 'organicCarbon', 'clay', 'bulkDensity', 'layerThicknessCm', 'effectiveFraction'],
	compute(p, numbers) {
		const rate = pureLime(p, numbers) / T_HA_PER_SHORT_TON_AC / numbers.effectiveFraction;
		if (Number.isNaN(rate)) return NaN;
		return callsForLime(p, numbers.soilPh, numbers.targetPh) ? rate : 0;
	},
	explain(p, figures, words) {
		const { soilPh, targetPh, organicCarbon, clay, bulkDensity, layerThicknessCm, effectiveFraction } = figures;
		if (!callsForLime(p, soilPh.value, targetPh.value)) return noLime(p, soilPh, targetPh, words);
		const source = sourceOf(words);
		const capacity = figure({
			label: 'pH buffer capacity',
			value: bufferCapacity(p, organicCarbon.value, clay.value),
			unit: 'cmol/kg per pH',
			formula: `${p.perOrganicCarbon} x organic carbon + ${p.perClay} x clay`,
			inputs: [organicCarbon, clay],
			...source
		});
		const numbers = { soilPh, targetPh, organicCarbon, clay, bulkDensity, layerThicknessCm };
		const pure = figure({
			label: 'pure CaCO3',
			value: pureLime(p, mapValues(numbers)),
			unit: 't/ha',
			formula: `capacity x (target - pH) x bulk density x thickness x ${CACO3_T_HA_PER_CMOL}`,
			inputs: [capacity, targetPh, soilPh, bulkDensity, layerThicknessCm],
			...source
		});
		return figure({
			label: words.title,
			value: pure.value / T_HA_PER_SHORT_TON_AC / effectiveFraction.value,
			unit: words.unit,
			formula: `/ ${T_HA_PER_SHORT_TON_AC.toFixed(4)} t/ha in a short ton/ac / effective fraction`,
			inputs: [pure, effectiveFraction],
			...source,
			cautions: words.cautions
		});
	}
};

type LayerNumbers = Pick<
	RuleNumbers,
	'soilPh' | 'targetPh' | 'organicCarbon' | 'clay' | 'bulkDensity' | 'layerThicknessCm'
>;

function pureLime(p: Parameters, n: LayerNumbers): number {
	const gap = Math.max(0, n.targetPh - n.soilPh);
	return bufferCapacity(p, n.organicCarbon, n.clay) * gap * n.bulkDensity * n.layerThicknessCm * CACO3_T_HA_PER_CMOL;
}

function mapValues(figures: Record<keyof LayerNumbers, { value: number }>): LayerNumbers {
	return Object.fromEntries(Object.entries(figures).map(([name, { value }]) => [name, value])) as LayerNumbers;
}
