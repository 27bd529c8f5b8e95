import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../figure/figure';
import { atCec, cecLine } from '../packs/cec-line';
import type { RuleKind } from '../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['criticalLevelPpm', 'yieldAtCriticalPercent'],
	properties: {
		criticalLevelPpm: cecLine,
		yieldAtCriticalPercent: { type: 'number', exclusiveMinimum: 0, exclusiveMaximum: 100 }
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

const steps = { critical: NaN };

/**
 * Relative yield (% of full) against a soil test: percent sufficiency in the Mitscherlich-Bray form
 * 100 x (1 - exp(-c x test)), with c set so that the critical level returns the stated percent.
 * Source of the form: Bray 1944, from memory. It shows the shape; no rate is taken from it.
 */
export const responseShape: RuleKind<Parameters, typeof steps> = {
	kind: 'response-shape',
	parameters,
	steps,
	needs: (p) => ('perCec' in p.criticalLevelPpm ? ['soilTest', 'cec'] : ['soilTest']),
	compute(p, { soilTest, cec }, s) {
		s.critical = atCec(p.criticalLevelPpm, cec);
		const c = -Math.log(1 - p.yieldAtCriticalPercent / 100) / s.critical;
		return 100 * (1 - Math.exp(-c * soilTest));
	},
	explain(p, { soilTest, cec }, words, worked) {
		const critical = figure({
			label: 'critical level',
			value: worked.critical,
			unit: 'ppm',
			formula: p.criticalLevelPpm.perCec ? `${p.criticalLevelPpm.constant} + ${p.criticalLevelPpm.perCec} x CEC` : '',
			inputs: p.criticalLevelPpm.perCec ? [cec] : [],
			basis: words.basis,
			citation: words.citation
		});
		return figure({
			label: words.title,
			value: worked.rate,
			unit: words.unit,
			formula: `100 x (1 - exp(-c x test)), ${p.yieldAtCriticalPercent} % at the critical level`,
			inputs: [soilTest, critical],
			basis: words.basis,
			citation: words.citation,
			cautions: words.cautions
		});
	}
};
