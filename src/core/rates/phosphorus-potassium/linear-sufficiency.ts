import type { FromSchema } from 'json-schema-to-ts';
import { figure, type Figure } from '../../figure/figure';
import { formatNumber } from '../../units/display';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';

const parameters = {
	type: 'object',
	additionalProperties: false,
	properties: {
		constant: { type: 'number', description: 'lb/ac whatever the yield' },
		perPpm: { type: 'number', exclusiveMinimum: 0, description: 'lb/ac less for each ppm, whatever the yield' },
		perYield: { type: 'number', exclusiveMinimum: 0, description: 'lb per yield unit at a soil test of 0' },
		perYieldAndPpm: { type: 'number', exclusiveMinimum: 0, description: 'lb per yield unit less for each ppm' },
		noneAbovePpm: { type: 'number', exclusiveMinimum: 0, description: 'nothing above this soil test' },
		leastRate: { type: 'number', exclusiveMinimum: 0, description: 'lb/ac, never less where anything is called for' }
	},
	anyOf: [{ required: ['perYield'] }, { required: ['constant'] }]
} as const;

type Parameters = FromSchema<typeof parameters>;

/** lb/ac whatever the yield, and lb for each unit of yield. */
const steps = { perAcre: NaN, perUnit: NaN };

/**
 * Feed the crop: constant - b x soil test + (a - c x soil test) x yield goal, lb/ac of the oxide, never below zero.
 * Soil test in ppm by the rule's method, yield in the crop's unit. The Great Plains state guides (NDSU SF882,
 * SDSU EC750) have the second part alone; the guides of the central plains (KSU MF-2586) have both, with an end.
 */
export const linearSufficiency: RuleKind<Parameters, typeof steps> = {
	kind: 'linear-sufficiency',
	parameters,
	steps,
	needs: (p) => (p.perYield === undefined ? ['soilTest'] : ['soilTest', 'yieldGoal']),
	compute(p, { soilTest, yieldGoal }, s) {
		s.perAcre = (p.constant ?? 0) - (p.perPpm ?? 0) * soilTest;
		s.perUnit = (p.perYield ?? 0) - (p.perYieldAndPpm ?? 0) * soilTest;
		const rate = s.perAcre + (p.perYield === undefined ? 0 : s.perUnit * yieldGoal);
		if (Number.isNaN(rate)) return NaN;
		if (rate <= 0 || (p.noneAbovePpm !== undefined && soilTest > p.noneAbovePpm)) return 0;
		return Math.max(p.leastRate ?? 0, rate);
	},
	explain(p, { soilTest, yieldGoal }, words, worked) {
		const source = sourceOf(words);
		const inputs: Figure[] = [];
		if (p.constant !== undefined) {
			inputs.push(
				figure({
					label: 'needed whatever the yield',
					value: worked.perAcre,
					unit: words.unit,
					formula: `${p.constant} - ${p.perPpm ?? 0} x soil test`,
					inputs: [soilTest],
					...source
				})
			);
		}
		if (p.perYield !== undefined) {
			const perUnitFigure = figure({
				label: 'needed for each unit of yield',
				value: worked.perUnit,
				unit: `lb per ${yieldGoal.unit.replace('/ac', '')}`,
				formula: `${p.perYield} - ${p.perYieldAndPpm ?? 0} x soil test`,
				inputs: [soilTest],
				...source
			});
			inputs.push(perUnitFigure, yieldGoal);
		}
		return figure({
			label: words.title,
			value: worked.rate,
			unit: words.unit,
			formula:
				worked.rate > 0
					? formulaText(p)
					: `at ${formatNumber(soilTest.value, 'ppm')} ppm the soil supplies what the crop needs: none`,
			inputs,
			...source,
			cautions: words.cautions
		});
	}
};

function formulaText({ constant, perYield, noneAbovePpm, leastRate }: Parameters): string {
	const parts = [
		constant === undefined ? '' : 'need whatever the yield',
		perYield === undefined ? '' : 'need per unit x yield goal'
	];
	const ends = [
		leastRate === undefined ? '' : `at least ${leastRate}`,
		noneAbovePpm === undefined ? '' : `none above ${noneAbovePpm} ppm`
	];
	return [parts.filter(Boolean).join(' + '), ...ends.filter(Boolean)].join(', ');
}
