import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../../figure/figure';
import { sourceOf, type RuleKind } from '../../../packs/rule-kind';

export const stripParameters = {
	type: 'object',
	additionalProperties: false,
	required: ['lbPerYield', 'grainNitrogenPercent', 'efficiency'],
	properties: {
		lbPerYield: { type: 'number', exclusiveMinimum: 0, description: 'lb of grain in a unit of yield' },
		grainNitrogenPercent: { type: 'number', exclusiveMinimum: 0, maximum: 10 },
		efficiency: { type: 'number', exclusiveMinimum: 0, maximum: 1, description: 'share of the nitrogen in the grain' }
	}
} as const;

export type StripParameters = FromSchema<typeof stripParameters>;

/**
 * Nitrogen by reference strips: (yield with plenty - yield without) x nitrogen in the grain / use efficiency, lb
 * N/ac from now on. Form: Raun and co-workers 2002, Agronomy Journal 94 (memory).
 */
export const referenceStrip: RuleKind<StripParameters> = {
	kind: 'reference-strip',
	parameters: stripParameters,
	byZone: true,
	test: 'strips',
	covers: 'from now on',
	needs: () => ['yieldWithout', 'yieldRich', 'nitrogenEfficiency'],
	compute(p, { yieldWithout, yieldRich, nitrogenEfficiency }) {
		return (Math.max(0, yieldRich - yieldWithout) * nitrogenInYield(p)) / nitrogenEfficiency;
	},
	explain(p, { yieldWithout, yieldRich, nitrogenEfficiency }, words) {
		const source = sourceOf(words);
		const inGrain = figure({
			label: 'nitrogen in a unit of yield',
			value: nitrogenInYield(p),
			unit: 'lb',
			formula: `${p.lbPerYield} lb x ${p.grainNitrogenPercent} %`,
			inputs: [
				figure({ label: 'grain in a unit of yield', value: p.lbPerYield, unit: 'lb', basis: 'practice' }),
				figure({ label: 'nitrogen in the grain', value: p.grainNitrogenPercent, unit: '%', ...source })
			],
			...source
		});
		const gain = Math.max(0, yieldRich.value - yieldWithout.value);
		return figure({
			label: words.title,
			value: (gain * inGrain.value) / nitrogenEfficiency.value,
			unit: words.unit,
			formula:
				gain === 0
					? 'plenty of nitrogen brings no more yield: none'
					: '(yield with plenty - yield without) x nitrogen in a unit / efficiency',
			inputs: [yieldRich, yieldWithout, inGrain, nitrogenEfficiency],
			...source,
			cautions: words.cautions
		});
	}
};

function nitrogenInYield({ lbPerYield, grainNitrogenPercent }: StripParameters): number {
	return (lbPerYield * grainNitrogenPercent) / 100;
}
