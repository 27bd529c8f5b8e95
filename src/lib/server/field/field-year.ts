import { parametersOf } from '../../../core/packs/parameters-of';
import { fromJson } from '../from-json';
import { error } from '@sveltejs/kit';
import type { Database } from 'better-sqlite3';
import { withoutEmpty } from '../../../core/check/typed-object';
import { valueIfKnown, type Answer } from '../../../core/figure/figure';
import { plantsPerAcre } from '../../../core/ground/block/plant-density';
import { plantAge } from '../../../core/ground/block/block-age';
import { advise, RATE_NUTRIENTS, siteOf } from '../../../core/rates/advise';
import { chosenRate, movedText, type Choice, type Chosen } from '../../../core/rates/choose';
import { chosenOfSecond } from '../../../core/rates/second-crop/second-nitrogen';
import { readHoldingRoom } from '../../../core/reading/holding-room';
import { placedFactor } from '../../../core/rates/nitrogen/placed-factor';
import { readSoilPh } from '../../../core/reading/soil/ph-scale';
import { knownWeather } from '../../../core/season/weather/known-weather';
import { DAY_MS } from '../../../core/units/factors';
import { isSandy } from '../../../core/reading/soil/light-soil';
import { isBefore, type BookedPass } from '../../../core/season/propose/nitrogen-programme';
import { forSowing } from '../../../core/season/schedule/for-sowing';
import { scheduleFor } from '../../../core/season/schedule/schedule-for';
import { anchoredStages } from '../../../core/season/stages/anchored-stages';
import { onTheirDays, wholePass } from '../../../core/season/applied/what-happened';
import { passCost, planCost } from '../../../core/season/plan/pass/pass-cost';
import { cropBefore } from '../../../core/season/schedule/crop-before';
import { mineralNitrogen } from '../../../core/reading/soil/mineral-nitrogen';
import { choiceFacts } from '../../../core/rates/choice-faults';
import { productOf, type PlanContext } from '../../../core/season/plan/plan-context';
import { seasonDebt } from '../../../core/season/plan/season-debt';
import { seasonTotals } from '../../../core/season/plan/season-totals';
import type { Site } from '../../../core/reading/site';
import type {
	AdviseAnswer,
	AdviseRequest,
	Crop,
	InSeason,
	Pass,
	PassCheck,
	Setback,
	WeatherDay
} from '../../../core/schema-types';
import { weatherFor } from './weather-for';
import { planChecks } from './season/plan-checks';
import { fieldRequest, plantingDateOf, recordsOf, REFERENCE_LIME, testedOn, type Records } from './field-request';
import type { Library } from '../knowledge';
import { findField, listFieldSamples, type FieldRow, type SampleRecord } from '../stores/fields';
import { findFieldYear, type FieldYearRow } from '../stores/field-years';
import { secondCropOf } from '../stores/plan/after-the-harvest';
import { pricesOn, type PriceList } from '../stores/prices';
import { listCurves } from '../stores/response-curves';

/** A field in a year with all that follows from it. Nothing here is stored but what the adviser decided. */
export interface FieldYear {
	field: FieldRow;
	year: number;
	samples: SampleRecord[];
	/** The sample in use: the newest. */
	sample: SampleRecord | undefined;
	goal: FieldYearRow | undefined;
	prices: PriceList;
	/** Undefined while the goal or the sample is missing. */
	advice: Advice | undefined;
}

export interface Advice {
	goal: FieldYearRow;
	crop: Crop;
	site: Site;
	request: AdviseRequest;
	/** In US units, as chosen and computed with. */
	answer: AdviseAnswer;
	choices: Choice[];
	chosen: Chosen[];
	/** Of a second crop; undefined where none was settled on, or its method gives none any more. */
	secondNitrogen: Chosen | undefined;
	/** Choices whose method no longer gives a rate. */
	lapsed: Choice[];
	context: PlanContext;
	/** The tests in the crop that are in use. */
	tests: InSeason;
	/** As they went and are planned on: of a pass that was applied in parts, each part. */
	passes: readonly BookedPass[];
	/** Of each pass by its id, on the ground that it goes on. */
	costs: Map<string, Answer>;
	cost: Answer;
	/** Lime that undoes the acid of the passes, lb CaCO3/ac. */
	debt: Answer;
	totals: ReturnType<typeof seasonTotals>;
	/** What rules and daily model have against the passes, as the board shows it in a normal year; worked out when first asked. */
	checks: () => readonly PassCheck[];
}

