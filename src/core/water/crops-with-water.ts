import { allKnown } from '../figure/all-known';
import { figure, type Answer, type Figure } from '../figure/figure';
import type { Crop, WaterCaution, WaterLimits, WaterRequest } from '../schema-types';
import { ecOf, leachingRequirement, relativeYield, thresholdOf, toleranceOf } from './salt';
import { toxicIons } from './water-cautions';

/** Soil is so many times as salty as its water where 15 to 20 % of the water passes the roots. */
const SOIL_PER_WATER = 1.5;

/** What a crop makes of a water. */
export interface CropWithWater {
	crop: Pick<Crop, 'id' | 'name'>;
	/** Salt of the soil up to which it loses nothing. */
	threshold: Answer;
	/** Share of the water that is to pass its roots. */
	leaching: Answer;
	/** In the soil that is told, else in the soil that this water makes. */
	yield: Answer;
	/** What burns its leaves. */
	burns: WaterCaution[];
}

/**
 * The salt that soil comes to under a water, dS/m: 1.5 x ECw (Ayers and Westcot, FAO 29, from memory), where the usual
 * 15 to 20 % of it passes the roots.
 */
export function soilSaltUnder(ecw: Figure): Figure {
	return figure({
		label: 'salt that the soil comes to',
		value: SOIL_PER_WATER * ecw.value,
		unit: 'dS/m',
		formula: `${SOIL_PER_WATER} x ECw, with 15 to 20 % of the water passing the roots`,
		inputs: [ecw],
		basis: 'memory',
		citation: 'Ayers and Westcot, FAO 29 rev. 1, 1985'
	});
}

/** Every crop with a known tolerance of salt, and those known to be sensitive, under a water; the hardiest first. */
export function cropsWithWater(
	{ water, ece, sprinkled = false }: Pick<WaterRequest, 'water' | 'ece' | 'sprinkled'>,
	crops: readonly Crop[],
	limits: WaterLimits
): CropWithWater[] {
	const ecw = ecOf(water);
	const soil: Answer =
		ece === undefined
			? allKnown('salt of the soil', { ecw }, (known) => soilSaltUnder(known.ecw))
			: figure({ label: 'salt of the soil', value: ece, unit: 'dS/m', basis: 'measured' });
	const known = crops.filter(
		(crop) => toleranceOf(crop, limits) !== undefined || limits.sensitive.some((one) => one.crop === crop.id)
	);
	const hardiness = (crop: Crop) => toleranceOf(crop, limits)?.thresholdDsM ?? 0;
	return known
		.sort((a, b) => hardiness(b) - hardiness(a))
		.map((crop) => {
			const threshold = thresholdOf(crop, limits);
			return {
				crop: { id: crop.id, name: crop.name },
				threshold,
				leaching: allKnown(`leaching for ${crop.name.toLowerCase()}`, { ecw, threshold }, (both) =>
					leachingRequirement(both.ecw, both.threshold)
				),
				yield: allKnown(`yield of ${crop.name.toLowerCase()}`, { soil }, (told) =>
					relativeYield(crop, told.soil, limits)
				),
				// Annual crops take chloride and sodium from the soil without harm; their leaves burn where they are sprinkled.
				burns: toxicIons(water, sprinkled, limits).filter(
					({ code }) => crop.perennial || sprinkled || code === 'toxic-b'
				)
			};
		});
}
