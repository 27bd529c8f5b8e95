import type { Pass, PassCheck } from '../../schema-types';
import type { PlanContext } from '../plan/plan-context';

export type { PassCheck };

/** One rule of the season: what it has against the passes, with remedies that can be applied as they stand. */
export type SeasonCheck = (passes: readonly Pass[], context: PlanContext) => PassCheck[];