/** Loads a field-year and derives everything from it; a field that does not exist is a 404. */
export function loadFieldYear(db: Database, library: Library, fieldId: string, year: number, today: string): FieldYear {
	const field = findField(db, fieldId);
	if (!field) error(404, 'There is no such field in this book.');
	const samples = listFieldSamples(db, fieldId);
	const sample = samples[0];
	const goal = findFieldYear(db, fieldId, year);
	const prices = pricesOn(db, today);
	const base = { field, year, samples, sample, goal, prices };
	if (!goal || !sample) return { ...base, advice: undefined };
	return { ...base, advice: adviceFrom(library, recordsOf(db, field, goal, samples, prices, listCurves(db)), today) };
}

/** All that follows from a field-year's records. */
export function adviceFrom(library: Library, records: Records, today: string): Advice {
	const { goal, prices, passes, tests } = records;
	const order: readonly string[] = RATE_NUTRIENTS;
	const choices = [...records.choices].sort((a, b) => order.indexOf(a.nutrient) - order.indexOf(b.nutrient));
	const request = fieldRequest(library, records, today);
	const answer = advise(request, library, today, records.field.units);
	const site = siteOf(request, library, today, records.field.units);
	const settled = choices.map((choice) => chosenRate(choice, answer.rates));
	const secondNitrogen = chosenOfSecond(secondCropOf(goal)?.nitrogen, answer.secondRates ?? []);
	const chosen = settled.filter((one) => one !== undefined);
	const context = planContext(library, records, site, answer, { chosen, secondNitrogen }, today);
	const plans = onTheirDays(passes);
	const costOf = (pass: Pass) => passCost(pass, productOf(pass, library.products), (item) => prices.get(item));
	const costs = new Map(plans.map((pass) => [pass.id, costOf(wholePass(pass))]));
	let checks: readonly PassCheck[] | undefined;
	return {
		goal,
		crop: site.crop,
		site,
		request,
		answer,
		choices,
		chosen,
		secondNitrogen,
		lapsed: choices.filter((_, index) => settled[index] === undefined),
		tests,
		context,
		passes,
		costs,
		cost: planCost(plans.map(costOf)),
		debt: seasonDebt(plans, context),
		totals: seasonTotals(plans, context),
		checks: () => (checks ??= planChecks({ site, passes, context, goal }, plans, library))
	};
}

function planContext(
	library: Library,
	{ field, goal, choices, passes, tests, earlier }: Records,
	site: Site,
	answer: AdviseAnswer,
	{ chosen, secondNitrogen }: Pick<Advice, 'chosen' | 'secondNitrogen'>,
	today: string
): PlanContext {
	const { station, measured, outlook } = weatherFor(field, library);
	const nitrogen = choices.find(({ nutrient }) => nutrient === 'N');
	const notBefore = nitrogen && testedOn(nitrogen, tests, library);
	const dressing = answer.rates.find(({ stands, applies }) => stands === 'for this dressing' && applies);
	const { limit, room, allowances } = readHoldingRoom(site, library.packs);
	const plantingDate = plantingDateOf(goal, library);
	const stages = forSowing(library.stages, goal.crop, plantingDate);
	return {
		crop: site.crop,
		chosen: Object.fromEntries(chosen.map(({ nutrient, rate }) => [nutrient, rate.value])),
		moved: [...chosen, ...(secondNitrogen ? [secondNitrogen] : [])].flatMap((one) => movedText(one, field.units) ?? []),
		choiceFacts: factsOfChoices(site, answer, choices, library, goal),
		holdingLimit: limit,
		holdingRoom: room,
		allowances,
		yieldGoal: goal.yield_goal,
		applied: passes.filter((booked) => booked.doneOn !== null || isBefore(booked, notBefore)).map(({ plan }) => plan),
		notBefore,
		tillersCountedOn: tests.tillers?.date,
		manured: earlier.some(({ plan }) => library.products.find(({ id }) => id === plan.product)?.manure !== undefined),
		tilleringN: dressing?.worksheet.applies ? dressing.worksheet.value : undefined,
		schedule: scheduleFor(library.schedules, goal.crop, site.block, ageOf(site), plantingDate),
		extras: library.extras,
		starter: goal.starter_p2o5 === null ? undefined : { step: library.starter, p2o5: goal.starter_p2o5 },
		liming: { product: goal.liming_product ?? REFERENCE_LIME, placement: site.limePlacement },
		products: library.products,
		today,
		plantingDate,
		cec: answer.derived.cec ?? undefined,
		sandy: isSandy(site.field.textureClass),
		drainage: site.field.drainage,
		slopePercent: site.field.slopePercent,
		soilPh: valueIfKnown(readSoilPh(site.soil, 'water')),
		rowSpacingIn: goal.row_spacing_in ?? undefined,
		placed: placedOf(nitrogen, goal, library),
		limits: library.seasonLimits,
		model: library.seasonModel,
		stages: stages && anchoredStages(stages, site.blockYear, goal.year),
		weather: knownWeather(station, near(measured, plantingDate), outlook, today),
		houseRules: houseRulesOf(library, field.grower),
		setbacks: field.setbacks === null ? [] : fromJson<Setback[]>(field.setbacks),
		cropBefore: cropBefore(site.previousCrop, plantingDate, library),
		block: site.block,
		plantAge: ageOf(site),
		plantsPerAc: site.block && valueIfKnown(plantsPerAcre(site.block, site.areaAc)),
		station,
		second: secondPlan(goal, secondNitrogen, library),
		units: field.units
	};
}

