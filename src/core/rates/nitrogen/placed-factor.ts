import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import type { RuleKind } from '../../packs/rule-kind';

export const placedParameters = {
	type: 'object',
	additionalProperties: false,
	required: ['factor', 'mostStarterLb', 'starterPlacements', 'placements', 'mostPasses', 'earliestDaysFromPlanting'],
	properties: {
		factor: { type: 'number', exclusiveMinimum: 0, description: 'lb N for each unit of yield' },
		leastFactor: { type: 'number', exclusiveMinimum: 0, description: 'what efficient sites made do with' },
		mostFactor: { type: 'number', exclusiveMinimum: 0, description: 'what poorer ones took' },
		mostStarterLb: { type: 'number', exclusiveMinimum: 0, description: 'lb N/ac in the starter at most' },
		starterPlacements: { type: 'array', minItems: 1, items: { type: 'string' } },
		placements: { type: 'array', minItems: 1, items: { type: 'string' }, description: 'of all that is no starter' },
		mostPasses: { type: 'integer', minimum: 1, description: 'passes beside the starter' },
		earliestDaysFromPlanting: { type: 'integer', description: 'of the passes beside the starter' }
	}
} as const;

export type PlacedParameters = FromSchema<typeof placedParameters>;

/**
 * Nitrogen of a placed and timed programme: factor x yield goal, lb N/ac for the season. `placedNitrogen` is what
 * the programme places as the guide asks; where it does not, that input does not apply and says which condition
 * fails.
 */
export const placedFactor: RuleKind<PlacedParameters> = {
	kind: 'placed-factor',
	parameters: placedParameters,
	steps: {},
	needs: () => ['yieldGoal', 'placedNitrogen'],
	compute: (p, { yieldGoal, placedNitrogen }) => (Number.isNaN(placedNitrogen) ? NaN : p.factor * yieldGoal),
	explain(p, { yieldGoal, placedNitrogen }, words, { rate }) {
		const range = p.leastFactor && p.mostFactor ? ` (${p.leastFactor} to ${p.mostFactor})` : '';
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: `${p.factor}${range} x yield goal, valid for this programme only`,
			inputs: [yieldGoal, placedNitrogen],
			basis: words.basis,
			citation: words.citation,
			cautions: words.cautions
		});
	}
};
