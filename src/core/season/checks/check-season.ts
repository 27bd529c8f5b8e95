import type { Pass } from '../../schema-types';
import type { PlanContext } from '../plan-context';
import type { PassCheck, SeasonCheck } from './check';
import { heavyLimeCheck } from './heavy-lime';
import { holdingLimitCheck } from './holding-limit';
import { placementCheck } from './placement';
import { totalsCheck } from './totals';

const CHECKS: readonly SeasonCheck[] = [holdingLimitCheck, placementCheck, heavyLimeCheck, totalsCheck];

/** Everything the rules have against a plan, the gravest first. */
export function checkSeason(passes: readonly Pass[], context: PlanContext): PassCheck[] {
	const order = { stop: 0, mind: 1, note: 2 };
	return CHECKS.flatMap((check) => check(passes, context)).sort((a, b) => order[a.severity] - order[b.severity]);
}
