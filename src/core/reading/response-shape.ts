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

/**
 * Relative yield (% of full) against a soil test: percent sufficiency in the Mitscherlich-Bray form
 * 100 x (1 - exp(-c x test)), with c set so that the critical level returns the stated percent.
 * Source of the form: Bray 1944, from memory. It shows the shape; no rate is taken from it.
 */
export const responseShape: RuleKind<Parameters> = {
	kind: 'response-shape',
	parameters,
	needs: (p) => ('perCec' in p.criticalLevelPpm ? ['soilTest', 'cec'] : ['soilTest']),
	compute: (p, { soilTest, cec }) => relativeYield(p, soilTest, atCec(p.criticalLevelPpm, cec)),
	explain(p, { soilTest, cec }, words) {
		const critical = figure({
			label: 'critical level',
			value: atCec(p.criticalLevelPpm, cec?.value ?? NaN),
			unit: 'ppm',
			formula: p.criticalLevelPpm.perCec ? `${p.criticalLevelPpm.constant} + ${p.criticalLevelPpm.perCec} x CEC` : '',
			inputs: p.criticalLevelPpm.perCec ? [cec] : [],
			basis: words.basis,
			citation: words.citation
		});
		return figure({
			label: words.title,
			value: relativeYield(p, soilTest.value, critical.value),
			unit: words.unit,
			formula: `100 x (1 - exp(-c x test)), ${p.yieldAtCriticalPercent} % at the critical level`,
			inputs: [soilTest, critical],
			basis: words.basis,
			citation: words.citation,
			cautions: words.cautions
		});
	}
};

function relativeYield(p: Parameters, soilTest: number, criticalLevel: number): number {
	const c = -Math.log(1 - p.yieldAtCriticalPercent / 100) / criticalLevel;
	return 100 * (1 - Math.exp(-c * soilTest));
}
