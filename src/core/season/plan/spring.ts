import type { PlanContext } from './plan-context';
import { harvestYear, isSownInAutumn } from '../stages/stage-dates';
import { shiftDate } from '../weather/season-weather';

/** A week before planting nitrogen and potash can go on and be worked in; common practice. */
const BEFORE_PLANTING_DAYS = 7;
/** The first dressing of a crop that was sown in autumn; common practice. */
const FIRST_DRESSING = '03-20';

/** The day in spring to which what should not go on in autumn is put off: before planting, or the first dressing of a crop sown in autumn. */
export function springOf({ plantingDate }: Pick<PlanContext, 'plantingDate'>): string {
	if (isSownInAutumn(plantingDate)) return `${harvestYear(plantingDate)}-${FIRST_DRESSING}`;
	return shiftDate(plantingDate, -BEFORE_PLANTING_DAYS);
}
