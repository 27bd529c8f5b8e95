import type { FromSchema } from 'json-schema-to-ts';
import { figure, notApplicable } from '../../figure/figure';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { lineOfYear } from './by-year';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['years'],
	properties: {
		years: {
			type: 'array',
			minItems: 1,
			description: 'by the year of the planting’s life, in order; the last line holds from then on',
			items: {
				type: 'object',
				additionalProperties: false,
				required: ['fromYear'],
				properties: {
					fromYear: { type: 'integer', minimum: 1 },
					lbPerPlant: { type: 'number', minimum: 0, description: 'for each plant' },
					lbPerPlantAndYear: { type: 'number', minimum: 0, description: 'for each plant, times the year of its life' },
					lbPerAc: { type: 'number', minimum: 0, description: 'for each acre' }
				},
				oneOf: [{ required: ['lbPerPlant'] }, { required: ['lbPerPlantAndYear'] }, { required: ['lbPerAc'] }]
			}
		},
		noneFromPpm: { type: 'number', exclusiveMinimum: 0, description: 'nothing where the soil test is this high' },
		lastYear: { type: 'integer', minimum: 1, description: 'nothing is said after this year of its life' },
		mostLbPerAc: { type: 'number', exclusiveMinimum: 0, description: 'the mature rate: never more than this' }
	}
} as const;

type Parameters = FromSchema<typeof parameters>;
type Year = Parameters['years'][number];

/** lb for each plant, and lb/ac before the cap. */
const steps = { each: NaN, uncapped: NaN };

/**
 * Programme by age: what a young planting gets in each year of its life, for each plant or acre, up to the mature rate; lb/ac.
 * @returns does not apply outside the years of the programme
 */
export const ageProgramme: RuleKind<Parameters, typeof steps> = {
	kind: 'age-programme',
	parameters,
	steps,
	needs: (p) => [
		'plantAge',
		...(p.years.some(isByPlant) ? (['plantsPerAcre'] as const) : []),
		...(p.noneFromPpm === undefined ? [] : (['soilTest'] as const))
	],
	compute(p, { plantAge, plantsPerAcre, soilTest }, s) {
		const year = yearOf(p, plantAge);
		if (!year || (p.years.some(isByPlant) && Number.isNaN(plantsPerAcre))) return NaN;
		if (p.noneFromPpm !== undefined && Number.isNaN(soilTest)) return NaN;
		s.each = year.lbPerPlant ?? (year.lbPerPlantAndYear ?? NaN) * plantAge;
		s.uncapped = year.lbPerAc ?? s.each * plantsPerAcre;
		if (p.noneFromPpm !== undefined && soilTest >= p.noneFromPpm) return 0;
		return Math.min(s.uncapped, p.mostLbPerAc ?? Infinity);
	},
	explain(p, { plantAge, plantsPerAcre, soilTest }, words, { each, uncapped, rate }) {
		const source = sourceOf(words);
		const year = yearOf(p, plantAge.value);
		if (!year) {
			const from = p.years[0]!.fromYear;
			const span = p.lastYear === undefined ? `year ${from} on` : `years ${from} to ${p.lastYear}`;
			const reason = `the programme is for ${span} of a planting, and this is year ${plantAge.value}`;
			return notApplicable(words.title, reason, 'Go by another approach.');
		}
		const end = { label: words.title, unit: words.unit, ...source, cautions: words.cautions };
		if (p.noneFromPpm !== undefined && soilTest.value >= p.noneFromPpm) {
			return figure({
				...end,
				value: 0,
				formula: `none where the soil test is ${p.noneFromPpm} ppm or more`,
				inputs: [soilTest]
			});
		}
		const capped = rate < uncapped;
		const most = capped ? `, at most ${p.mostLbPerAc}: the mature rate` : '';
		if (!isByPlant(year)) {
			return figure({ ...end, value: rate, formula: `for each acre in this year${most}`, inputs: [plantAge] });
		}
		const dose = figure({
			label: 'for each plant',
			value: each,
			unit: 'lb/plant',
			formula:
				year.lbPerPlant === undefined ? `${year.lbPerPlantAndYear} x year of its life` : 'by the year of its life',
			inputs: [plantAge],
			...source
		});
		return figure({ ...end, value: rate, formula: `dose x plants${most}`, inputs: [dose, plantsPerAcre] });
	}
};

function yearOf({ years, lastYear = Infinity }: Parameters, age: number): Year | undefined {
	return age <= lastYear ? lineOfYear(years, age) : undefined;
}

function isByPlant({ lbPerAc }: Year): boolean {
	return lbPerAc === undefined;
}