/** What each chosen rate is held against: the other approaches, a test in the crop, and of nitrogen what the soil holds. */
function factsOfChoices(
	site: Site,
	answer: AdviseAnswer,
	choices: readonly Choice[],
	library: Library,
	goal: FieldYearRow
): PlanContext['choiceFacts'] {
	const planted = plantingDateOf(goal, library);
	const uptake = scheduleFor(library.schedules, goal.crop, site.block, ageOf(site), planted)?.uptake?.lbPerYield;
	const soil = withoutEmpty({
		mineral: valueIfKnown(mineralNitrogen(site.soil)),
		uptake: uptake === undefined ? undefined : uptake * goal.yield_goal
	});
	return Object.fromEntries(
		GUARDED.map((nutrient) => {
			const chosenBy = choices.find((one) => one.nutrient === nutrient)?.method;
			return [nutrient, choiceFacts(nutrient, answer.rates, chosenBy, soil)];
		})
	);
}

/** Nutrients whose rates are given in pounds by several approaches. */
const GUARDED = ['N', 'P2O5', 'K2O'] as const;

/** The second crop of a year, where its day is known. */
function secondPlan(
	goal: FieldYearRow,
	nitrogen: Chosen | undefined,
	{ crops, schedules, stages }: Library
): PlanContext['second'] {
	const { id, yieldGoal, plantingDate } = secondCropOf(goal) ?? {};
	const crop = crops.find((one) => one.id === id);
	if (!crop || yieldGoal === undefined || plantingDate === undefined) return undefined;
	return {
		crop,
		yieldGoal,
		plantingDate,
		schedule: forSowing(schedules, crop.id, plantingDate),
		stages: forSowing(stages, crop.id, plantingDate),
		nitrogen: nitrogen?.rate.value
	};
}

/** The adviser's own rules, without those for other growers. */
function houseRulesOf({ houseRules }: Library, grower: string): PlanContext['houseRules'] {
	const noGo = houseRules.noGo.filter((rule) => rule.grower === undefined || rule.grower === grower);
	return { ...houseRules, noGo };
}

/** The year of its block's life; undefined where no block is described. */
function ageOf({ block, cropYear }: Site): number | undefined {
	return block && valueIfKnown(plantAge(block, cropYear));
}

/** The factor for placed nitrogen that a choice stands on. */
function placedOf(choice: Choice | undefined, { crop }: FieldYearRow, { packs }: Library): PlanContext['placed'] {
	const rule = packs.rules.find(({ method }) => method === choice?.method);
	const parameters = parametersOf(placedFactor, rule, crop);
	return rule && parameters && { title: rule.rule.title, parameters };
}

/** Weather further from planting than a season reaches says nothing of it. */
const SEASON_REACHES_DAYS = 400;

function near(days: readonly WeatherDay[], planting: string): WeatherDay[] {
	const reaches = SEASON_REACHES_DAYS * DAY_MS;
	return days.filter(({ date }) => Math.abs(Date.parse(date) - Date.parse(planting)) < reaches);
}
