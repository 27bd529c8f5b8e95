import { passesInSeason } from '../season-span';
import { dateInSeasonCheck } from './date-in-season';
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
import { ammoniaSideDressCheck } from './ammonia-side-dress';
import { dormantCropCheck } from './dormant-crop';
import { latePhosphatePotashCheck } from './late-phosphate-potash';
import { sideDressMethodCheck } from './side-dress-method';
import { stripBandDepthCheck } from './strip-band-depth';
import { afterHarvestCheck } from './after-harvest';
import { allUpFrontCheck } from './all-up-front';
import { ammoniaGroundCheck } from './ammonia-ground';
import { frozenGroundCheck } from './frozen-ground';
import { heavyRainMonthCheck } from './heavy-rain-month';
import { limeLeadCheck } from './lime-lead';
import { noGoCheck } from './no-go';
import { outOfReachCheck } from './out-of-reach';
import { placedFactorCheck } from './placed-factor';
import { ripeningCheck } from './ripening';
import { sandyPotassiumCheck } from './sandy-potassium';
import { seedRowCheck } from './seed-row';
import { setbacksCheck } from './setbacks';
import { slopePhosphorusCheck } from './slope-phosphorus';
import { springKnifeCheck } from './spring-knife';
import { surfaceUreaCheck } from './surface-urea';
import { waitingAmmoniumCheck } from './waiting-ammonium';
import { wheatAmmoniaCheck } from './wheat-ammonia';
import { wheatSulfurCheck } from './wheat-sulfur';
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
	allUpFrontCheck,
	ammoniaGroundCheck,
	frozenGroundCheck,
	heavyRainMonthCheck,
	limeLeadCheck,
	noGoCheck,
	outOfReachCheck,
	placedFactorCheck,
	ripeningCheck,
	sandyPotassiumCheck,
	seedRowCheck,
	setbacksCheck,
	slopePhosphorusCheck,
	springKnifeCheck,
	surfaceUreaCheck,
	waitingAmmoniumCheck,
	wheatAmmoniaCheck,
	wheatSulfurCheck,
	ammoniaSideDressCheck,
	dormantCropCheck,
	latePhosphatePotashCheck,
	sideDressMethodCheck,
	stripBandDepthCheck,
	afterHarvestCheck,
	totalsCheck
];

/** Everything the rules have against a plan, the gravest first. */
export function checkSeason(passes: readonly Pass[], context: PlanContext): PassCheck[] {
	const dated = passesInSeason(passes, context.plantingDate);
	return gravestFirst([...dateInSeasonCheck(passes, context), ...CHECKS.flatMap((check) => check(dated, context))]);
}
