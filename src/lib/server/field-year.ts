import { error } from '@sveltejs/kit';
import type { Database } from 'better-sqlite3';
import type { Answer } from '../../core/figure/figure';
import { advise, RATE_NUTRIENTS, siteOf } from '../../core/rates/advise';
import { applyRule } from '../../core/reading/apply-rule';
import { chosenRate, type Choice, type Chosen } from '../../core/rates/choose';
import { inputReaders } from '../../core/rates/input-readers';
import { checkSeason } from '../../core/season/checks/check-season';
import { passCost, planCost } from '../../core/season/pass-cost';
import { productOf, type PlanContext } from '../../core/season/plan-context';
import { usualPlantingDate } from '../../core/season/propose-programme';
import { seasonTotals } from '../../core/season/season-totals';
import type { Site } from '../../core/reading/site';
import type { AdviseAnswer, AdviseRequest, Crop, PassCheck, Product } from '../../core/schema-types';
import type { UnitSystem } from '../../core/units/rate-units';
import type { Library } from './knowledge';
import { findField, listSamples, type FieldRow, type SampleRecord } from './stores/fields';
import { findFieldYear, listChoices, listPasses, type FieldYearRow, type PassRecord } from './stores/field-years';
import { pricesOn, type PriceList } from './stores/prices';

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
	/** Choices whose method no longer gives a rate. */
	lapsed: Choice[];
	context: PlanContext;
	passes: PassRecord[];
	costs: Map<string, Answer>;
	cost: Answer;
	totals: ReturnType<typeof seasonTotals>;
	checks: PassCheck[];
}

/** Loads a field-year and derives everything from it; a field that does not exist is a 404. */
export function loadFieldYear(db: Database, library: Library, fieldId: string, year: number, today: string): FieldYear {
	const field = findField(db, fieldId);
	if (!field) error(404, 'There is no such field in this book.');
	const samples = listSamples(db, fieldId);
	const sample = samples[0];
	const goal = findFieldYear(db, fieldId, year);
	const prices = pricesOn(db, today);
	const base = { field, year, samples, sample, goal, prices };
	if (!goal || !sample) return { ...base, advice: undefined };
	return { ...base, advice: derive(db, library, field, goal, samples, prices, today) };
}

function derive(
	db: Database,
	library: Library,
	field: FieldRow,
	goal: FieldYearRow,
	samples: readonly SampleRecord[],
	prices: PriceList,
	today: string
): Advice {
	const order: readonly string[] = RATE_NUTRIENTS;
	const choices = listChoices(db, goal.id).sort((a, b) => order.indexOf(a.nutrient) - order.indexOf(b.nutrient));
	const request = withNitrogen(
		requestOf(field, goal, samples, prices, library.products, today),
		choices,
		library,
		today
	);
	const answer = advise(request, library, today);
	const site = siteOf(request, library.crops, today);
	const chosen = choices.map((choice) => chosenRate(choice, answer.rates));
	const passes = listPasses(db, goal.id);
	const context = planContext(
		library,
		goal,
		site,
		site.crop,
		answer,
		chosen.filter((one) => one !== undefined)
	);
	const plans = passes.map(({ plan }) => plan);
	const costs = new Map(
		plans.map((pass) => [pass.id, passCost(pass, productOf(pass, library.products), productPrice(pass, prices))])
	);
	return {
		goal,
		crop: site.crop,
		site,
		request,
		answer,
		choices,
		chosen: chosen.filter((one) => one !== undefined),
		lapsed: choices.filter((_, index) => chosen[index] === undefined),
		context,
		passes,
		costs,
		cost: planCost([...costs.values()]),
		totals: seasonTotals(plans, context),
		checks: plans.length > 0 ? checkSeason(plans, context) : []
	};
}

function productPrice({ product }: { product: Product['id'] }, prices: PriceList): number | undefined {
	return prices.get(`product:${product}`);
}

/** The request behind a field's rates; undefined while its goal or sample is missing. */
export function requestFor(
	db: Database,
	library: Library,
	fieldId: string,
	year: number,
	today: string
): AdviseRequest | undefined {
	const field = findField(db, fieldId);
	const goal = findFieldYear(db, fieldId, year);
	const samples = listSamples(db, fieldId);
	if (!field || !goal || samples.length === 0) return undefined;
	const request = requestOf(field, goal, samples, pricesOn(db, today), library.products, today);
	return withNitrogen(request, listChoices(db, goal.id), library, today);
}

