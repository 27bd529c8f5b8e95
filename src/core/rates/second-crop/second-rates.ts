import type { CompiledRule } from '../../packs/pack';
import type { Site } from '../../reading/site';
import type { SiteReading } from '../../reading/site-reading';
import { SampledSoil } from '../../reading/soil/sampled-soil';
import type { AdviseRequest, Analyte, Crop, Rate, RateNutrient } from '../../schema-types';
import { checkGoal } from '../check-goal';
import { secondOfYear } from '../phosphorus-potassium/second-of-year';
import { OWN_CURVES } from '../nitrogen/own-curves';
import { rateOf } from '../rate';
import { chosenOfSecond } from './second-nitrogen';
import { previousCropOf } from './previous-crop';

/** What a sample says only of its own day. */
const MINERAL: ReadonlySet<Analyte> = new Set(['NO3-N', 'NH4-N']);
/** What is asked for a second crop beside nitrogen; lime and micronutrients are settled with the first. */
const BESIDE_NITROGEN: readonly RateNutrient[] = ['P2O5', 'K2O', 'S'];

/**
 * The site as the second crop of a year finds it: after the first, with nothing of what was settled or found for that. The nitrate of a
 * sample from before the first crop is gone: it is left out, so that a method that needs it says so.
 * @param grain price of its own grain, $ per yield unit
 * @throws InputError for a goal that the crop cannot have
 */
export function secondSite(site: Site, crop: Crop, yieldGoal: number, grain: number | undefined): Site {
	checkGoal(crop, yieldGoal, '/secondCrop/yieldGoal');
	const layers = site.soil.layers.map((layer) => ({
		...layer,
		results: layer.results.filter(({ analyte }) => !MINERAL.has(analyte))
	}));
	return {
		...site,
		crop,
		yieldGoal,
		previousCrop: previousCropOf(site.crop.id),
		soil: new SampledSoil(layers, { units: site.units }),
		earlier: [],
		residueShare: 0,
		nitrogenRate: undefined,
		prices: { grain, nitrogen: site.prices.nitrogen },
		nitrogen: {},
		coverNitrogen: undefined,
		programme: undefined,
		inSeason: {},
		targetPh: undefined,
		targetPhScale: undefined
	};
}

/**
 * Rates of the second crop by each guide that knows it, from the soil test of the first; sulfur by the nitrogen settled on for it. A deficit
 * of the exchange is made good once, with the first crop; the adviser's own curves were fitted to the first.
 * @param second the ground as it finds it
 */
export function secondRates(
	wanted: readonly CompiledRule[],
	second: SiteReading,
	{ prices = {}, units, secondCrop }: Pick<AdviseRequest, 'prices' | 'units' | 'secondCrop'>
): Rate[] {
	const { crop } = second.site;
	const ratesOf = (nutrient: RateNutrient, reading: SiteReading) =>
		wanted
			.filter(
				(compiled) =>
					compiled.rule.gives === nutrient &&
					compiled.pack.id !== OWN_CURVES &&
					compiled.forCrop(crop.id) &&
					(!isTwoYear(nutrient) || isByTheYear(compiled, crop))
			)
			.map((compiled) => rateOf(compiled, nutrient, reading, prices, units, secondOfYear(compiled, reading)));
	const nitrogen = ratesOf('N', second);
	const nitrogenRate = chosenOfSecond(secondCrop?.nitrogen, nitrogen)?.rate.value;
	const fed = nitrogenRate === undefined ? second : second.of({ ...second.site, nitrogenRate });
	return [...nitrogen, ...BESIDE_NITROGEN.flatMap((nutrient) => ratesOf(nutrient, fed))];
}

/** Of what two crops may get in one pass. */
export function isTwoYear(nutrient: RateNutrient): nutrient is 'P2O5' | 'K2O' {
	return nutrient === 'P2O5' || nutrient === 'K2O';
}

/** A rate that the goal of the year moves; a deficit of the exchange is made good once, whatever grows. */
export function isByTheYear(compiled: CompiledRule, { id }: Crop): boolean {
	return compiled.forCrop(id)?.needs.includes('yieldGoal') ?? false;
}
