import { InputError } from '../check/problem';
import { figure, notApplicable, valueIfKnown, type Answer } from '../figure/figure';
import type { Crop, Product, WaterAnswer, WaterLimits, WaterReport, WaterRequest } from '../schema-types';
import { acidAmounts } from './acid';
import { acidApproaches, type AcidApproach } from './acid-approaches';
import { acidProducts, type AcidProduct } from './acid-products';
import { allKnown } from '../figure/all-known';
import { acidByTitration, acidToPh } from './carbonate';
import { delivered, waterPutOn } from './delivered';
import { meqOf } from './ions';
import { cropsWithWater, type CropWithWater } from './crops-with-water';
import { ecOf, leachingRequirement, relativeYield, thresholdOf } from './salt';
import { carbonateOf, infiltration, residualSodiumCarbonate, sodiumAdsorptionRatio } from './sodium';
import { waterCautions } from './water-cautions';

/** What water is read against, and the acids of the catalogue. */
export interface WaterKnowledge {
	crops: readonly Crop[];
	waterLimits: WaterLimits;
	products: readonly Product[];
}

/**
 * What irrigation water does to soil, crop and pipes; each number with its steps or the reason why there is none.
 * @param request checked by schemas/water-request.schema.json
 * @throws InputError for a crop that is not known, or nitrate told twice
 */
export function answerWater(request: WaterRequest, { crops, waterLimits, products }: WaterKnowledge): WaterAnswer {
	const { water, acidTo, inchesPerSeason } = request;
	const crop = cropOf(request.crop, crops);
	if (water.no3 !== undefined && water.no3n !== undefined) {
		throw new InputError([{ path: '/water/no3', message: 'says the same as /water/no3n: give one of the two' }]);
	}
	const brought = inchesPerSeason === undefined ? undefined : delivered(water, waterPutOn(inchesPerSeason));
	const alkalinity = alkalinityOf(water);
	const acid = acidOf(request, alkalinity);
	const sulfuric = acidTo === undefined || !acid.applies ? acid : acidAmounts(acid).sulfuric;
	const worksheets = {
		sar: sodiumAdsorptionRatio(water),
		rsc: residualSodiumCarbonate(water),
		leachingRequirement: leachingOf(request, crop, waterLimits),
		relativeYield: yieldOf(request, crop, waterLimits),
		acidMeqPerL: acid,
		acidLbPerAcreFoot: sulfuric,
		nitrogenCredit: brought?.N ?? notToldHowMuch('nitrogen credit')
	};
	const sar = valueIfKnown(worksheets.sar);
	return {
		sar: sar ?? null,
		rsc: valueIfKnown(worksheets.rsc) ?? null,
		infiltration:
			sar === undefined || water.ec === undefined
				? null
				: (infiltration(sar, water.ec, waterLimits.infiltration) ?? 'severe'),
		leachingRequirement: valueIfKnown(worksheets.leachingRequirement) ?? null,
		relativeYield: valueIfKnown(worksheets.relativeYield) ?? null,
		acid: acid.applies && sulfuric.applies ? { meqPerL: acid.value, lbPerAcreFoot: sulfuric.value } : null,
		nitrogenCredit: valueIfKnown(worksheets.nitrogenCredit) ?? null,
		delivered: Object.fromEntries(
			Object.entries(brought ?? {}).flatMap(([nutrient, answer]) => (answer.applies ? [[nutrient, answer.value]] : []))
		),
		...(acidTo === undefined
			? {}
			: {
					approaches: approachesOf(request, alkalinity, acid),
					acids: acidProducts(acid, products).map(acidInNumbers)
				}),
		crops: cropsWithWater(request, crops, waterLimits).map(cropInNumbers),
		cautions: waterCautions(request, waterLimits),
		worksheets: { ...worksheets, ...(brought ?? {}) }
	};
}

function cropInNumbers({ crop, leaching, yield: yields, burns }: CropWithWater) {
	return {
		crop: crop.id,
		leachingRequirement: valueIfKnown(leaching) ?? null,
		relativeYield: valueIfKnown(yields) ?? null,
		burns: burns.map(({ text }) => text)
	};
}

