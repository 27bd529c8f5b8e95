import type { CatchCrop, CatchCropAnswer, CatchCropModel, SeasonModel, WeatherDay } from '../../schema-types';
import { daysBetween } from '../weather/season-weather';
import { catchCropUptake } from './growth/catch-crop';
import type { SeasonRun } from './season-run';
import type { SeasonCrop } from './simulate-season';

/** A catch crop by the days of a run. */
export function catchCropOf(
	{ sownOn, endedOn }: CatchCrop,
	model: CatchCropModel,
	start: string,
	weather: readonly WeatherDay[],
	{ roots }: SeasonModel
): SeasonCrop['then'] {
	const planted = daysBetween(start, sownOn);
	const wanted = catchCropUptake(weather.slice(planted), model);
	return {
		planted,
		harvested: daysBetween(start, endedOn),
		established: false,
		wantedBy: (day) => wanted[day - planted] ?? 0,
		roots: { ...roots, nitrateShareInReach: model.shareInReach, ammoniumShareInReach: model.shareInReach }
	};
}

/** The same season on bare ground after its harvest. */
export const withoutCatch = ({ then: _then, ...crop }: SeasonCrop): SeasonCrop => crop;

/** What a catch crop takes up, and what is lost from the harvest to its end with it and on bare ground. */
export function catchCropAnswer(
	{ name }: CatchCropModel,
	run: SeasonRun,
	bare: SeasonRun,
	harvest: number,
	inUnit: (kilograms: number) => number
): CatchCropAnswer {
	const lost = ({ leached, denitrified }: SeasonRun) =>
		inUnit(leached.at(-1)! + denitrified.at(-1)! - leached[harvest]! - denitrified[harvest]!);
	return {
		name,
		left: inUnit(run.inGround[harvest]!),
		caught: inUnit(run.caught.at(-1)!),
		lost: lost(run),
		lostWithout: lost(bare)
	};
}
