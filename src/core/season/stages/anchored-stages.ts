import { differenceInCalendarDays, parseISO } from 'date-fns';
import type { BlockYear, CropStages } from '../../schema-types';
import { shiftDate } from '../weather/season-weather';

/**
 * The stages of a perennial as they stand in one year of its block: a day that was set moves its stage, and those after
 * it by as many days, to the next one that was set. Stages by heat or from planting stay as they are.
 * @param year of the harvest
 */
export function anchoredStages(stages: CropStages, blockYear: BlockYear, year: number): CropStages {
	let shift = 0;
	return {
		...stages,
		stages: stages.stages.map((stage) => {
			if (stage.monthDay === undefined) return stage;
			const usual = `${year}-${stage.monthDay}`;
			const set = stage.anchor && blockYear[stage.anchor];
			if (set !== undefined) shift = differenceInCalendarDays(parseISO(set), parseISO(usual));
			return { ...stage, monthDay: shiftDate(usual, shift).slice(5) };
		})
	};
}