function acidInNumbers({ product, pounds, brings }: AcidProduct) {
	return {
		product: product.id,
		name: product.name,
		lbPerAcreFoot: valueIfKnown(pounds) ?? null,
		brings: Object.fromEntries(
			Object.entries(brings).map(([nutrient, answer]) => [nutrient, valueIfKnown(answer) ?? null])
		)
	};
}

function cropOf(id: string | undefined, crops: readonly Crop[]): Crop | undefined {
	const found = crops.find((crop) => crop.id === id);
	if (id === undefined || found) return found;
	const message = `"${id}" is no crop; known: ${crops.map((crop) => crop.id).join(', ')}`;
	throw new InputError([{ path: '/crop', message }]);
}

/** The crop's threshold is what leaching is to hold, never the salt that the soil has; without a crop, the salt that the request names. */
function leachingOf({ water, ece }: WaterRequest, crop: Crop | undefined, limits: WaterLimits): Answer {
	const label = 'leaching requirement';
	const held = crop ? thresholdOf(crop, limits) : saltToHold(label, ece);
	return allKnown(label, { ecw: ecOf(water), ece: held }, (known) => leachingRequirement(known.ecw, known.ece));
}

function saltToHold(label: string, ece: number | undefined): Answer {
	if (ece !== undefined)
		return figure({ label: 'salt that the soil is to be held at', value: ece, unit: 'dS/m', basis: 'adviser' });
	return notApplicable(
		label,
		'neither crop nor ece is given',
		'Give the crop, or the salt to hold the soil at, as ece.'
	);
}

function yieldOf({ ece }: WaterRequest, crop: Crop | undefined, limits: WaterLimits): Answer {
	const label = 'yield in this soil';
	if (!crop) return notApplicable(label, 'no crop is given', 'Give the crop.');
	if (ece === undefined) {
		return notApplicable(
			label,
			'the salt of the soil is not given',
			'Give ece, dS/m of the saturation extract.',
			'ECe'
		);
	}
	return relativeYield(
		crop,
		figure({ label: 'salt of the soil', value: ece, unit: 'dS/m', basis: 'measured' }),
		limits
	);
}

/** Bicarbonate and carbonate together, meq/L. */
function alkalinityOf(water: WaterReport): Answer {
	return allKnown('alkalinity', { hco3: meqOf(water, 'hco3'), co3: carbonateOf(water) }, ({ hco3, co3 }) =>
		figure({
			label: 'alkalinity',
			value: hco3.value + co3.value,
			unit: 'meq/L',
			formula: 'HCO3 + CO3',
			inputs: [hco3, co3],
			basis: 'measured'
		})
	);
}

function acidOf({ water, acidTo, titration }: WaterRequest, alkalinity: Answer): Answer {
	const label = 'acid for the water';
	if (acidTo === undefined) return notApplicable(label, 'no pH to bring it to is given', 'Give acidTo.');
	const target = figure({ label: 'pH to bring it to', value: acidTo, unit: 'pH', basis: 'adviser' });
	if (titration) return acidByTitration(titration, target);
	const ph: Answer =
		water.ph === undefined
			? notApplicable(label, 'the report gives no pH', 'Measure the pH of the water.', 'pH')
			: figure({ label: 'pH of the water', value: water.ph, unit: 'pH', basis: 'measured' });
	return allKnown(label, { alkalinity, ph }, (known) => acidToPh(known.alkalinity, known.ph, target));
}

/** What acid would be over the season, by each way of thinking. */
function approachesOf(request: WaterRequest, alkalinity: Answer, acid: Answer): AcidApproach[] {
	const told = (label: string, value: number | undefined, unit: string, key: string): Answer =>
		value === undefined
			? notApplicable(label, `${label} is not given`, `Give ${key}.`, label)
			: figure({ label, value, unit, basis: 'adviser' });
	return acidApproaches(alkalinity, acid, {
		water: told('water put on', request.inchesPerSeason, 'in of water', 'inchesPerSeason'),
		irrigations: told('irrigations in a week', request.irrigationsPerWeek, '', 'irrigationsPerWeek'),
		price: told('price of the acid', request.acidPrice, '$/lb', 'acidPrice')
	});
}

function notToldHowMuch(label: string): Answer {
	return notApplicable(label, 'how much water goes on is not given', 'Give inchesPerSeason.', 'water put on');
}
