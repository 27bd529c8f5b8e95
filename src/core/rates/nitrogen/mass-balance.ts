import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import type { RuleKind } from '../../packs/rule-kind';
import { creditParameters } from './credits';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['perYield', 'constant', 'credits'],
	properties: {
		perYield: { type: 'number', exclusiveMinimum: 0, description: 'lb N for each unit of yield' },
		constant: { type: 'number', description: 'lb N/ac added to yield goal x perYield; may be negative' },
		leastNeed: { type: 'number', minimum: 0, description: 'lb N/ac, the need is never taken lower' },
		credits: creditParameters
	}
} as const;

/** lb N/ac: by the yield goal alone, and not less than the guide's least need. */
const steps = { byYield: NaN, need: NaN };

/**
 * Mass balance: constant + factor x yield goal, less the credits the guide allows; lb N/ac, never below zero.
 * Form shared by the yield-goal guides (tri-state E-2567 1995, northern plains state guides).
 */
export const massBalance: RuleKind<FromSchema<typeof parameters>, typeof steps> = {
	kind: 'mass-balance',
	parameters,
	steps,
	needs: () => ['yieldGoal', 'credits'],
	compute(p, { yieldGoal, credits }, s) {
		s.byYield = p.constant + p.perYield * yieldGoal;
		s.need = Math.max(s.byYield, p.leastNeed ?? 0);
		return Math.max(0, s.need - credits);
	},
	explain(p, { yieldGoal, credits }, words, worked) {
		const { byYield } = worked;
		const least = p.leastNeed ?? 0;
		const need = figure({
			label: 'the crop needs',
			value: worked.need,
			unit: words.unit,
			formula: `${p.constant === 0 ? '' : `${p.constant} + `}${p.perYield} x yield goal${least > byYield ? `, at least ${least}` : ''}`,
			inputs: [yieldGoal],
			basis: words.basis,
			citation: words.citation,
			cautions:
				least > byYield ? [`The yield goal is under the guide's range; its least need of ${least} lb is used.`] : []
		});
		const enough = need.value <= credits.value;
		return figure({
			label: words.title,
			value: worked.rate,
			unit: words.unit,
			formula: enough ? 'the credits cover the need: none' : 'need - credits',
			inputs: [need, credits],
			basis: words.basis,
			citation: words.citation,
			cautions: words.cautions
		});
	}
};
