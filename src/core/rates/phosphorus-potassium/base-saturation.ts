import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { formatNumber } from '../../units/display';
import { K2O_PER_K, LB_AC_PER_PPM_INCH, PPM_PER_MEQ } from '../../units/factors';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['cation', 'leastPercent'],
	properties: {
		cation: { enum: ['K', 'Mg', 'Ca'] },
		leastPercent: {
			type: 'number',
			exclusiveMinimum: 0,
			exclusiveMaximum: 100,
			description: 'share of CEC aimed for; of a range its low end'
		},
		mostPercent: { type: 'number', exclusiveMinimum: 0, exclusiveMaximum: 100, description: 'high end of the range' },
		maximum: { type: 'number', exclusiveMinimum: 0, description: 'lb/ac, never more in a year' }
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** Share of CEC now in %, what is lacking in ppm, and the rate before a limit. */
const steps = { shareNow: NaN, lack: NaN, full: NaN };

/** K is bought as K2O; Mg and Ca as themselves. */
const AS_BOUGHT = { K: K2O_PER_K, Mg: 1, Ca: 1 } as const;

/**
 * Balance the cations: what the exchange lacks of a cation's share of CEC, lb/ac (K as K2O) = (target - actual) / 100
 * x CEC x ppm in one meq x 0.3 lb for each ppm and inch sampled; never below zero. Soil test in ppm, CEC in
 * meq/100 g. Targets: Bear and co-workers 1945, Graham 1959, from memory.
 */
export const cationShare: RuleKind<Parameters, typeof steps> = {
	kind: 'base-saturation',
	byFurrowSlice: true,
	parameters,
	steps,
	needs: () => ['soilTest', 'cec', 'sampledDepthIn'],
	compute(p, { soilTest, cec, sampledDepthIn }, s) {
		const perMeq = PPM_PER_MEQ[p.cation];
		s.shareNow = (soilTest / perMeq / cec) * 100;
		s.lack = Math.max(0, (p.leastPercent / 100) * cec * perMeq - soilTest);
		s.full = s.lack * (LB_AC_PER_PPM_INCH * sampledDepthIn * AS_BOUGHT[p.cation]);
		return p.maximum !== undefined && s.full > p.maximum ? p.maximum : s.full;
	},
	explain(p, { soilTest, cec, sampledDepthIn }, words, worked) {
		const source = sourceOf(words);
		const perMeq = PPM_PER_MEQ[p.cation];
		const share = figure({
			label: `${p.cation} share of CEC now`,
			value: worked.shareNow,
			unit: '%',
			formula: `ppm / ${perMeq} / CEC x 100`,
			inputs: [soilTest, cec],
			...source
		});
		const range = p.mostPercent === undefined ? '' : ` (low end of ${p.leastPercent} to ${p.mostPercent})`;
		const target = figure({ label: `target share${range}`, value: p.leastPercent, unit: '%', ...source });
		const lack = figure({
			label: `${p.cation} lacking`,
			value: worked.lack,
			unit: 'ppm',
			formula: `(target - share now) / 100 x CEC x ${perMeq}, never below 0`,
			inputs: [target, share, cec],
			...source
		});
		const capped = worked.rate < worked.full;
		const oxide = p.cation === 'K' ? ` x ${K2O_PER_K}` : '';
		return figure({
			label: words.title,
			value: worked.rate,
			unit: words.unit,
			formula:
				lack.value === 0
					? `${p.cation} is already ${formatNumber(worked.shareNow, '%')} % of CEC, at or above the ${p.leastPercent} % aimed at: none`
					: `lacking ppm x 0.3 x inches sampled${oxide}${capped ? `, at most ${p.maximum}` : ''}`,
			inputs: [lack, sampledDepthIn],
			...source,
			cautions: words.cautions
		});
	}
};
