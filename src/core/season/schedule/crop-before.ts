import type { Crop, CropId, Schedule } from '../../schema-types';
import { forSowing } from './for-sowing';
import { usualPlantingDate } from './usual-planting';
import { harvestYear } from '../stages/stage-dates';
import { shiftDate } from '../weather/season-weather';

/** A field crop whose days are not known stands so long: judgement. */
const USUAL_DAYS = 140;

/** The crop that stood on the field before this one, and its usual days from planting to harvest. */
export interface CropBefore {
	name: string;
	from: string;
	to: string;
}

/**
 * When the crop before this one usually stands. It is off the day before this one is planted at the latest.
 * @param previous as it is named with the goal
 * @returns undefined where the previous crop or its days are not known, and for perennials
 */
export function cropBefore(
	previous: string | undefined,
	plantingDate: string,
	{ crops, schedules }: { crops: readonly Crop[]; schedules: readonly Schedule[] }
): CropBefore | undefined {
	const crop = crops.find(({ id }) => id === (previous as CropId | undefined));
	const schedule = crop && forSowing(schedules, crop.id, undefined);
	if (!crop || crop.perennial || !schedule) return undefined;
	const from = usualPlantingDate(schedule, harvestYear(plantingDate) - 1);
	const off = shiftDate(from, schedule.uptake?.harvestDays ?? USUAL_DAYS);
	const last = shiftDate(plantingDate, -1);
	return { name: crop.name.toLowerCase(), from, to: off < last ? off : last };
}
