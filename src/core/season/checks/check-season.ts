import { gravestFirst } from '../../figure/gravest-first';
import type { Pass } from '../../schema-types';
import type { PlanContext } from '../plan-context';
import { boronCheck } from './boron';
import type { PassCheck, SeasonCheck } from './check';
import { heavyLimeCheck } from './heavy-lime';
import { holdingLimitCheck } from './holding-limit';
import { placementCheck } from './placement';
import { sulfurFormCheck } from './sulfur-form';
import { surfaceLimeCheck } from './surface-lime';
import { totalsCheck } from './totals';

const CHECKS: readonly SeasonCheck[] = [
	holdingLimitCheck,
	placementCheck,
	boronCheck,
	sulfurFormCheck,
	surfaceLimeCheck,
	heavyLimeCheck,
	totalsCheck
];

/** Everything the rules have against a plan, the gravest first. */
export function checkSeason(passes: readonly Pass[], context: PlanContext): PassCheck[] {
	return gravestFirst(CHECKS.flatMap((check) => check(passes, context)));
}
