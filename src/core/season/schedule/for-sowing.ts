import { isSownInAutumn } from '../stages/stage-dates';

/**
 * Of what is known of a crop, what is for the time of its sowing: a winter form has days and an uptake of its own.
 * @param plantingDate undefined where no day is set: the crop is then the one that is usual here
 * @returns undefined where nothing is known of the crop
 */
export function forSowing<Known extends { crop: string; sown?: 'autumn' }>(
	known: readonly Known[],
	crop: string,
	plantingDate: string | undefined
): Known | undefined {
	const inAutumn = plantingDate !== undefined && isSownInAutumn(plantingDate);
	const own = known.filter((one) => one.crop === crop);
	return own.find(({ sown }) => inAutumn === (sown === 'autumn')) ?? own.find(({ sown }) => sown === undefined);
}