function withNitrogen(
	request: AdviseRequest,
	choices: readonly Choice[],
	library: Library,
	today: string
): AdviseRequest {
	const nitrogenRate = nitrogenSettledOn(choices, request, library, today);
	return nitrogenRate === undefined ? request : { ...request, nitrogenRate };
}

/** The request that the command line and the API would take for this field. */
function requestOf(
	field: FieldRow,
	goal: FieldYearRow,
	[sample, ...earlier]: readonly SampleRecord[],
	prices: PriceList,
	products: readonly Product[],
	today: string
): AdviseRequest {
	const price = (item: string) => prices.get(item);
	const lime = products.find(({ id }) => id === goal.liming_product);
	return withoutUndefined({
		units: 'us' as UnitSystem,
		field: withoutUndefined({
			areaAcres: field.area_ac ?? undefined,
			textureClass: field.texture as AdviseRequest['field']['textureClass'] | undefined,
			slopePercent: field.slope_percent ?? undefined,
			drainage: field.drainage as AdviseRequest['field']['drainage'] | undefined,
			irrigated: field.irrigated === 1,
			tenure: field.tenure ?? undefined
		}),
		sample: sample!.report,
		earlierSamples: earlier.map(({ report }) => report),
		crop: withoutUndefined({
			id: goal.crop,
			yieldGoal: goal.yield_goal,
			previousCrop: goal.previous_crop ?? undefined,
			rowSpacingIn: goal.row_spacing_in ?? undefined,
			residueRemovedPercent: goal.residue_removed_percent ?? undefined
		}),
		prices: withoutUndefined({
			grain: price(`grain:${goal.crop}`),
			nitrogen: price('nutrient:N'),
			P2O5: price('nutrient:P2O5'),
			K2O: price('nutrient:K2O'),
			S: price('nutrient:S'),
			...Object.fromEntries(MINOR.map((nutrient) => [nutrient, price(`nutrient:${nutrient}`)])),
			lime: price(`product:${lime?.id ?? REFERENCE_LIME}`)
		}),
		targetPh: goal.target_ph ?? undefined,
		targetPhScale: goal.target_ph_scale ?? undefined,
		limeDepthIn: goal.lime_depth_in ?? undefined,
		limePlacement: goal.lime_placement ?? undefined,
		limingMaterial: lime?.lime,
		nextCrop:
			goal.next_crop && goal.next_yield_goal ? { id: goal.next_crop, yieldGoal: goal.next_yield_goal } : undefined,
		asOf: today
	});
}

/** The product whose price stands for the guides' reference lime. */
const REFERENCE_LIME = 'aglime';
const MINOR = ['Mg', 'Ca', 'B', 'Zn', 'Mn', 'Cu'] as const;

/** The chosen nitrogen, lb/ac; sulfur by ratio stands on it. */
function nitrogenSettledOn(
	choices: readonly Choice[],
	request: AdviseRequest,
	library: Library,
	today: string
): number | undefined {
	const choice = choices.find(({ nutrient }) => nutrient === 'N');
	if (!choice) return undefined;
	if (choice.ownRate !== undefined) return choice.ownRate;
	const rule = library.packs.rules.find(({ method }) => method === choice.method);
	if (!rule) return undefined;
	const rate = applyRule(rule, siteOf(request, library.crops, today), inputReaders);
	return rate.applies ? rate.value : undefined;
}

/** Rows hold null, requests leave a key out. */
function withoutUndefined<T extends object>(value: T): T {
	return Object.fromEntries(Object.entries(value).filter(([, part]) => part !== undefined && part !== null)) as T;
}

function planContext(
	library: Library,
	goal: FieldYearRow,
	site: Site,
	crop: Crop,
	answer: AdviseAnswer,
	chosen: Chosen[]
): PlanContext {
	const schedule = library.schedules.find((candidate) => candidate.crop === goal.crop);
	return {
		crop,
		chosen: Object.fromEntries(chosen.map(({ nutrient, rate }) => [nutrient, rate.value])),
		holdingLimit: answer.derived.worksheets.holdingLimit!,
		holdingRoom: answer.derived.worksheets.holdingRoom!,
		schedule,
		extras: library.extras,
		starter: goal.starter_p2o5 === null ? undefined : { step: library.starter, p2o5: goal.starter_p2o5 },
		liming: { product: goal.liming_product ?? REFERENCE_LIME, placement: site.limePlacement },
		products: library.products,
		plantingDate: goal.planting_date ?? (schedule ? usualPlantingDate(schedule, goal.year) : `${goal.year}-05-01`)
	};
}
