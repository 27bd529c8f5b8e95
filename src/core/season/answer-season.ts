import { InputError } from '../check/problem';
import { figure, notApplicable, type Answer } from '../figure/figure';
import type { PackSet } from '../packs/pack';
import { holdingAllowances, roomLeft } from '../reading/holding-room';
import type { SeasonAnswer, SeasonLimits, SeasonRequest, ScheduleExtras } from '../schema-types';
import { DAY_MS } from '../units/factors';
import { gravestFirst } from '../figure/gravest-first';
import { modelledCapacityCheck } from './checks/ground/modelled-capacity';
import { soundRemedies } from './checks/sound-remedies';
import { checkSeason } from './checks/check-season';
import type { PlanContext } from './plan/plan-context';
import { blockSeason } from './model/growth/crop-growth';
import { runSeason, seasonDates, type SeasonKnowledge } from './model/run-season';
import { isSandy } from '../reading/soil/light-soil';
import { checkGoal } from '../rates/check-goal';
import { productFault } from './plan/pass/product-fault';
import { dateFault, seasonSpan } from './plan/season-span';
import { stageDates, usualTemperatures } from './stages/stage-dates';
import { seasonWeather, shiftDate, stationOf } from './weather/season-weather';

/** What the rules of a season stand on beside the model. */
export interface RuleKnowledge extends SeasonKnowledge {
	extras: ScheduleExtras;
	seasonLimits: SeasonLimits;
	packs: PackSet;
}

/**
 * A season by the daily model with what the rules have against its passes and when the crop gets to its stages.
 * @param request checked by schemas/season-request.schema.json
 * @throws InputError for what no schema sees: a product, crop or station that is not known, weather with a gap
 */
export function answerSeason(request: SeasonRequest, knowledge: RuleKnowledge): SeasonAnswer {
	// First: how long a season lasts is asked of its passes' nutrients.
	checkProducts(request, knowledge);
	checkDates(request, knowledge);
	const asked = knowledge.crops.find(({ id }) => id === request.crop.id);
	if (asked) checkGoal(asked, request.crop.yieldGoal, '/crop/yieldGoal');
	const run = runSeason(request, knowledge);
	const context = contextOf(request, knowledge);
	const { start, harvest } = seasonDates(request, knowledge);
	const days = (Date.parse(harvest) - Date.parse(start)) / DAY_MS + 1;
	const { weather } = seasonWeather(request, knowledge.stations, start, days);
	const byDate = new Map(weather.map((day) => [day.date, day]));
	const usual = usualTemperatures(context.station);
	const stages = context.stages
		? stageDates(context.stages, context.plantingDate, (date) => byDate.get(date) ?? usual(date))
		: [];
	return {
		...run,
		checks: soundRemedies(
			gravestFirst([...checkSeason(request.passes, context), ...modelledCapacityCheck(run, context)]),
			request.passes,
			context
		),
		stages: stages
			.filter(({ date }) => date <= harvest)
			.map(({ name, date, main }) => ({ name, date, ...(main ? { main } : {}) }))
	};
}

/** @throws InputError for a product that is not known, or cannot be measured so */
function checkProducts({ passes }: SeasonRequest, { products }: RuleKnowledge): void {
	const problems = passes.flatMap((pass, at) => {
		const fault = productFault(pass, products);
		return fault ? [{ path: `/passes/${at}/${fault.key}`, message: fault.message }] : [];
	});
	if (problems.length > 0) throw new InputError(problems);
}

/**
 * @throws InputError for a pass outside its season, or weather that does not reach planting
 */
function checkDates(request: SeasonRequest, knowledge: RuleKnowledge): void {
	const { planting, harvest } = seasonDates(request, knowledge);
	const problems = request.passes.flatMap((pass, at) => {
		const fault = dateFault(pass, knowledge.products, planting);
		return fault ? [{ path: `/passes/${at}/date`, message: fault }] : [];
	});
	const [first, last] = [request.weather?.[0]?.date, request.weather?.at(-1)?.date];
	if (
		first !== undefined &&
		last !== undefined &&
		(first > planting || last < planting || first < shiftDate(harvest, -MOST_DAYS))
	) {
		const message = `must hold the planting of ${planting} and begin no more than ${MOST_DAYS} days before the harvest; it runs from ${first} to ${last}`;
		problems.push({ path: '/weather', message });
	}
	if (problems.length > 0) throw new InputError(problems);
}

/** A run spans no more days than this. */
const MOST_DAYS = 800;

/** Mineral nitrogen in the ground, lb/ac, as the request gives it. */
function mineralOf({ nitrateLbAc, ammoniumLbAc = 0 }: SeasonRequest['soil']): Answer {
	const label = 'soil mineral N';
	if (nitrateLbAc === undefined)
		return notApplicable(label, 'the request gives no nitrate-N', 'Give soil.nitrateLbAc.');
	return figure({ label, value: nitrateLbAc + ammoniumLbAc, unit: 'lb/ac', basis: 'adviser' });
}

function contextOf(request: SeasonRequest, knowledge: RuleKnowledge): PlanContext {
	const { soil, crop: asked, station, known, weather } = request;
	const limit =
		soil.holdingLimitLbAc === undefined
			? notApplicable('holding limit', 'the request gives none', 'Give soil.holdingLimitLbAc, as advise finds it.')
			: figure({ label: 'holding limit', value: soil.holdingLimitLbAc, unit: 'lb/ac', basis: 'adviser' });
	const { planting } = seasonDates(request, knowledge);
	const { age, schedule, stages } = blockSeason(request, knowledge);
	return {
		crop: knowledge.crops.find(({ id }) => id === asked.id)!,
		choiceFacts: {},
		chosen: asked.nitrogenLbAc === undefined ? {} : { N: asked.nitrogenLbAc },
		holdingLimit: limit,
		holdingRoom: roomLeft(limit, mineralOf(soil)),
		allowances: holdingAllowances(knowledge.packs, asked.id),
		yieldGoal: asked.yieldGoal,
		applied: [],
		notBefore: undefined,
		tilleringN: undefined,
		tillersCountedOn: undefined,
		manured: false,
		schedule,
		extras: knowledge.extras,
		starter: undefined,
		liming: { product: 'aglime', placement: 'incorporated' },
		products: knowledge.products,
		// Nothing is proposed here: any day will do that is not after the first pass.
		today: seasonSpan(planting).from,
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
		stages,
		weather: {
			days: new Map((weather ?? known ?? []).map((day) => [day.date, day])),
			outlookFrom: shiftDate((weather ?? known)?.at(-1)?.date ?? planting, 1),
			madeUp: false
		},
		houseRules: { noGo: [] },
		cropBefore: undefined,
		setbacks: [],
		block: asked.block,
		plantAge: age,
		station: stationOf({ station }, knowledge.stations) ?? knowledge.stations[0]!,
		units: request.units ?? 'us'
	};
}
