import { boardYear, liveSeason } from '../../../../core/season/live/live-season';
import type { Pass, PassCheck } from '../../../../core/schema-types';
import type { Library } from '../../knowledge';
import { boardGround } from './board-ground';
import type { PlannedSeason } from './season-run';

/** What the season's rules and the daily model have against a plan, as the board first shows it: in a normal year. */
export function planChecks(season: PlannedSeason, plans: Pass[], library: Library): readonly PassCheck[] {
	if (plans.length === 0) return [];
	const ground = boardGround(season, 'normal', season.context.units, library);
	return liveSeason(ground, boardYear(ground), plans).checks;
}
