import { InputError } from '../../../../core/check/problem';
import { boardYear, caughtAfter } from '../../../../core/season/live/live-season';
import type { CatchCropAnswer } from '../../../../core/schema-types';
import type { YearKind } from '../../../../core/season/weather/generate-weather';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { Library } from '../../knowledge';
import { catchCropOf } from '../../stores/field-years';
import { boardGround } from './board-ground';
import type { PlannedSeason } from './season-run';

/** What the season model says of the catch crop of a year, in the year that the board shows; or why it says nothing. */
export type AfterHarvest = { harvest: string | undefined } & (
	| { applies: true; unit: string; caught: CatchCropAnswer }
	| { applies: false; reason: string }
	| { applies?: undefined }
);

export function afterHarvest(season: PlannedSeason, kind: YearKind, units: UnitSystem, library: Library): AfterHarvest {
	const ground = boardGround(season, kind, units, library);
	const year = boardYear(ground);
	const { harvest } = year;
	const catchCrop = catchCropOf(season.goal);
	if (!catchCrop) return { harvest };
	try {
		const run = caughtAfter(ground, year, catchCrop);
		if (run?.catchCrop) return { harvest, applies: true, unit: run.unit, caught: run.catchCrop };
		const crop = season.site.crop.name.toLowerCase();
		return { harvest, applies: false, reason: `the season model does not know how ${crop} takes nitrogen up` };
	} catch (error) {
		// It is sown before the model's harvest of the year.
		if (!(error instanceof InputError)) throw error;
		return { harvest, applies: false, reason: error.problems.map(({ message }) => message).join('; ') };
	}
}
