import { gravestFirst } from '../../figure/gravest-first';
import { acidBelow, aluminium, askForLayers } from './ph/acid-below';
import { cationBalance } from './cations/cation-balance';
import { cationsOverCec } from './cations/cations-over-cec';
import type { Finding, ReportCheck, ReportContext } from './finding';
import { highPh } from './ph/high-ph';
import { irrigationWater } from './irrigation-water';
import { impossibleValue } from './impossible-value';
import { labShares } from './cations/lab-shares';
import { leafAgainstRanges } from './leaf-against-ranges';
import { lightGround } from './cations/light-ground';
import { missingBufferPh } from './ph/missing-buffer-ph';
import { missingCec } from './cations/missing-cec';
import { oldNitrate } from './old-nitrate';
import { offYear } from './off-year';
import { oldSample } from './old-sample';
import { organicSoil } from './organic-soil';
import { otherDepth } from './other-depth';
import { phOtherScale } from './ph/ph-other-scale';
import { phLow } from './ph/ph-low';
import { targetAboveBand } from './ph/over-liming';
import {
	bufferBelowPh,
	muchNitrate,
	nitrateFromBelow,
	oddDates,
	overlappingLayers,
	textureAgainstClay,
	unusualGoal,
	unusualTests
} from './plausible';
import { spentTest } from './spent-test';
import { tiedUpMetals } from './tied-up-metals';
import { salinity, tooMuchInLeavesCheck, tooMuchInSoil } from './too-much';
import { unitSlip } from './unit-slip';

const CHECKS: readonly ReportCheck[] = [
	impossibleValue,
	phLow,
	acidBelow,
	aluminium,
	organicSoil,
	askForLayers,
	highPh,
	targetAboveBand,
	phOtherScale,
	missingCec,
	missingBufferPh,
	oldSample,
	oldNitrate,
	spentTest,
	unitSlip,
	cationsOverCec,
	labShares,
	cationBalance,
	tiedUpMetals,
	tooMuchInSoil,
	salinity,
	leafAgainstRanges,
	tooMuchInLeavesCheck,
	irrigationWater,
	lightGround,
	otherDepth,
	unusualGoal,
	offYear,
	unusualTests,
	bufferBelowPh,
	overlappingLayers,
	nitrateFromBelow,
	muchNitrate,
	oddDates,
	textureAgainstClay
];

/** Everything the report lacks or gets wrong, each with its remedy, the gravest first. */
export function readReport(context: ReportContext): Finding[] {
	return gravestFirst(CHECKS.flatMap((check) => check(context)));
}
