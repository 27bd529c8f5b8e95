import type { FromSchema } from 'json-schema-to-ts';
import { figure } from '../../figure/figure';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { creditParameters } from '../nitrogen/credits';
import { lineOfYear } from './by-year';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: ['perYield', 'growth', 'efficiency', 'credits'],
	properties: {
		perYield: { type: 'number', exclusiveMinimum: 0, description: 'lb that each unit of the crop removes' },
		growth: {
			type: 'array',
			minItems: 1,
			description: 'lb/ac that wood and roots take, by the year of the planting’s life, in order',
			items: {
				type: 'object',
				additionalProperties: false,
				required: ['fromYear', 'lbPerAc'],
				properties: {
					fromYear: { type: 'integer', minimum: 1 },
					lbPerAc: { type: 'number', minimum: 0 }
				}
			}
		},
		efficiency: {
			type: 'number',
			exclusiveMinimum: 0,
			maximum: 1,
			description: 'share of what is given that the plant takes up'
		},
		credits: creditParameters
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** lb/ac: what crop and growth take, and what has to be given for it. */
const steps = { taken: NaN, demand: NaN };

/**
 * Demand by crop load, lb/ac: (removal per unit x expected crop + growth) / efficiency, less the credits, never below
 * zero. Form of the California almond guidance; credits are taken off after the division.
 */
export const cropLoadDemand: RuleKind<Parameters, typeof steps> = {
	kind: 'crop-load-demand',
	parameters,
	steps,
	needs: () => ['yieldGoal', 'plantAge', 'credits'],
	compute(p, { yieldGoal, plantAge, credits }, s) {
		s.taken = p.perYield * yieldGoal + growthIn(p, plantAge);
		s.demand = s.taken / p.efficiency;
		return Math.max(0, s.demand - credits);
	},
	explain(p, { yieldGoal, plantAge, credits }, words, { taken, demand, rate }) {
		const source = sourceOf(words);
		const unit = `lb per ${yieldGoal.unit.replace('/ac', '')}`;
		const growth = figure({
			label: 'growth of wood and roots',
			value: growthIn(p, plantAge.value),
			unit: words.unit,
			formula: 'by the year of its life',
			inputs: [plantAge],
			...source
		});
		const all = figure({
			label: 'taken by crop and growth',
			value: taken,
			unit: words.unit,
			formula: 'removal x expected crop + growth',
			inputs: [figure({ label: 'removal', value: p.perYield, unit, ...source }), yieldGoal, growth],
			...source
		});
		const efficiency = figure({ label: 'share that is taken up', value: p.efficiency, unit: '', ...source });
		const given = figure({
			label: 'to be given for it',
			value: demand,
			unit: words.unit,
			formula: 'taken / share that is taken up',
			inputs: [all, efficiency],
			...source
		});
		return figure({
			label: words.title,
			value: rate,
			unit: words.unit,
			formula: rate === 0 ? 'the credits cover the demand: none' : 'demand - credits',
			inputs: [given, credits],
			...source,
			cautions: words.cautions
		});
	}
};

/** A planting in its first years grows by its first line. */
function growthIn({ growth }: Parameters, year: number): number {
	return Number.isNaN(year) ? NaN : (lineOfYear(growth, year) ?? growth[0]!).lbPerAc;
}
