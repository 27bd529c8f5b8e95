import { notApplicable, type Answer } from '../../../../core/figure/figure';
import { poundDays } from '../../../../core/season/decisions/decide-season';
import { decisionText } from '../../../../core/season/decisions/decision-text';
import { seenInSystem } from '../../../../core/season/decisions/decision-limit';
import { callsForPass, seenBy } from '../../../../core/season/decisions/judge-decision';
import { productOf } from '../../../../core/season/plan/plan-context';
import { longDate } from '../../../../core/units/day-text';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { Desk } from '../../desk';
import { listDecisions } from '../../stores/plan/decisions';
import { listCropTests, testsInUse } from '../../stores/tests/crop-tests';
import type { Advice } from '../field-year';
import { seasonRequestOf } from './season-run';

/** A decision as the board shows it. */
interface DecisionView {
	id: string;
	name: string;
	/** The day of the look, and what follows from it, in a sentence. */
	text: string;
	/** What is seen; does not apply before its day. */
	seen: Answer;
	/** Whether it calls for the pass; undefined while nothing is seen. */
	calls: boolean | undefined;
	madeOn: string | undefined;
}

/** What the plan of a year decides later, and what is seen today. */
export function decisionViews({ book, library, today }: Desk, advice: Advice, units: UnitSystem): DecisionView[] {
	const { weather } = advice.context;
	const tests = testsInUse(listCropTests(book, advice.goal.id));
	return listDecisions(book, advice.goal.id).map(({ id, plan, madeOn }) => {
		const due = plan.on <= today;
		const days =
			due && plan.look === 'nitrate' ? poundDays(seasonRequestOf(advice, 'normal', 'us'), library) : undefined;
		const seen = due
			? seenBy(plan, { weather: (date) => weather.days.get(date), days, tests })
			: notApplicable(plan.name, `to be looked at on ${longDate(plan.on)}`, 'Come back on that day.');
		return {
			id,
			name: plan.name,
			text: decisionText(plan, productOf(plan.pass, library.products), units),
			seen: seenInSystem(seen, plan.look, units),
			calls: seen.applies ? callsForPass(plan, seen.value) : undefined,
			madeOn
		};
	});
}
