import type { BlockYear, CropStages, StageAnchor } from '../../schema-types';
import { usualStages, type SeenStages } from './stage-dates';
import { daysBetween, shiftDate } from '../weather/season-weather';

/**
 * The stages of a perennial as they stand in one year of its block: a day that was set moves its stage, and those after
 * it by as many days, to the next one that was set; what was seen goes before the heat of the station. Stages from planting
 * stay as they are.
 * @param year of the harvest
 */
export function anchoredStages(stages: CropStages, blockYear: BlockYear, year: number): SeenStages {
	let shift = 0;
	let seen: true | undefined;
	return {
		...stages,
		stages: stages.stages.map((stage) => {
			if (stage.monthDay === undefined) return stage;
			const usual = `${year}-${stage.monthDay}`;
			const set = stage.anchor && blockYear[stage.anchor];
			if (set !== undefined) {
				shift = daysBetween(usual, set);
				seen = true;
			}
			return { ...stage, ...(seen && { seen }), monthDay: shiftDate(usual, shift).slice(5) };
		})
	};
}

/** The day of the stage that is an anchor of a block; undefined where the crop has none. */
export function anchorDay(context: Parameters<typeof usualStages>[0], anchor: StageAnchor): string | undefined {
	const name = context.stages?.stages.find((stage) => stage.anchor === anchor)?.name;
	return usualStages(context).find((stage) => stage.name === name)?.date;
}
