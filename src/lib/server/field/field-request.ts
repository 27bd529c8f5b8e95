import { withoutEmpty } from '../../../core/check/typed-object';
import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import type { Choice } from '../../../core/rates/choose';
import { settledNitrogen } from '../../../core/rates/settled-nitrogen';
import { speaksFor } from '../../../core/rates/nitrogen/own-curves';
import { nitrogenProgramme, type BookedPass } from '../../../core/season/propose/nitrogen-programme';
import { forSowing } from '../../../core/season/schedule/for-sowing';
import { usualPlantingDate } from '../../../core/season/schedule/usual-planting';
import { laterNitrogen } from '../../../core/supply/manure/manure-product';
import { poundsPerAcre } from '../../../core/season/plan/pass/pass-nutrients';
import type {
	AdviseRequest,
	BlockYear,
	CatchCrop,
	FieldIrrigation,
	InSeason,
	LeafLogEntry,
	LeafTest,
	NitrogenTerms,
	Pass,
	Product,
	ResponseCurve
} from '../../../core/schema-types';
import type { UnitSystem } from '../../../core/units/rate-units';
import type { Library } from '../knowledge';
import { listCropTests, testsInUse } from '../stores/tests/crop-tests';
import { guidingLeaf } from './guiding-leaf';
import { listLeafTests } from '../stores/tests/leaf-tests';
import { blockOf, findField, listFieldSamples, type FieldRow, type SampleRecord } from '../stores/fields';
import {
	blockYearOf,
	findFieldYear,
	listChoices,
	listEarlierPasses,
	seasonSoFar,
	type FieldYearRow
} from '../stores/field-years';
import { catchCropOf, secondCropOf } from '../stores/plan/after-the-harvest';
import { pricesOn, type PriceList } from '../stores/prices';
import { irrigationOf, listWaterSources } from '../stores/water/water-sources';

/** What the book holds of a field in a year, as the rates need it. */
export interface Records {
	field: FieldRow;
	goal: FieldYearRow;
	samples: readonly SampleRecord[];
	prices: PriceList;
	choices: readonly Choice[];
	passes: readonly BookedPass[];
	tests: InSeason;
	/** The library of response curves. */
	curves: readonly ResponseCurve[];
	/** Passes of the two years before: manure among them still gives. */
	earlier: readonly { plan: Pass; yearsAgo: number }[];
	/** What was sown after the harvest of the year before. */
	catchBefore: CatchCrop | undefined;
	/** Of a block, the newest first. */
	leafTests: readonly LeafLogEntry[];
	/** Undefined where no water is put on. */
	irrigation: FieldIrrigation | undefined;
}

/**
 * The request behind a field's rates; undefined while its goal or sample is missing.
 * @param curves the library, read once for many fields
 */
export function requestFor(
	db: Database,
	library: Library,
	fieldId: string,
	year: number,
	today: string,
	curves: readonly ResponseCurve[]
): AdviseRequest | undefined {
	const field = findField(db, fieldId);
	const goal = findFieldYear(db, fieldId, year);
	const samples = listFieldSamples(db, fieldId);
	if (!field || !goal || samples.length === 0) return undefined;
	return fieldRequest(library, recordsOf(db, field, goal, samples, pricesOn(db, today), curves), today);
}

/** The rest of the records of a field-year. */
export function recordsOf(
	db: Database,
	field: FieldRow,
	goal: FieldYearRow,
	samples: readonly SampleRecord[],
	prices: PriceList,
	curves: readonly ResponseCurve[]
): Records {
	const choices = listChoices(db, goal.id);
	const passes = seasonSoFar(db, goal.id);
	const tests = testsInUse(listCropTests(db, goal.id));
	const earlier = listEarlierPasses(db, field.id, goal.year);
	const before = findFieldYear(db, field.id, goal.year - 1);
	const catchBefore = before && catchCropOf(before);
	const leafTests = field.block === null ? [] : listLeafTests(db, field.id);
	const irrigation = goal.irrigation === null ? undefined : irrigationOf(goal, listWaterSources(db));
	return { field, goal, samples, prices, choices, passes, tests, curves, earlier, catchBefore, leafTests, irrigation };
}

/** The request that the command line and the API would take for this field, with the nitrogen settled on. */
export function fieldRequest(library: Library, records: Records, today: string): AdviseRequest {
	const base = requestOf(records, library, today);
	const curves = records.curves
		.filter((curve) => speaksFor(curve, base.crop, base.field))
		// The plots behind a curve do not move its rate.
		.map((curve) => ({ ...curve, observations: undefined }))
		.map(withoutEmpty);
	const choice = records.choices.find(({ nutrient }) => nutrient === 'N');
	const programme = nitrogenProgramme(records.passes, library.products, plantingDateOf(records.goal, library));
	const request = {
		...base,
		...(curves.length > 0 ? { responseCurves: curves } : {}),
		...(programme.length > 0 ? { programme } : {})
	};
	const nitrogenRate = choice && settledNitrogen(choice, request, library, today);
	return nitrogenRate === undefined ? request : { ...request, nitrogenRate };
}

