import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../../figure/figure';
import type { RuleKind } from '../../../packs/rule-kind';

export const thresholdParameters = {
	type: 'object',
	additionalProperties: false,
	required: ['criticalPpm', 'wetCriticalPpm', 'perPpm', 'depthIn', 'leastHeightIn', 'mostHeightIn'],
	properties: {
		criticalPpm: { type: 'number', exclusiveMinimum: 0, description: 'nitrate-N from which none is called for' },
		wetCriticalPpm: { type: 'number', exclusiveMinimum: 0, description: 'after heavy rain, or on manured ground' },
		perPpm: { type: 'number', exclusiveMinimum: 0, description: 'lb N for each ppm below the critical level' },
		depthIn: { type: 'number', exclusiveMinimum: 0, description: 'the depth the test was calibrated on' },
		leastHeightIn: { type: 'number', minimum: 0, description: 'height of the crop at the test, from' },
		mostHeightIn: { type: 'number', minimum: 0, description: 'to' }
	}
} as const;

export type ThresholdParameters = FromSchema<typeof thresholdParameters>;

/**
 * Nitrate test in the crop: (critical - ppm) x lb per ppm, lb N/ac from now on; none at or above the
 * critical level. Form: Iowa State PM 1714 (memory).
 */
export const nitrateThreshold: RuleKind<ThresholdParameters> = {
	kind: 'nitrate-threshold',
	byFurrowSlice: true,
	parameters: thresholdParameters,
	test: 'nitrate',
	covers: 'from now on',
	steps: {},
	needs: () => ['sidedressNitratePpm', 'criticalNitratePpm'],
	compute: (p, { sidedressNitratePpm, criticalNitratePpm }) =>
		Math.max(0, criticalNitratePpm - sidedressNitratePpm) * p.perPpm,
	explain(p, { sidedressNitratePpm, criticalNitratePpm }, words, { rate }) {
		const enough = sidedressNitratePpm.value >= criticalNitratePpm.value;
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: enough
				? `${sidedressNitratePpm.value} ppm is at or above the critical level: none`
				: `(critical - nitrate) x ${p.perPpm}`,
			inputs: [criticalNitratePpm, sidedressNitratePpm],
			basis: words.basis,
			citation: words.citation,
			cautions: words.cautions
		});
	}
};
