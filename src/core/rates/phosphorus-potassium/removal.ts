import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import type { RuleKind } from '../../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['perYield'],
	properties: {
		perYield: { type: 'number', exclusiveMinimum: 0, description: 'lb of the nutrient as named in each unit of yield' }
	}
} as const;

/** Replace removal: what the harvest takes off, yield goal x coefficient, lb/ac, whatever the soil holds. */
export const removal: RuleKind<FromSchema<typeof parameters>> = {
	kind: 'removal',
	parameters,
	needs: () => ['yieldGoal'],
	compute: (p, { yieldGoal }) => p.perYield * yieldGoal,
	explain(p, { yieldGoal }, words) {
		const perUnit = figure({
			label: 'in each unit of yield',
			value: p.perYield,
			unit: `lb per ${yieldGoal.unit.replace('/ac', '')}`,
			basis: words.basis,
			citation: words.citation
		});
		return figure({
			label: words.title,
			value: p.perYield * yieldGoal.value,
			unit: words.unit,
			formula: 'removal x yield goal',
			inputs: [perUnit, yieldGoal],
			basis: words.basis,
			citation: words.citation,
			cautions: words.cautions
		});
	}
};
