import { figure, notApplicable } from '../figure/figure';
import type { CropStages, SeasonAnswer, SeasonLimits, SeasonRequest, ScheduleExtras } from '../schema-types';
import { DAY_MS } from '../units/factors';
import { checkSeason } from './checks/check-season';
import type { PlanContext } from './plan-context';
import { runSeason, seasonDates, type SeasonKnowledge } from './run-season';
import { isSandy } from './sandy';
import { stageDates } from './stages/stage-dates';
import { seasonWeather, shiftDate } from './weather/season-weather';

/** What the rules of a season stand on beside the model. */
export interface RuleKnowledge extends SeasonKnowledge {
	extras: ScheduleExtras;
	seasonLimits: SeasonLimits;
	stages: readonly CropStages[];
}

/**
 * A season by the daily model with what the rules have against its passes and when the crop gets to its stages.
 * @param request checked by schemas/season-request.schema.json
 * @throws InputError for what no schema sees: a product, crop or station that is not known, weather with a gap
 */
export function answerSeason(request: SeasonRequest, knowledge: RuleKnowledge): SeasonAnswer {
	const run = runSeason(request, knowledge);
	const context = contextOf(request, knowledge);
	const { start, harvest } = seasonDates(request, knowledge);
	const days = (Date.parse(harvest) - Date.parse(start)) / DAY_MS + 1;
	const { weather } = seasonWeather(request, knowledge.stations, start, days);
	const byDate = new Map(weather.map((day) => [day.date, day]));
	const stages = context.stages
		? stageDates(context.stages, context.plantingDate, (date) => byDate.get(date) ?? weather.at(-1)!)
		: [];
	return {
		...run,
		checks: checkSeason(request.passes, context),
		stages: stages
			.filter(({ date }) => date <= harvest)
			.map(({ name, date, main }) => ({ name, date, ...(main ? { main } : {}) }))
	};
}

function contextOf(request: SeasonRequest, knowledge: RuleKnowledge): PlanContext {
	const { soil, crop: asked, station, known, weather } = request;
	const limit =
		soil.holdingLimitLbAc === undefined
			? notApplicable('holding limit', 'the request gives none', 'Give soil.holdingLimitLbAc, as advise finds it.')
			: figure({ label: 'holding limit', value: soil.holdingLimitLbAc, unit: 'lb/ac', basis: 'adviser' });
	const { planting } = seasonDates(request, knowledge);
	return {
		crop: knowledge.crops.find(({ id }) => id === asked.id)!,
		chosen: {},
		holdingLimit: limit,
		holdingRoom: limit,
		allowances: { seasonDays: 0, seasonShareOfLimit: 0, slowReleaseShareOfLimit: 0 },
		yieldGoal: asked.yieldGoal,
		applied: [],
		notBefore: undefined,
		tilleringN: undefined,
		schedule: knowledge.schedules.find(({ crop }) => crop === asked.id),
		extras: knowledge.extras,
		starter: undefined,
		liming: { product: 'aglime', placement: 'incorporated' },
		products: knowledge.products,
		plantingDate: planting,
		cec: soil.cec,
		sandy: isSandy(soil.textureClass),
		drainage: soil.drainage,
		slopePercent: soil.slopePercent,
		soilPh: soil.soilPh,
		rowSpacingIn: asked.rowSpacingIn,
		placed: undefined,
		limits: knowledge.seasonLimits,
		model: knowledge.seasonModel,
		stages: knowledge.stages.find(({ crop }) => crop === asked.id),
		weather: {
			days: new Map((weather ?? known ?? []).map((day) => [day.date, day])),
			outlookFrom: shiftDate((weather ?? known)?.at(-1)?.date ?? planting, 1),
			madeUp: false
		},
		houseRules: { noGo: [] },
		setbacks: [],
		station: knowledge.stations.find(({ id }) => id === station?.id) ?? knowledge.stations[0]!
	};
}
