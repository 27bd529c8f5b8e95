import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import type { RuleKind } from '../../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['perYield', 'perYieldAndPpm'],
	properties: {
		perYield: { type: 'number', exclusiveMinimum: 0, description: 'lb per yield unit at a soil test of 0' },
		perYieldAndPpm: { type: 'number', exclusiveMinimum: 0, description: 'lb per yield unit less for each ppm' }
	}
} as const;

/**
 * Feed the crop: (a - b x soil test) x yield goal, lb/ac of the oxide, never below zero. Soil test in ppm by the
 * rule's method, yield in the crop's unit. Form of the Great Plains state guides (NDSU SF882, SDSU EC750).
 */
export const linearSufficiency: RuleKind<FromSchema<typeof parameters>> = {
	kind: 'linear-sufficiency',
	parameters,
	needs: () => ['soilTest', 'yieldGoal'],
	compute(p, { soilTest, yieldGoal }) {
		return Math.max(0, (p.perYield - p.perYieldAndPpm * soilTest) * yieldGoal);
	},
	explain(p, { soilTest, yieldGoal }, words) {
		const perUnit = figure({
			label: 'needed for each unit of yield',
			value: p.perYield - p.perYieldAndPpm * soilTest.value,
			unit: `lb per ${yieldGoal.unit.replace('/ac', '')}`,
			formula: `${p.perYield} - ${p.perYieldAndPpm} x soil test`,
			inputs: [soilTest],
			basis: words.basis,
			citation: words.citation
		});
		return figure({
			label: words.title,
			value: Math.max(0, perUnit.value * yieldGoal.value),
			unit: words.unit,
			formula: perUnit.value > 0 ? 'need per unit x yield goal' : 'the soil feeds the crop: none',
			inputs: [perUnit, yieldGoal],
			basis: words.basis,
			citation: words.citation,
			cautions: words.cautions
		});
	}
};
