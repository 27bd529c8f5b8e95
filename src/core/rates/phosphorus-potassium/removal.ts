import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['perYield'],
	properties: {
		perYield: { type: 'number', exclusiveMinimum: 0, description: 'lb of the nutrient as named in each unit of yield' },
		residuePerYield: {
			type: 'number',
			minimum: 0,
			description: 'lb more for each unit of yield where all straw or stover is taken off'
		},
		noneAbovePpm: { type: 'number', exclusiveMinimum: 0, description: 'nothing above this soil test' }
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** What a harvest takes off, lb/ac, with the straw or stover that leaves the field. */
export function takenOff(
	{ perYield, residuePerYield = 0 }: Pick<Parameters, 'perYield' | 'residuePerYield'>,
	harvest: number,
	residueShare: number
): number {
	return (perYield + residuePerYield * residueShare) * harvest;
}

/**
 * Replace removal: what the harvest takes off, yield goal x coefficient, lb/ac, with the straw or stover that leaves
 * the field; always, or down to nothing above a soil test that the guide names.
 */
export const removal: RuleKind<Parameters> = {
	kind: 'removal',
	parameters,
	steps: {},
	needs: (p) => ['yieldGoal', 'residueShare', ...(p.noneAbovePpm === undefined ? [] : (['soilTest'] as const))],
	compute(p, { yieldGoal, residueShare, soilTest }) {
		const taken = takenOff(p, yieldGoal, residueShare);
		if (p.noneAbovePpm === undefined) return taken;
		if (Number.isNaN(taken + soilTest)) return NaN;
		return soilTest > p.noneAbovePpm ? 0 : taken;
	},
	explain(p, { yieldGoal, residueShare, soilTest }, words, { rate }) {
		const source = sourceOf(words);
		const unit = `lb per ${yieldGoal.unit.replace('/ac', '')}`;
		const answer = { label: words.title, value: rate, unit: words.unit, ...source };
		if (p.noneAbovePpm !== undefined && soilTest.value > p.noneAbovePpm) {
			const formula = `none: the soil test is above ${p.noneAbovePpm} ppm`;
			return figure({ ...answer, formula, inputs: [soilTest], cautions: words.cautions });
		}
		const inUnit = figure({ label: 'in each unit of yield', value: p.perYield, unit, ...source });
		const straw = residueShare.value > 0 && p.residuePerYield !== undefined;
		const inStraw = figure({ label: 'in its straw or stover', value: p.residuePerYield ?? 0, unit, ...source });
		const unknownStraw = residueShare.value > 0 && p.residuePerYield === undefined;
		return figure({
			...answer,
			formula: straw ? '(removal + straw x share taken off) x yield goal' : 'removal x yield goal',
			inputs: straw ? [inUnit, inStraw, residueShare, yieldGoal] : [inUnit, yieldGoal],
			cautions: [
				...(words.cautions ?? []),
				...(unknownStraw ? ['Straw is taken off, and the guide gives no removal for it: more leaves than this.'] : [])
			]
		});
	}
};
