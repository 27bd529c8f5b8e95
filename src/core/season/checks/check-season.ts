import { asTheGroundMeets } from '../applied/what-happened';
import { passesInSeason } from '../plan/season-span';
import { dateInSeasonCheck } from './timing/date-in-season';
import { gravestFirst } from '../../figure/gravest-first';
import type { Pass } from '../../schema-types';
import type { PlanContext } from '../plan/plan-context';
import { additivePathwayCheck } from './urea/additive-pathway';
import { ammoniaNearSeedCheck } from './ammonia/ammonia-near-seed';
import { autumnNitrogenCheck } from './timing/autumn-nitrogen';
import { bandBesideSeedCheck } from './seed/band-beside-seed';
import { crownDistanceCheck } from './block/crown-distance';
import { heapedDoseCheck } from './block/heaped-dose';
import { organicSourcesCheck } from './block/organic-sources';
import { rawManureIntervalCheck } from './block/raw-manure-interval';
import { fabricFloorCheck } from './block/fabric-floor';
import { lateFruitNitrogenCheck } from './block/late-fruit-nitrogen';
import { lastNitrogenCheck } from './block/last-nitrogen';
import { leaflessNitrogenCheck } from './block/leafless-nitrogen';
import { openCanopyCheck } from './block/open-canopy';
import { palmCupsCheck } from './block/palm-cups';
import { palmUreaCheck } from './block/palm-urea';
import { leafSprayHeatCheck } from './leaf-spray/leaf-spray-heat';
import { leafSprayShareCheck } from './leaf-spray/leaf-spray-share';
import { leafSprayStrengthCheck } from './leaf-spray/leaf-spray-strength';
import { boronCheck } from './totals/boron';
import type { PassCheck, SeasonCheck } from './check';
import { byCropOfYear, secondContext } from '../schedule/second-crop';
import { coatedRescueCheck } from './urea/coated-rescue';
import { leafBurnCheck } from './urea/leaf-burn';
import { standingCropCheck } from './timing/standing-crop';
import { heavyLimeCheck } from './ground/heavy-lime';
import { holdingLimitCheck } from './ground/holding-limit';
import { lateSideDressCheck } from './timing/late-side-dress';
import { placementCheck } from './totals/placement';
import { shallowUreaBandCheck } from './urea/shallow-urea-band';
import { sulfurFormCheck } from './totals/sulfur-form';
import { surfaceLimeCheck } from './ground/surface-lime';
import { ammoniaSideDressCheck } from './ammonia/ammonia-side-dress';
import { dormantCropCheck } from './timing/dormant-crop';
import { latePhosphatePotashCheck } from './timing/late-phosphate-potash';
import { sideDressMethodCheck } from './timing/side-dress-method';
import { stripBandDepthCheck } from './seed/strip-band-depth';
import { afterHarvestCheck } from './timing/after-harvest';
import { allUpFrontCheck } from './timing/all-up-front';
import { ammoniaGroundCheck } from './ammonia/ammonia-ground';
import { frozenGroundCheck } from './ground/frozen-ground';
import { heavyRainMonthCheck } from './timing/heavy-rain-month';
import { limeLeadCheck } from './timing/lime-lead';
import { noGoCheck } from './timing/no-go';
import { outOfReachCheck } from './timing/out-of-reach';
import { placedFactorCheck } from './totals/placed-factor';
import { ripeningCheck } from './timing/ripening';
import { sandyPotassiumCheck } from './ground/sandy-potassium';
import { seedRowCheck } from './seed/seed-row';
import { setbacksCheck } from './ground/setbacks';
import { slopePhosphorusCheck } from './ground/slope-phosphorus';
import { springKnifeCheck } from './ammonia/spring-knife';
import { surfaceUreaCheck } from './urea/surface-urea';
import { waitingAmmoniumCheck } from './urea/waiting-ammonium';
import { wheatAmmoniaCheck } from './ammonia/wheat-ammonia';
import { wheatSulfurCheck } from './totals/wheat-sulfur';
import { chosenRateCheck } from './totals/chosen-rate';
import { totalPhosphateCheck } from './totals/total-phosphate';
import { totalsCheck } from './totals/totals';

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
	crownDistanceCheck,
	fabricFloorCheck,
	heapedDoseCheck,
	organicSourcesCheck,
	rawManureIntervalCheck,
	lateFruitNitrogenCheck,
	lastNitrogenCheck,
	leaflessNitrogenCheck,
	leafSprayHeatCheck,
	leafSprayShareCheck,
	leafSprayStrengthCheck,
	openCanopyCheck,
	palmCupsCheck,
	palmUreaCheck,
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
	leafBurnCheck,
	standingCropCheck,
	totalPhosphateCheck
];

/** Rules on what goes on over the whole field: they go by the parts of a pass. */
const SUMS: ReadonlySet<SeasonCheck> = new Set([allUpFrontCheck, placedFactorCheck, wheatSulfurCheck]);

/** Everything the rules have against a plan, the gravest first. */
export function checkSeason(passes: readonly Pass[], context: PlanContext): PassCheck[] {
	const dated = passesInSeason(passes, context.plantingDate);
	const { first, then } = byCropOfYear(dated, context);
	const second = secondContext(context);
	return gravestFirst([
		...dateInSeasonCheck(passes, context),
		...rulesOn(first, context),
		...(second ? rulesOn(then, second) : []),
		...totalsCheck(dated, context),
		...chosenRateCheck(dated, context)
	]);
}

function rulesOn(passes: readonly Pass[], context: PlanContext): PassCheck[] {
	const met = asTheGroundMeets(passes);
	return CHECKS.flatMap((check) => check(SUMS.has(check) ? passes : met, context));
}
