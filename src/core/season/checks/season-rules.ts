import seasonRules from '../../../../packs/reference/season-rules.json';
import type { SeasonRules } from '../../schema-types';

/** Thresholds of the season's rules by rule id, in the units of their names; what each rests on stands beside it. */
export const RULES = seasonRules as SeasonRules;
