import type { FromSchema } from 'json-schema-to-ts';
import { figure, notApplicable } from '../figure/figure';
import type { RuleKind } from '../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['poundsPerCec', 'ceiling', 'organicSoilAbovePercent'],
	properties: {
		poundsPerCec: { type: 'number', exclusiveMinimum: 0, description: 'lb N/ac for each meq/100 g' },
		ceiling: { type: 'number', exclusiveMinimum: 0, description: 'lb N/ac, never more than this' },
		organicSoilAbovePercent: { type: 'number', description: 'Organic matter above which the rule is silent' },
		seasonDays: { type: 'integer', minimum: 0, maximum: 60, description: 'days of uptake that make room in season' },
		seasonShareOfLimit: { type: 'number', minimum: 0, maximum: 1, description: 'that room is no more than this' },
		slowReleaseShareOfLimit: {
			type: 'number',
			minimum: 0,
			maximum: 1,
			description: 'more room in season for coated or stabilised nitrogen'
		}
	}
} as const;

export type HoldingParameters = FromSchema<typeof parameters>;

/**
 * What the soil can hold of nitrogen at one time, lb N/ac: pounds per meq of CEC, with a ceiling. A ceiling for
 * mineral soils, not a permission: nitrate itself is not held by CEC.
 */
export const holdingLimit: RuleKind<HoldingParameters> = {
	kind: 'holding-limit',
	parameters,
	steps: {},
	needs: () => ['cec'],
	compute(p, { cec, organicMatter }) {
		return organicMatter > p.organicSoilAbovePercent ? NaN : Math.min(p.poundsPerCec * cec, p.ceiling);
	},
	explain(p, { cec, organicMatter }, words, { rate }) {
		if (organicMatter && organicMatter.value > p.organicSoilAbovePercent) {
			return notApplicable(
				words.title,
				`this is an organic soil (organic matter above ${p.organicSoilAbovePercent} %), where CEC does not tell how much nitrogen is held`,
				'Set the size of each nitrogen pass from experience on this ground.'
			);
		}
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: `${p.poundsPerCec} lb x CEC, at most ${p.ceiling}`,
			inputs: [cec],
			basis: words.basis,
			citation: words.citation,
			cautions: words.cautions
		});
	}
};
