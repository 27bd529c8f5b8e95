import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { atCec, cecLine } from '../../packs/cec-line';
import { residueParameter, strawLine, strawTaken } from './straw';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['ranges', 'lbPerPpm', 'buildYears', 'removalPerYield'],
	properties: {
		ranges: {
			type: 'array',
			minItems: 1,
			description: 'The range to keep the soil test in, ppm; by rising CEC where it depends on CEC.',
			items: {
				type: 'object',
				additionalProperties: false,
				required: ['lowPpm', 'highPpm'],
				properties: {
					cecBelow: { type: 'number', exclusiveMinimum: 0, description: 'for soils with a CEC below this' },
					lowPpm: { type: 'number', exclusiveMinimum: 0 },
					highPpm: { type: 'number', exclusiveMinimum: 0 }
				}
			}
		},
		lbPerPpm: { ...cecLine, description: 'lb/ac of the oxide that raise the test by 1 ppm' },
		buildYears: { type: 'number', minimum: 1, description: 'years over which a shortfall is built up' },
		removalPerYield: { type: 'number', minimum: 0, description: 'lb of the oxide in each unit of yield' },
		...residueParameter,
		maximum: { type: 'number', exclusiveMinimum: 0, description: 'lb/ac, never more in a year' }
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** lb/ac of the oxide; `perPpm` lb that raise the test by 1 ppm. */
const steps = { straw: NaN, removal: NaN, perPpm: NaN, build: NaN, full: NaN };

/**
 * Build to a range: below it removal and a share of the build-up, inside it removal, above it nothing. lb/ac of the
 * oxide; soil test in ppm, CEC in meq/100 g. Form of tri-state bulletin 974 (2020), from memory.
 */
export const buildToRange: RuleKind<Parameters, typeof steps> = {
	kind: 'build-to-range',
	byFurrowSlice: true,
	parameters,
	steps,
	needs: (p) => [
		'soilTest',
		'yieldGoal',
		...(p.ranges.length > 1 || p.lbPerPpm.perCec !== undefined ? (['cec'] as const) : []),
		...(p.residuePerYield === undefined ? [] : (['residueShare'] as const))
	],
	compute(p, { soilTest, yieldGoal, cec, residueShare }, s) {
		if (p.ranges.length > 1 && Number.isNaN(cec)) return NaN;
		const { lowPpm, highPpm } = rangeAt(p, cec);
		s.straw = strawTaken(p, yieldGoal, residueShare);
		s.removal = yieldGoal * p.removalPerYield + s.straw;
		s.perPpm = atCec(p.lbPerPpm, cec);
		s.build = (Math.max(0, lowPpm - soilTest) * s.perPpm) / p.buildYears;
		s.full = s.build + s.removal;
		if (soilTest > highPpm) return Number.isNaN(s.full) ? NaN : 0;
		return p.maximum !== undefined && s.full > p.maximum ? p.maximum : s.full;
	},
	explain(p, { soilTest, yieldGoal, cec, residueShare }, words, worked) {
		const straw = strawLine(p, worked.straw, yieldGoal, residueShare, words.unit);
		const source = sourceOf(words);
		const { lowPpm, highPpm, cecBelow } = rangeAt(p, cec?.value ?? NaN);
		const byCec = p.ranges.length > 1;
		const bound = (label: string, value: number) =>
			figure({
				label,
				value,
				unit: 'ppm',
				formula: byCec ? `for a CEC ${cecBelow === undefined ? 'above those' : `below ${cecBelow}`}` : '',
				inputs: byCec ? [cec] : [],
				...source
			});
		const low = bound('low end of the range', lowPpm);
		const high = bound('high end of the range', highPpm);
		const removal = figure({
			label: 'the crop takes off',
			value: worked.removal,
			unit: words.unit,
			formula: `yield goal x ${p.removalPerYield}${straw.length > 0 ? ' + straw or stover' : ''}`,
			inputs: [yieldGoal, ...straw],
			...source
		});
		const answer = { label: words.title, value: worked.rate, unit: words.unit, ...source, cautions: words.cautions };
		const capped = worked.rate < worked.full ? `, at most ${p.maximum}` : '';
		if (soilTest.value > highPpm) {
			const formula = 'above the range: none until the test comes down into it';
			return figure({ ...answer, formula, inputs: [soilTest, high] });
		}
		if (soilTest.value >= lowPpm) {
			return figure({
				...answer,
				formula: `inside the range: what the crop takes off${capped}`,
				inputs: [soilTest, low, high, removal]
			});
		}
		const perPpm = figure({
			label: 'to raise the test by 1 ppm',
			value: worked.perPpm,
			unit: words.unit,
			formula: p.lbPerPpm.perCec === undefined ? '' : `${p.lbPerPpm.constant} + ${p.lbPerPpm.perCec} x CEC`,
			inputs: p.lbPerPpm.perCec === undefined ? [] : [cec],
			...source
		});
		const build = figure({
			label: 'build-up this year',
			value: worked.build,
			unit: words.unit,
			formula: `(low end - soil test) x lb for each ppm / ${p.buildYears} years`,
			inputs: [low, soilTest, perPpm],
			...source
		});
		return figure({
			...answer,
			formula: `build-up + what the crop takes off${capped}`,
			inputs: [build, removal]
		});
	}
};

function rangeAt({ ranges }: Parameters, cec: number) {
	return ranges.find(({ cecBelow }) => cecBelow !== undefined && cec < cecBelow) ?? ranges[ranges.length - 1]!;
}
