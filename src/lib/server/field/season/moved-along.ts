import { forSowing } from '../../../../core/season/schedule/for-sowing';
import { anchoredStages } from '../../../../core/season/stages/anchored-stages';
import { usualStages, type StageDate } from '../../../../core/season/stages/stage-dates';
import { daysBetween, shiftDate } from '../../../../core/season/weather/season-weather';
import type { BlockYear, Pass, Station } from '../../../../core/schema-types';
import type { Library } from '../../knowledge';
import { blockYearOf, type FieldYearRow } from '../../stores/field-years';
import type { BookedPass } from '../../../../core/season/propose/nitrogen-programme';
import { plantingDateOf } from '../field-request';

/**
 * The planned passes that move with the days of a block: each by as many days as the stage it hangs on, whatever day the
 * adviser gave it. What is applied stays.
 * @param station of the field, whose heat brings the stages that nobody saw
 */
export function movedAlong(
	library: Library,
	goal: FieldYearRow,
	next: BlockYear,
	passes: readonly BookedPass[],
	station: Station
): Pass[] {
	const before = datesOf(library, goal, blockYearOf(goal), station);
	const after = datesOf(library, goal, next, station);
	return passes.flatMap(({ plan, doneOn }) => {
		const [from, to] = [dayOf(before, plan), dayOf(after, plan)];
		if (doneOn !== null || !from || !to || from === to) return [];
		return [{ ...plan, date: shiftDate(plan.date, daysBetween(from, to)) }];
	});
}

function datesOf(library: Library, goal: FieldYearRow, blockYear: BlockYear, station: Station): readonly StageDate[] {
	const plantingDate = plantingDateOf({ ...goal, block_year: JSON.stringify(blockYear) }, library);
	const stages = forSowing(library.stages, goal.crop, plantingDate);
	return usualStages({
		stages: stages && anchoredStages(stages, blockYear, goal.year),
		plantingDate,
		station
	});
}

function dayOf(dates: readonly StageDate[], { fromStage }: Pass): string | undefined {
	return dates.find(({ name }) => name === fromStage)?.date;
}
