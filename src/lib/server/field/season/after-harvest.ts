import { InputError } from '../../../../core/check/problem';
import { boardYear, runOnAfter } from '../../../../core/season/live/live-season';
import { forSowing } from '../../../../core/season/schedule/for-sowing';
import { seasonDates } from '../../../../core/season/model/run-season';
import type { CatchCropAnswer, SeasonRequest, SecondCrop } from '../../../../core/schema-types';
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
	const { crops, schedules, stages } = library;
	const knowledge = secondCrop ? { ...ground.knowledge, crops, schedules, stages } : ground.knowledge;
	const grownIn = (then: Parameters<typeof runOnAfter>[2], until: () => string): Grown => {
		try {
			const run = runOnAfter({ ...ground, knowledge }, year, then, until());
			const caught = run?.catchCrop ?? run?.secondCrop;
			return run && caught ? { applies: true, unit: run.unit, caught } : unknown(season.site.crop.name);
		} catch (error) {
			// It is sown before the model's harvest of the crop before it.
			if (!(error instanceof InputError)) throw error;
			return no(error.problems.map(({ message }) => message).join('; '));
		}
	};
	const sown = secondCrop && secondSown(secondCrop, library);
	const until = (crop: SecondSown) => seasonDates({ ...ground.request, crop }, knowledge).harvest;
	const second = sown && ('reason' in sown ? sown : grownIn({ secondCrop: sown }, () => until(sown)));
	const base = { harvest: year.harvest, second };
	if (!catchCrop) return base;
	if (!sown) return { ...base, ...grownIn({ catchCrop }, () => catchCrop.endedOn) };
	if ('reason' in sown) return { ...base, ...no(`of the second crop before it, ${sown.reason}`) };
	return { ...base, ...grownIn({ catchCrop, secondCrop: sown }, () => catchCrop.endedOn) };
}

type SecondSown = NonNullable<SeasonRequest['secondCrop']>;

/** The second crop as the season model has it, or why it cannot. */
function secondSown(
	{ id, yieldGoal, plantingDate }: SecondCrop,
	{ schedules, crops }: Library
): SecondSown | (Grown & { applies: false }) {
	if (!forSowing(schedules, id, undefined)?.uptake) {
		return unknown(crops.find((crop) => crop.id === id)?.name ?? id);
	}
	if (plantingDate === undefined) return no('the day on which it is planted is not known');
	return { id, yieldGoal, plantingDate };
}

const no = (reason: string): Grown & { applies: false } => ({ applies: false, reason });
const unknown = (crop: string) => no(`the season model does not know how ${crop.toLowerCase()} takes nitrogen up`);
