import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['nitrogenPerSulfur'],
	properties: {
		nitrogenPerSulfur: { type: 'number', exclusiveMinimum: 0, description: 'lb N to each lb S' },
		stage: {
			type: 'object',
			additionalProperties: false,
			required: ['name'],
			description: 'The nitrogen it goes with: that of the passes on these days from planting',
			properties: {
				name: { type: 'string' },
				fromDay: { type: 'integer' },
				beforeDay: { type: 'integer' }
			}
		}
	}
} as const;

/** Never nitrogen without sulfur: S, lb/ac = nitrogen, of the stage where one is named, / N:S ratio. Common practice. */
export const ratioToNitrogen: RuleKind<FromSchema<typeof parameters>> = {
	kind: 'ratio-to-nitrogen',
	parameters,
	steps: {},
	needs: () => ['nitrogenRate'],
	compute: (p, { nitrogenRate }) => nitrogenRate / p.nitrogenPerSulfur,
	explain: (p, { nitrogenRate }, words, { rate }) =>
		figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: `nitrogen / ${p.nitrogenPerSulfur}`,
			inputs: [nitrogenRate],
			...sourceOf(words),
			cautions: words.cautions
		})
};
