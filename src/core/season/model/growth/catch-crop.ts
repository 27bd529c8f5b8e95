import { InputError } from '../../../check/problem';
import { daysBetween } from '../../weather/season-weather';
import type { CatchCrop, CatchCropModel, SeasonModel, WeatherDay } from '../../../schema-types';

/** A catch crop lives through a winter, not longer. */
const MOST_DAYS = 300;

/**
 * The catch crop of a request, as the model knows it.
 * @param earliest the first day on which it can be sown
 * @throws InputError for a crop that the model does not know, or days that do not follow each other
 */
export function catchCropModel(
	{ crop, sownOn, endedOn }: CatchCrop,
	earliest: string,
	{ catchCrops }: SeasonModel
): CatchCropModel {
	const found = catchCrops.find(({ id }) => id === crop);
	if (!found) {
		const known = catchCrops.map(({ id }) => id).join(', ');
		throw new InputError([
			{ path: '/catchCrop/crop', message: `"${crop}" is no catch crop of the model; known: ${known}` }
		]);
	}
	if (sownOn < earliest) {
		const message = `must lie after the crop of the year, ${earliest} or later; got "${sownOn}"`;
		throw new InputError([{ path: '/catchCrop/sownOn', message }]);
	}
	const days = daysBetween(sownOn, endedOn);
	if (days <= 0 || days > MOST_DAYS) {
		const message = `must lie within ${MOST_DAYS} days after it was sown; got "${endedOn}"`;
		throw new InputError([{ path: '/catchCrop/endedOn', message }]);
	}
	return found;
}

/**
 * N that a catch crop has taken up by each day from its sowing if it never wants, kg/ha: none until its roots work, then by its heat, up
 * to what it can hold. Common practice.
 * @param weather from the day of sowing on
 */
export function catchCropUptake(
	weather: readonly Pick<WeatherDay, 'minC' | 'maxC'>[],
	{ growsAboveC, wantsFromDegreeDays, kgHaPerDegreeDay, mostKgHa }: CatchCropModel
): number[] {
	let heat = 0;
	return weather.map(({ minC, maxC }) => {
		heat += Math.max(0, (minC + maxC) / 2 - growsAboveC);
		return Math.min(mostKgHa, Math.max(0, heat - wantsFromDegreeDays) * kgHaPerDegreeDay);
	});
}
