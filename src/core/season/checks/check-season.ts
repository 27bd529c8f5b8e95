import { gravestFirst } from '../../figure/gravest-first';
import type { Pass } from '../../schema-types';
import type { PlanContext } from '../plan-context';
import { additivePathwayCheck } from './additive-pathway';
import { ammoniaNearSeedCheck } from './ammonia-near-seed';
import { autumnNitrogenCheck } from './autumn-nitrogen';
import { bandBesideSeedCheck } from './band-beside-seed';
import { boronCheck } from './boron';
import type { PassCheck, SeasonCheck } from './check';
import { coatedRescueCheck } from './coated-rescue';
import { heavyLimeCheck } from './heavy-lime';
import { holdingLimitCheck } from './holding-limit';
import { lateSideDressCheck } from './late-side-dress';
import { placementCheck } from './placement';
import { shallowUreaBandCheck } from './shallow-urea-band';
import { sulfurFormCheck } from './sulfur-form';
import { surfaceLimeCheck } from './surface-lime';
import { totalsCheck } from './totals';

const CHECKS: readonly SeasonCheck[] = [
	holdingLimitCheck,
	placementCheck,
	autumnNitrogenCheck,
	ammoniaNearSeedCheck,
	lateSideDressCheck,
	shallowUreaBandCheck,
	bandBesideSeedCheck,
	coatedRescueCheck,
	additivePathwayCheck,
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
