import type { AnyRuleKind } from '../packs/rule-kind';
import { holdingLimit } from '../reading/holding-limit';
import { lineThroughPoints } from '../reading/line-through-points';
import { responseShape } from '../reading/response-shape';
import { classTable } from './class-table';
import { acidityRatio } from './lime/acidity-ratio';
import { bufferCapacityByLayer } from './lime/buffer-capacity';
import { bufferLine } from './lime/buffer-line';
import { limeTable } from './lime/lime-table';
import { massBalance } from './nitrogen/mass-balance';
import { massBalanceWithPrices } from './nitrogen/mass-balance-with-prices';
import { nitrateThreshold } from './nitrogen/in-season/nitrate-threshold';
import { placedFactor } from './nitrogen/placed-factor';
import { referenceStrip } from './nitrogen/in-season/reference-strip';
import { economicResponse } from './nitrogen/response/economic-response';
import { standCount } from './nitrogen/in-season/stand-count';
import { cationShare } from './phosphorus-potassium/base-saturation';
import { buildAndMaintain } from './phosphorus-potassium/build-and-maintain';
import { buildToRange } from './phosphorus-potassium/build-to-range';
import { linearSufficiency } from './phosphorus-potassium/linear-sufficiency';
import { removal } from './phosphorus-potassium/removal';
import { ageProgramme } from './perennial/age-programme';
import { cropLoadDemand } from './perennial/crop-load-demand';
import { leafClasses } from './perennial/leaf-classes';
import { leafGuided } from './perennial/leaf-guided';
import { ratioToNitrogen } from './sulfur/ratio-to-nitrogen';

/** Every kind of rule that a pack may use. */
export const ruleKinds: readonly AnyRuleKind[] = [
	lineThroughPoints,
	holdingLimit,
	responseShape,
	linearSufficiency,
	buildAndMaintain,
	buildToRange,
	classTable,
	removal,
	cationShare,
	massBalance,
	massBalanceWithPrices,
	economicResponse,
	placedFactor,
	nitrateThreshold,
	referenceStrip,
	standCount,
	ratioToNitrogen,
	cropLoadDemand,
	leafGuided,
	leafClasses,
	ageProgramme,
	bufferLine,
	acidityRatio,
	bufferCapacityByLayer,
	limeTable
];
