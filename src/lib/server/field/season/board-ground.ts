import type { YearKind } from '../../../../core/season/weather/generate-weather';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { Library } from '../../knowledge';
import { seasonRequestOf, type PlannedSeason } from './season-run';

/** All that the board needs to work a season out by itself while a pass is moved. */
export function boardGround(season: PlannedSeason, kind: YearKind, units: UnitSystem, library: Library) {
	const { context, goal } = season;
	return {
		context,
		request: seasonRequestOf(season, kind, units),
		knowledge: {
			crops: library.crops.filter(({ id }) => id === goal.crop),
			products: library.products,
			schedules: library.schedules.filter(({ crop }) => crop === goal.crop),
			seasonModel: library.seasonModel,
			stages: library.stages.filter(({ crop }) => crop === goal.crop),
			stations: [context.station]
		},
		kind
	};
}
