import type { Nutrient, Pass } from '../../schema-types';
import { isUnderWay } from '../applied/what-happened';
import { isBefore, type BookedPass } from './nitrogen-programme';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';
import { daysBetween } from '../weather/season-weather';
import { proposeProgramme } from './propose-programme';
import { settleProgramme } from './settle-programme';

/** A test entered later than this is a record: the plan follows from its own day, not from today. Judgement. */
const ENTERED_LATE_DAYS = 30;

/** What a test in the crop changes in a plan. */
export interface ProgrammeChange {
	/** Ids of the passes that go. */
	removed: string[];
	added: Pass[];
	notes: string[];
}

/**
 * The nitrogen passes of a plan after a test in the crop, by the rates now chosen. What was applied or is
 * dated before the test stands, and so do the rest of a pass that is under way and passes without nitrogen.
 * @param context of the rates as they are after the test
 * @param testedOn YYYY-MM-DD
 * @param why stands before the reason of each new pass
 */
export function programmeAfter(
	context: PlanContext,
	passes: readonly BookedPass[],
	testedOn: string,
	why: string
): ProgrammeChange {
	const changes = ({ plan }: BookedPass) => passNutrient(plan, productOf(plan, context.products), 'N') > 0;
	const open = passes.filter(
		(booked) => booked.doneOn === null && !isUnderWay(booked.plan) && !isBefore(booked, testedOn)
	);
	const removed = open.filter(changes);
	const applied = passes.filter((booked) => !removed.includes(booked)).map(({ plan }) => plan);
	// Only what the removed passes carried is placed again; a nutrient that was never planned stays unplanned.
	const carried = (nutrient: Nutrient) =>
		removed.some(({ plan }) => passNutrient(plan, productOf(plan, context.products), nutrient) > 0);
	const chosen = Object.fromEntries(
		Object.entries(context.chosen).filter(([nutrient]) => nutrient === 'N' || carried(nutrient as Nutrient))
	);
	const entered = daysBetween(testedOn, context.today) > ENTERED_LATE_DAYS ? testedOn : context.today;
	const after = { ...context, chosen, applied, notBefore: testedOn, today: entered };
	const { passes: added, notes } = settleProgramme(proposeProgramme(after), after, applied);
	return {
		removed: removed.map(({ plan }) => plan.id),
		added: added
			.filter(({ date }) => date >= testedOn)
			.map((pass) => ({ ...pass, reason: `${why} ${pass.reason}`.trim() })),
		notes
	};
}
