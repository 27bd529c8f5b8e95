import type { RuleKind } from '../packs/rule-kind';
import { holdingLimit } from '../reading/holding-limit';
import { lineThroughPoints } from '../reading/line-through-points';
import { responseShape } from '../reading/response-shape';
import { bufferLine } from './lime/buffer-line';
import { massBalance } from './nitrogen/mass-balance';
import { buildAndMaintain } from './phosphorus-potassium/build-and-maintain';
import { removal } from './phosphorus-potassium/removal';
import { linearSufficiency } from './phosphorus-potassium/linear-sufficiency';

/** Every kind of rule that a pack may use. */
export const ruleKinds: readonly RuleKind<never>[] = [
	lineThroughPoints,
	holdingLimit,
	responseShape,
	linearSufficiency,
	buildAndMaintain,
	removal,
	massBalance,
	bufferLine
];
