import { gravestFirst } from '../../figure/gravest-first';
import { cationsOverCec } from './cations-over-cec';
import type { Finding, ReportCheck, ReportContext } from './finding';
import { impossibleValue } from './impossible-value';
import { missingBufferPh } from './missing-buffer-ph';
import { missingCec } from './missing-cec';
import { oldNitrate } from './old-nitrate';
import { oldSample } from './old-sample';
import { otherDepth } from './other-depth';
import { phOtherScale } from './ph-other-scale';
import { phOutsideBand } from './ph-outside-band';
import { unitSlip } from './unit-slip';

const CHECKS: readonly ReportCheck[] = [
	impossibleValue,
	phOutsideBand,
	phOtherScale,
	missingCec,
	missingBufferPh,
	oldSample,
	oldNitrate,
	unitSlip,
	cationsOverCec,
	otherDepth
];

/** Everything the report lacks or gets wrong, each with its remedy, the gravest first. */
export function readReport(context: ReportContext): Finding[] {
	return gravestFirst(CHECKS.flatMap((check) => check(context)));
}
