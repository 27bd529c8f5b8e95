import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { phValue } from '../../packs/ph-value';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { interpolate, pointsSchema } from '../../reading/line-through-points';
import { callsForLime, gateParameters, noLime } from './lime-gate';
import {
	depthAndMaterial,
	depthAndMaterialSteps,
	referenceParameters,
	toDepthAndMaterial
} from './lime-material-steps';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['input', 'points', 'target', 'referenceDepthIn', 'referenceEffectiveFraction'],
	properties: {
		input: { enum: ['bufferPh', 'soilPh', 'cec'] },
		points: { ...pointsSchema, description: 'Pairs [input, short tons/ac] with the input rising.' },
		target: { ...phValue, description: 'the pH the table brings the soil to' },
		...referenceParameters,
		...gateParameters
	}
} as const;

/**
 * A lime table or line of the adviser's own, read as straight lines between its points: short tons/ac by buffer pH,
 * soil pH or CEC for the one target it was made for. The gate, depth and material work as in every lime rule.
 */
export const limeTable: RuleKind<FromSchema<typeof parameters>, typeof depthAndMaterial> = {
	kind: 'lime-table',
	parameters,
	steps: depthAndMaterial,
	needs: ({ input }) => [...new Set(['soilPh', input, 'limeDepthIn', 'effectiveFraction'] as const)],
	compute(p, numbers, s) {
		s.atReference = Math.max(0, interpolate(p.points, numbers[p.input]));
		const rate = toDepthAndMaterial(p, numbers, s);
		if (Number.isNaN(rate + numbers.soilPh)) return NaN;
		return callsForLime(p, numbers.soilPh, p.target.ph) ? rate : 0;
	},
	explain(p, figures, words, worked) {
		const source = sourceOf(words);
		const target = figure({ label: 'target pH of the table', value: p.target.ph, unit: 'pH', ...source });
		if (!callsForLime(p, figures.soilPh.value, p.target.ph)) return noLime(p, figures.soilPh, target, words);
		const input = figures[p.input];
		const line = figure({
			label: 'reference lime, reference depth',
			value: worked.atReference,
			unit: words.unit,
			formula: `between the points ${p.points.map((pair) => pair.join(': ')).join(', ')}`,
			inputs: [input, target],
			...source
		});
		return depthAndMaterialSteps(p, worked, line, figures, words);
	}
};
