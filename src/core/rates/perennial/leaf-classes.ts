import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { leafUnit } from '../../units/leaf-units';
import { bears, fromYearParameter, needsOfBearing, tooYoung } from './bearing-years';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['leaf', 'classes'],
	properties: {
		leaf: { enum: ['N', 'P', 'K', 'Mg', 'B', 'Zn', 'Mn', 'Cu'], description: 'the element of the leaf test' },
		fromYear: fromYearParameter,
		classes: {
			type: 'array',
			minItems: 2,
			description: 'from the lowest leaf test up; the last has no upper end',
			items: {
				type: 'object',
				additionalProperties: false,
				required: ['name', 'rate'],
				properties: {
					name: { type: 'string' },
					below: { type: 'number', exclusiveMinimum: 0, description: '% in the leaf, ppm of boron and metals' },
					rate: { type: 'number', minimum: 0, description: 'lb/ac' }
				}
			}
		}
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** A rate by the class of a leaf test, lb/ac: the form in which many orchard guides give theirs. */
export const leafClasses: RuleKind<Parameters> = {
	kind: 'leaf-classes',
	parameters,
	steps: {},
	needs: (p) => ['leafTest', ...needsOfBearing(p)],
	compute: (p, { leafTest, plantAge }) =>
		Number.isNaN(leafTest) || !bears(p, plantAge) ? NaN : classOf(p, leafTest).rate,
	explain(p, figures, words, { rate }) {
		const young = tooYoung(p, figures, words.title);
		if (young) return young;
		const { leafTest } = figures;
		const { name, below } = classOf(p, leafTest.value);
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: `leaf ${p.leaf} is ${name}${below === undefined ? '' : ` (below ${below} ${leafUnit(p.leaf)})`}`,
			inputs: [leafTest],
			...sourceOf(words),
			cautions: words.cautions
		});
	}
};

function classOf({ classes }: Parameters, leaf: number): Parameters['classes'][number] {
	return classes.find(({ below = Infinity }) => leaf < below) ?? classes.at(-1)!;
}
