import type { FromSchema } from 'json-schema-to-ts';
import { figure, type Figure } from '../../figure/figure';
import { sourceOf, type RuleKind } from '../../packs/rule-kind';
import { creditParameters } from './credits';

const parameters = {
	type: 'object',
	additionalProperties: false,
	required: [
		'constant',
		'perYield',
		'perNitratePpm',
		'perYieldAndOrganicMatter',
		'mostOrganicMatterPercent',
		'leastNitrateDepthIn',
		'timing',
		'priceFactor',
		'credits'
	],
	properties: {
		constant: { type: 'number', description: 'lb N/ac' },
		perYield: { type: 'number', exclusiveMinimum: 0, description: 'lb N for each unit of yield' },
		perNitratePpm: { type: 'number', minimum: 0, description: 'lb N for each ppm of nitrate-N in the root zone' },
		perYieldAndOrganicMatter: { type: 'number', minimum: 0, description: 'lb N for each unit of yield and each %' },
		mostOrganicMatterPercent: { type: 'number', exclusiveMinimum: 0, description: 'counts to this at most' },
		leastNitrateDepthIn: { type: 'number', exclusiveMinimum: 0, description: 'nitrate must be known to this depth' },
		timing: {
			type: 'object',
			additionalProperties: false,
			required: ['autumn', 'spring', 'split'],
			properties: {
				autumn: { type: 'number', exclusiveMinimum: 0 },
				spring: { type: 'number', exclusiveMinimum: 0 },
				split: { type: 'number', exclusiveMinimum: 0 }
			}
		},
		priceFactor: {
			type: 'object',
			additionalProperties: false,
			required: ['constant', 'linear', 'square', 'leastRatio', 'mostRatio'],
			description: 'constant + linear R + square R2, R = price of grain over price of nitrogen, kept in its limits',
			properties: {
				constant: { type: 'number' },
				linear: { type: 'number' },
				square: { type: 'number' },
				leastRatio: { type: 'number', exclusiveMinimum: 0 },
				mostRatio: { type: 'number', exclusiveMinimum: 0 }
			}
		},
		// Nitrate and organic matter are inside the equation, so they are no credits here.
		credits: {
			...creditParameters,
			properties: {
				previousCrop: creditParameters.properties.previousCrop,
				legumeCover: creditParameters.properties.legumeCover,
				manure: creditParameters.properties.manure,
				irrigationNitrate: creditParameters.properties.irrigationNitrate,
				starter: creditParameters.properties.starter
			}
		}
	}
} as const;

type Parameters = FromSchema<typeof parameters>;

/** lb N/ac that the soil does not give, price of grain over price of nitrogen, and the factor that makes. */
const steps = { need: NaN, priceRatio: NaN, priceFactor: NaN };

/**
 * Mass balance with soil nitrate, organic matter, timing and prices inside: lb N/ac, never below zero;
 * (constant + a YG - b NO3 - c YG OM - credits) x timing x price factor.
 * Source of the form: University of Nebraska EC117 (memory).
 */
export const massBalanceWithPrices: RuleKind<Parameters, typeof steps> = {
	kind: 'mass-balance-with-prices',
	byFurrowSlice: true,
	parameters,
	steps,
	needs: () => [
		'yieldGoal',
		'rootZoneNitratePpm',
		'organicMatter',
		'timingFactor',
		'grainPrice',
		'nitrogenPrice',
		'credits'
	],
	compute(p, { yieldGoal, rootZoneNitratePpm, organicMatter, timingFactor, grainPrice, nitrogenPrice, credits }, s) {
		const percent = Math.min(organicMatter, p.mostOrganicMatterPercent);
		const fromSoil = p.perNitratePpm * rootZoneNitratePpm + p.perYieldAndOrganicMatter * yieldGoal * percent;
		s.need = p.constant + p.perYield * yieldGoal - fromSoil;
		s.priceRatio = grainPrice / nitrogenPrice;
		const { constant, linear, square, leastRatio, mostRatio } = p.priceFactor;
		const r = Math.min(Math.max(s.priceRatio, leastRatio), mostRatio);
		s.priceFactor = constant + linear * r + square * r * r;
		return Math.max(0, s.need - credits) * timingFactor * s.priceFactor;
	},
	explain(p, figures, words, worked) {
		const { yieldGoal, rootZoneNitratePpm, timingFactor, grainPrice, nitrogenPrice, credits } = figures;
		const organicMatter = figures.organicMatter!;
		const source = sourceOf(words);
		const need = figure({
			label: 'the crop needs beyond what the soil gives',
			value: worked.need,
			unit: words.unit,
			formula: `${p.constant} + ${p.perYield} x yield goal - ${p.perNitratePpm} x nitrate - ${p.perYieldAndOrganicMatter} x yield goal x organic matter, to ${p.mostOrganicMatterPercent} % at most`,
			inputs: [yieldGoal, rootZoneNitratePpm, organicMatter],
			...source
		});
		const price = priceFigure(p, worked, [grainPrice, nitrogenPrice], source);
		const enough = need.value <= credits.value;
		return figure({
			label: words.title,
			value: worked.rate,
			unit: words.unit,
			formula: enough ? 'soil and credits cover the need: none' : '(need - credits) x timing x price factor',
			inputs: [need, credits, timingFactor, price],
			...source,
			cautions: words.cautions
		});
	}
};

function priceFigure(
	p: Parameters,
	{ priceRatio, priceFactor }: typeof steps,
	prices: Figure[],
	source: ReturnType<typeof sourceOf>
): Figure {
	const { constant, linear, square, leastRatio, mostRatio } = p.priceFactor;
	const held = priceRatio < leastRatio || priceRatio > mostRatio;
	return figure({
		label: 'price factor',
		value: priceFactor,
		unit: '',
		formula: `${constant} + ${linear} R - ${-square} R2, R = grain / nitrogen${held ? `, kept from ${leastRatio} to ${mostRatio}` : ''}`,
		inputs: prices,
		...source
	});
}
