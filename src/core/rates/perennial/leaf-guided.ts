import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { bears, fromYearParameter, needsOfBearing, tooYoung } from './bearing-years';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['leaf', 'base', 'target', 'sharePerTenth', 'mostShare'],
	properties: {
		leaf: { enum: ['N', 'P', 'K', 'Mg'], description: 'the element of the leaf test that moves the rate' },
		base: { type: 'number', exclusiveMinimum: 0, description: 'lb/ac at the target' },
		target: { type: 'number', exclusiveMinimum: 0, description: '% in the leaf' },
		sharePerTenth: {
			type: 'number',
			exclusiveMinimum: 0,
			maximum: 1,
			description: 'share of the base more for each 0.1 % below the target, less above it'
		},
		mostShare: { type: 'number', minimum: 1, description: 'the rate is held below this times the base' },
		fromYear: fromYearParameter
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** Share of the base rate that the leaf test calls for. */
const steps = { share: NaN };
const TENTH = 0.1;

/**
 * Leaf-guided rate, lb/ac: base x (1 + share x (target - leaf) / 0.1 %), held between 0 and mostShare x base. Does not apply to a
 * planting younger than `fromYear`.
 * Stiles and Reid 1991, Cornell Information Bulletin 219, for apple nitrogen (from memory).
 */
export const leafGuided: RuleKind<Parameters, typeof steps> = {
	kind: 'leaf-guided',
	parameters,
	steps,
	needs: (p) => ['leafTest', ...needsOfBearing(p)],
	compute(p, { leafTest, plantAge }, s) {
		if (!bears(p, plantAge)) return NaN;
		const free = 1 + (p.sharePerTenth * (p.target - leafTest)) / TENTH;
		s.share = Math.min(p.mostShare, Math.max(0, free));
		return p.base * s.share;
	},
	explain(p, figures, words, { share, rate }) {
		const young = tooYoung(p, figures, words.title);
		if (young) return young;
		const { leafTest } = figures;
		const source = sourceOf(words);
		const held = share === 0 || share === p.mostShare ? `, held between 0 and ${p.mostShare}` : '';
		const part = figure({
			label: 'share of the base rate',
			value: share,
			unit: '',
			formula: `1 + ${p.sharePerTenth} for each 0.1 % below the target${held}`,
			inputs: [figure({ label: `target of leaf ${p.leaf}`, value: p.target, unit: '% in leaf', ...source }), leafTest],
			...source
		});
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: rate === 0 ? 'the leaf holds so much that none is called for' : 'base x share',
			inputs: [figure({ label: 'base rate', value: p.base, unit: words.unit, ...source }), part],
			...source,
			cautions: words.cautions
		});
	}
};