/** The day of the test that a choice of nitrogen stands on; undefined where it stands on none. */
export function testedOn({ method }: Choice, tests: InSeason, { packs }: Library): string | undefined {
	const kind = packs.rules.find((rule) => rule.method === method)?.kind;
	return kind?.covers === 'from now on' && kind.test ? tests[kind.test]?.date : undefined;
}

/** The planting date set, of a perennial the day of its bud break; else the usual one of the crop. */
export function plantingDateOf(
	{ crop, year, planting_date, block_year }: FieldYearRow,
	{ schedules }: Library
): string {
	const schedule = forSowing(schedules, crop, undefined);
	const { budBreak } = blockYearOf({ block_year });
	return planting_date ?? budBreak ?? (schedule ? usualPlantingDate(schedule, year) : `${year}-05-01`);
}

function requestOf(records: Records, library: Library, today: string): AdviseRequest {
	const { field, goal, samples, prices, tests, leafTests, irrigation } = records;
	const [sample, ...olderSamples] = samples;
	const { products } = library;
	const second = secondCropOf(goal);
	const price = (item: string) => prices.get(item);
	// Every approach is worked out in the lime that is bought: its tons are those of the plan, the price and the order.
	const lime = products.find(({ id }) => id === (goal.liming_product ?? REFERENCE_LIME));
	return withoutEmpty({
		units: 'us' as UnitSystem,
		field: withoutEmpty({
			areaAcres: field.area_ac ?? undefined,
			textureClass: field.texture as AdviseRequest['field']['textureClass'] | undefined,
			slopePercent: field.slope_percent ?? undefined,
			drainage: field.drainage as AdviseRequest['field']['drainage'] | undefined,
			irrigated: field.irrigated === 1,
			tenure: field.tenure ?? undefined
		}),
		sample: sample!.report,
		earlierSamples: olderSamples.map(({ report }) => report),
		crop: withoutEmpty({
			id: goal.crop,
			yieldGoal: goal.yield_goal,
			previousCrop: goal.previous_crop ?? undefined,
			rowSpacingIn: goal.row_spacing_in ?? undefined,
			residueRemovedPercent: goal.residue_removed_percent ?? undefined,
			year: goal.year,
			block: blockOf(field),
			blockYear: blockYearWith(goal, guidingLeaf(leafTests, field, goal, library))
		}),
		prices: withoutEmpty({
			grain: price(`grain:${goal.crop}`),
			secondGrain: second && price(`grain:${second.id}`),
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
		secondCrop: second && withoutEmpty({ id: second.id, yieldGoal: second.yieldGoal, nitrogen: second.nitrogen }),
		nitrogen: termsWithWhatIsLeft(records, library),
		irrigation,
		inSeason: Object.keys(tests).length > 0 ? tests : undefined,
		asOf: today
	});
}

/**
 * The terms of nitrogen, with what is left of years before by this book: what manure still gives, and the day on which the catch crop of
 * the year before ends, a cereal or legumes. What the adviser typed in stands.
 * @returns undefined where there is neither
 */
function termsWithWhatIsLeft(
	{ goal: { nitrogen }, earlier, catchBefore }: Records,
	{ products, seasonModel }: Library
): NitrogenTerms | undefined {
	const typed = nitrogen === null ? undefined : fromJson<NitrogenTerms>(nitrogen);
	const earlierManureN = nitrogenOfEarlierManure(earlier, products);
	const killedOn = catchBefore?.endedOn;
	const legume = seasonModel.catchCrops.find(({ id }) => id === catchBefore?.crop)?.legume ?? false;
	const cover = legume ? { legumeCover: { killedOn, ...typed?.legumeCover } } : { coverKilledOn: killedOn };
	const left = { ...(earlierManureN === 0 ? {} : { earlierManureN }), ...(catchBefore ? cover : {}) };
	return typed || Object.keys(left).length > 0 ? { ...left, ...typed, ...(legume ? cover : {}) } : undefined;
}

/** Nitrogen that manure of earlier years still gives, lb/ac. */
export function nitrogenOfEarlierManure(earlier: Records['earlier'], products: readonly Product[]): number {
	return earlier.reduce((sum, { plan, yearsAgo }) => {
		const product = products.find(({ id }) => id === plan.product);
		return product?.manure ? sum + laterNitrogen(poundsPerAcre(plan, product), product, yearsAgo) : sum;
	}, 0);
}

/** The lime that is bought where the adviser names none. */
export const REFERENCE_LIME = 'aglime';
const MINOR = ['Mg', 'Ca', 'B', 'Zn', 'Mn', 'Cu'] as const;

/** What holds of a block in a year; a leaf test of the log where none was typed for the year. */
function blockYearWith(goal: FieldYearRow, leaf: LeafTest | undefined): BlockYear | undefined {
	const typed = goal.block_year === null ? undefined : blockYearOf(goal);
	return leaf === undefined || typed?.leaf ? typed : { ...typed, leaf };
}
