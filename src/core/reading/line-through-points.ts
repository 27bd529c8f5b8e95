import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../figure/figure';
import type { RuleKind } from '../packs/rule-kind';

/** A table as pairs. */
export const pointsSchema = {
	type: 'array',
	minItems: 2,
	description: 'Pairs [input, value] with the input rising.',
	items: { type: 'array', minItems: 2, maxItems: 2, items: { type: 'number' } }
} as const;

type Points = readonly (readonly number[])[];

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['input', 'points'],
	properties: {
		input: { enum: ['soilPh', 'yieldGoal', 'soilTest'] },
		points: pointsSchema
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/**
 * A published table read as straight lines between its points; outside the table the nearest end holds.
 * Serves relative yield by pH (%) and sulfur by yield goal (lb/ac).
 */
export const lineThroughPoints: RuleKind<Parameters> = {
	kind: 'line-through-points',
	parameters,
	steps: {},
	needs: ({ input }) => [input],
	compute: (p, numbers) => interpolate(p.points, numbers[p.input]),
	explain(p, figures, words, { rate }) {
		const x = figures[p.input];
		const points = p.points;
		const first = points[0]![0]!;
		const last = points[points.length - 1]![0]!;
		const outside = x.value < first || x.value > last;
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: `between the points ${points.map(([at, value]) => `${at}: ${value}`).join(', ')}`,
			inputs: [x],
			basis: words.basis,
			citation: words.citation,
			cautions: [
				...(words.cautions ?? []),
				...(outside ? [`${x.value} lies outside the table (${first} to ${last}); its end is used.`] : [])
			]
		});
	}
};

/** Straight lines between the points; the nearest end outside them. */
export function interpolate(points: Points, x: number): number {
	if (x <= points[0]![0]!) return points[0]![1]!;
	for (let index = 1; index < points.length; index++) {
		const [right = NaN, rightValue = NaN] = points[index]!;
		if (x <= right) {
			const [left = NaN, leftValue = NaN] = points[index - 1]!;
			return leftValue + ((rightValue - leftValue) * (x - left)) / (right - left);
		}
	}
	return Number.isNaN(x) ? NaN : points[points.length - 1]![1]!;
}
