import { gravestFirst } from '../../figure/gravest-first';
import { acidBelow, aluminium, askForLayers } from './acid-below';
import { cationBalance } from './cation-balance';
import { cationsOverCec } from './cations-over-cec';
import type { Finding, ReportCheck, ReportContext } from './finding';
import { highPh } from './high-ph';
import { impossibleValue } from './impossible-value';
import { labShares } from './lab-shares';
import { lightGround } from './light-ground';
import { missingBufferPh } from './missing-buffer-ph';
import { missingCec } from './missing-cec';
import { oldNitrate } from './old-nitrate';
import { oldSample } from './old-sample';
import { otherDepth } from './other-depth';
import { phOtherScale } from './ph-other-scale';
import { phLow } from './ph-low';
import { targetAboveBand } from './over-liming';
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
import { tiedUpMetals } from './tied-up-metals';
import { unitSlip } from './unit-slip';

const CHECKS: readonly ReportCheck[] = [
	impossibleValue,
	phLow,
	acidBelow,
	aluminium,
	askForLayers,
	highPh,
	targetAboveBand,
	phOtherScale,
	missingCec,
	missingBufferPh,
	oldSample,
	oldNitrate,
	unitSlip,
	cationsOverCec,
	labShares,
	cationBalance,
	tiedUpMetals,
	lightGround,
	otherDepth,
	unusualGoal,
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
