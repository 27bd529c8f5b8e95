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

/** Yield that plenty of nitrogen brought, and lb N in a unit of it. */
const steps = { gain: NaN, nitrogenInUnit: NaN };

/**
 * Nitrogen by N-rich and zero-N strips: (yield with plenty - yield without) x nitrogen in the grain / use efficiency, lb
 * N/ac from now on. Form: Raun and co-workers 2002, Agronomy Journal 94 (memory).
 */
export const referenceStrip: RuleKind<StripParameters, typeof steps> = {
	kind: 'reference-strip',
	parameters: stripParameters,
	byZone: true,
	test: 'strips',
	covers: 'from now on',
	steps,
	needs: () => ['yieldWithout', 'yieldRich', 'nitrogenEfficiency'],
	compute(p, { yieldWithout, yieldRich, nitrogenEfficiency }, s) {
		s.gain = Math.max(0, yieldRich - yieldWithout);
		s.nitrogenInUnit = (p.lbPerYield * p.grainNitrogenPercent) / 100;
		return (s.gain * s.nitrogenInUnit) / nitrogenEfficiency;
	},
	explain(p, { yieldWithout, yieldRich, nitrogenEfficiency }, words, worked) {
		const source = sourceOf(words);
		const inGrain = figure({
			label: 'nitrogen in a unit of yield',
			value: worked.nitrogenInUnit,
			unit: 'lb',
			formula: `${p.lbPerYield} lb x ${p.grainNitrogenPercent} %`,
			inputs: [
				figure({ label: 'grain in a unit of yield', value: p.lbPerYield, unit: 'lb', basis: 'practice' }),
				figure({ label: 'nitrogen in the grain', value: p.grainNitrogenPercent, unit: '%', ...source })
			],
			...source
		});
		return figure({
			label: words.title,
			value: worked.rate,
			unit: words.unit,
			formula:
				worked.gain === 0
					? 'plenty of nitrogen brings no more yield: none'
					: '(yield with plenty - yield without) x nitrogen in a unit / efficiency',
			inputs: [yieldRich, yieldWithout, inGrain, nitrogenEfficiency],
			...source,
			cautions: words.cautions
		});
	}
};
