import { InputError } from '../../../check/problem';
import type { CatchCropAnswer, SeasonRequest, WeatherDay } from '../../../schema-types';
import { KG_HA_PER_LB_AC } from '../../../units/factors';
import { daysBetween, shiftDate } from '../../weather/season-weather';
import { catchCropModel, catchCropUptake } from '../growth/catch-crop';
import { cropGrowth } from '../growth/crop-growth';
import type { SeasonKnowledge } from '../run-season';
import type { SeasonRun } from '../season-run';
import type { SeasonCrop } from '../simulate-season';

/** A crop is off at most so many days before its usual harvest; its nitrogen is in by then: judgement. */
const EARLIER_DAYS = 35;

/** What grows after the harvest of a season's crop. */
interface ThenGrown {
	/** Under which the answer tells of it. */
	kind: 'catchCrop' | 'secondCrop';
	name: string;
	/** The day on which it is killed, or has taken up all. */
	ends: string;
	/** By the days of a run. */
	grows: (start: string, weather: readonly WeatherDay[]) => SeasonCrop['then'];
}

/**
 * The catch crop or the second crop of a request.
 * @param harvest of the first crop
 * @returns undefined where there is neither
 * @throws InputError where both are asked for, where it is not known, or where it is sown before the harvest
 */
export function thenGrown(request: SeasonRequest, harvest: string, knowledge: SeasonKnowledge): ThenGrown | undefined {
	const { catchCrop, secondCrop } = request;
	if (catchCrop && secondCrop) {
		const message = 'must be left out where there is a second crop: a run ends with that';
		throw new InputError([{ path: '/catchCrop', message }]);
	}
	if (secondCrop) return secondGrown(request, secondCrop, harvest, knowledge);
	return catchCrop && catchGrown(catchCrop, harvest, knowledge);
}

function catchGrown(
	asked: NonNullable<SeasonRequest['catchCrop']>,
	harvest: string,
	{ seasonModel }: SeasonKnowledge
): ThenGrown {
	const model = catchCropModel(asked, harvest, seasonModel);
	return {
		kind: 'catchCrop',
		name: model.name,
		ends: asked.endedOn,
		grows: (start, weather) => {
			const planted = daysBetween(start, asked.sownOn);
			const wanted = catchCropUptake(weather.slice(planted), model);
			return {
				planted,
				harvested: daysBetween(start, asked.endedOn),
				established: false,
				wantedBy: (day) => wanted[day - planted] ?? 0,
				roots: {
					...seasonModel.roots,
					nitrateShareInReach: model.shareInReach,
					ammoniumShareInReach: model.shareInReach
				}
			};
		}
	};
}

/**
 * The harvest of the first crop: where the second is planted before the usual day, it is off by then.
 * @param usual day of harvest
 */
export function harvestBeforeSecond({ secondCrop }: SeasonRequest, usual: string): string {
	if (!secondCrop || secondCrop.plantingDate >= usual) return usual;
	const earliest = shiftDate(usual, -EARLIER_DAYS);
	return secondCrop.plantingDate > earliest ? secondCrop.plantingDate : earliest;
}

/** A second crop grows and takes up as it does where it is the first. */
function secondGrown(
	request: SeasonRequest,
	{ id, yieldGoal, plantingDate }: NonNullable<SeasonRequest['secondCrop']>,
	firstHarvest: string,
	knowledge: SeasonKnowledge
): ThenGrown {
	if (plantingDate < firstHarvest) {
		const message = `must lie after the harvest of the first crop, ${firstHarvest} at the earliest; got "${plantingDate}"`;
		throw new InputError([{ path: '/secondCrop/plantingDate', message }]);
	}
	const growth = cropGrowth({ ...request, crop: { id, yieldGoal, plantingDate } }, knowledge);
	return {
		kind: 'secondCrop',
		name: knowledge.crops.find((crop) => crop.id === id)!.name,
		ends: growth.harvest,
		grows: (start, weather) => {
			const lastDay = weather.length - 1;
			const at = (date: string) => weather[Math.min(lastDay, Math.max(0, daysBetween(start, date)))]!;
			const wanted = growth.uptake(at);
			return {
				planted: daysBetween(start, growth.planting),
				harvested: daysBetween(start, growth.harvest),
				established: false,
				wantedBy: (day) => wanted(shiftDate(start, day)) * KG_HA_PER_LB_AC,
				roots: knowledge.seasonModel.roots
			};
		}
	};
}

/** The same season on bare ground after its harvest. */
export const bareAfter = ({ then: _then, ...crop }: SeasonCrop): SeasonCrop => crop;

/** What is taken up after the harvest, and what is lost from then to the end, with it and on bare ground. */
export function afterHarvestAnswer(
	{ kind, name }: Pick<ThenGrown, 'kind' | 'name'>,
	{ then }: SeasonCrop,
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
		lostWithout: lost(bare),
		...(kind === 'secondCrop' && then ? { wanted: inUnit(then.wantedBy(then.harvested)) } : {})
	};
}
