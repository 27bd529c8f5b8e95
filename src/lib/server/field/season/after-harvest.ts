import { InputError } from '../../../../core/check/problem';
import { boardYear, runOnAfter } from '../../../../core/season/live/live-season';
import { seasonDates, type SeasonKnowledge } from '../../../../core/season/model/run-season';
import type { CatchCropAnswer, SecondCrop } from '../../../../core/schema-types';
import type { YearKind } from '../../../../core/season/weather/generate-weather';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { Library } from '../../knowledge';
import { catchCropOf, secondCropOf } from '../../stores/plan/after-the-harvest';
import { boardGround } from './board-ground';
import type { PlannedSeason } from './season-run';

/** What the season model says of what grows after the harvest, in the year that the board shows; or why it says nothing. */
type Grown = { applies: true; unit: string; caught: CatchCropAnswer } | { applies: false; reason: string };

/** Of the catch crop of a year; without `applies` where there is none. */
export type AfterHarvest = { harvest: string | undefined; second: Grown | undefined } & (
	Grown | { applies?: undefined }
);

export function afterHarvest(season: PlannedSeason, kind: YearKind, units: UnitSystem, library: Library): AfterHarvest {
	const ground = boardGround(season, kind, units, library);
	const year = boardYear(ground);
	const catchCrop = catchCropOf(season.goal);
	const secondCrop = secondCropOf(season.goal);
	const unknown = (crop: string) => no(`the season model does not know how ${crop} takes nitrogen up`);
	const runOn = (
		then: Parameters<typeof runOnAfter>[2],
		until: () => string,
		knowledge: SeasonKnowledge = ground.knowledge
	): Grown => {
		try {
			const run = runOnAfter({ ...ground, knowledge }, year, then, until());
			const caught = run?.catchCrop ?? run?.secondCrop;
			return run && caught ? { applies: true, unit: run.unit, caught } : unknown(season.site.crop.name.toLowerCase());
		} catch (error) {
			// It is sown before the model's harvest of the year.
			if (!(error instanceof InputError)) throw error;
			return no(error.problems.map(({ message }) => message).join('; '));
		}
	};
	const plant = ({ id, yieldGoal, plantingDate }: SecondCrop): Grown => {
		const schedule = library.schedules.find(({ crop }) => crop === id);
		if (!schedule?.uptake) return unknown(library.crops.find((crop) => crop.id === id)?.name.toLowerCase() ?? id);
		if (plantingDate === undefined) return no('the day on which it is planted is not known');
		const secondSown = { id, yieldGoal, plantingDate };
		const { crops, schedules, stages } = library;
		const knowledge = { ...ground.knowledge, crops, schedules, stages };
		const until = () => seasonDates({ ...ground.request, crop: secondSown }, knowledge).harvest;
		return runOn({ secondCrop: secondSown }, until, knowledge);
	};
	const second = secondCrop && plant(secondCrop);
	const base = { harvest: year.harvest, second };
	if (!catchCrop) return base;
	if (second) return { ...base, ...no('it follows a second crop, with which the season model ends') };
	return { ...base, ...runOn({ catchCrop }, () => catchCrop.endedOn) };
}

const no = (reason: string): Grown & { applies: false } => ({ applies: false, reason });
