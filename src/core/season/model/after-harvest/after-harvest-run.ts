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
	grows: (start: string, weather: readonly WeatherDay[]) => NonNullable<SeasonCrop['then']>;
}

/**
 * The second crop and the catch crop of a request, one after the other.
 * @param harvest of the first crop
 * @returns without those that it does not have
 * @throws InputError where one is not known, or is sown before the harvest of the crop before it
 */
export function thenGrown(request: SeasonRequest, harvest: string, knowledge: SeasonKnowledge): ThenGrown[] {
	const { catchCrop, secondCrop } = request;
	const second = secondCrop ? [secondGrown(request, secondCrop, harvest, knowledge)] : [];
	const caught = catchCrop ? [catchGrown(catchCrop, second[0]?.ends ?? harvest, knowledge)] : [];
	return [...second, ...caught];
}

/** What grows after a crop, as a run has it: the first, with the next after it. */
export function grownAfter(
	[next, ...rest]: readonly ThenGrown[],
	start: string,
	weather: readonly WeatherDay[]
): SeasonCrop['then'] {
	if (!next) return undefined;
	const then = grownAfter(rest, start, weather);
	return { ...next.grows(start, weather), ...(then ? { then } : {}) };
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
			const wantedBy = (day: number) => wanted[day - planted] ?? 0;
			return {
				planted,
				harvested: daysBetween(start, asked.endedOn),
				established: false,
				wantedBy,
				// What has not grown drinks nothing: sown too late it saves nothing.
				coverOn: (day) => Math.min(1, wantedBy(day) / model.coversAtKgHa),
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

/** The same season with bare ground after so many of what grows after its harvest. */
function bareAfter({ then, ...crop }: SeasonCrop, kept: number): SeasonCrop {
	return then && kept > 0 ? { ...crop, then: { ...bareAfter(then, kept - 1), roots: then.roots } } : crop;
}

/**
 * Of each that grows after the harvest: what it takes up, and what is lost from the harvest before it to its end, with it and on bare ground.
 * @param harvest day of the run @param simulate the same ground and passes under other crops
 */
export function afterHarvestAnswers(
	grown: readonly ThenGrown[],
	crop: SeasonCrop,
	harvest: number,
	{ run, simulate }: { run: SeasonRun; simulate: (crop: SeasonCrop) => SeasonRun },
	inUnit: (kilograms: number) => number
): Partial<Record<ThenGrown['kind'], CatchCropAnswer>> {
	const answers: Partial<Record<ThenGrown['kind'], CatchCropAnswer>> = {};
	let [from, before] = [harvest, crop];
	for (const [at, { kind, name }] of grown.entries()) {
		const own = before.then!;
		const to = Math.min(run.days - 1, own.harvested);
		const during = (values: Float64Array) => values[to]! - values[from]!;
		const lost = ({ leached, denitrified }: SeasonRun) => inUnit(during(leached) + during(denitrified));
		answers[kind] = {
			name,
			left: inUnit(run.inGround[from]!),
			caught: inUnit(during(run.caught)),
			lost: lost(run),
			lostWithout: lost(simulate(bareAfter(crop, at))),
			...(kind === 'secondCrop' ? { wanted: inUnit(own.wantedBy(own.harvested)) } : {})
		};
		[from, before] = [to, own];
	}
	return answers;
}
