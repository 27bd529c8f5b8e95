import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../figure/figure';
import { sourceOf, type RuleKind } from '../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['classes'],
	properties: {
		classes: {
			type: 'array',
			minItems: 2,
			maxItems: 12,
			description: 'From the lowest soil test up; the last one has no upper end.',
			items: {
				type: 'object',
				additionalProperties: false,
				required: ['name', 'rate'],
				properties: {
					name: { type: 'string', minLength: 1, maxLength: 40 },
					below: { type: 'number', exclusiveMinimum: 0, description: 'ppm; a soil test below this is in the class' },
					rate: { type: 'number', minimum: 0, description: 'lb/ac' },
					perYield: { type: 'number', minimum: 0, description: 'lb more for each unit of yield' }
				}
			}
		}
	}
} as const;

type Parameters = FromSchema<typeof parameters>;
type SoilClass = Parameters['classes'][number];

/**
 * Class table: a rate, lb/ac, for each class of the soil test (ppm by the rule's method), as most state guides print
 * it, with or without a part that grows with the yield goal. A table steps; nothing is smoothed.
 */
export const classTable: RuleKind<Parameters> = {
	kind: 'class-table',
	parameters,
	steps: {},
	needs: ({ classes }) =>
		classes.some(({ perYield }) => perYield !== undefined) ? ['soilTest', 'yieldGoal'] : ['soilTest'],
	compute(p, { soilTest, yieldGoal }) {
		if (Number.isNaN(soilTest)) return NaN;
		const { rate, perYield } = classOf(p, soilTest);
		// A class without a yield part answers only where the others could answer too.
		const goal = p.classes.some((one) => one.perYield !== undefined) ? yieldGoal : 0;
		return rate + (perYield ?? 0) * goal;
	},
	explain(p, { soilTest, yieldGoal }, words, { rate }) {
		const own = classOf(p, soilTest.value);
		const source = sourceOf(words);
		const tableRate = figure({ label: `rate for “${own.name}”`, value: own.rate, unit: words.unit, ...source });
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: `${own.name}: ${rangeText(p, own)}${own.perYield === undefined ? '' : `, and ${own.perYield} lb for each unit of yield`}`,
			inputs: [soilTest, tableRate, ...(own.perYield === undefined ? [] : [yieldGoal])],
			...source,
			cautions: words.cautions
		});
	}
};

function classOf({ classes }: Parameters, soilTest: number): SoilClass {
	return classes.find(({ below }) => below !== undefined && soilTest < below) ?? classes[classes.length - 1]!;
}

function rangeText({ classes }: Parameters, own: SoilClass): string {
	const from = classes[classes.indexOf(own) - 1]?.below;
	if (from === undefined) return `below ${own.below} ppm`;
	return own.below === undefined ? `${from} ppm and above` : `${from} to under ${own.below} ppm`;
}
