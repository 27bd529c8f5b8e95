import type { Answer } from '../../figure/figure';
import type { UnitSystem } from '../../units/rate-units';
import type { HoldingAllowances } from '../../reading/holding-room';
import type { ChoiceFacts } from '../../rates/choice-faults';
import type { PlacedParameters } from '../../rates/nitrogen/placed-factor';
import type {
	AdviseRequest,
	Block,
	Crop,
	CropStages,
	HouseRules,
	Pass,
	Product,
	RateNutrient,
	Schedule,
	ScheduleExtras,
	ScheduleStep,
	SeasonLimits,
	SeasonModel,
	Setback,
	Station
} from '../../schema-types';
import type { CropBefore } from '../schedule/crop-before';
import type { KnownWeather } from '../weather/known-weather';

/** The rates the adviser settled on, lb/ac (lime: short tons/ac); a nutrient left out was not decided. */
export type ChosenRates = Partial<Record<RateNutrient, number>>;

/** What they are held against. */
export type FactsOfChoices = Partial<Record<RateNutrient, ChoiceFacts>>;

/** The second crop of a year with its days, and the nitrogen settled on for it, lb/ac. */
export type SecondPlan = Pick<PlanContext, 'crop' | 'yieldGoal' | 'plantingDate' | 'schedule' | 'stages'> & {
	nitrogen: number | undefined;
};

/** All that the season's rules look at. */
export interface PlanContext {
	crop: Crop;
	chosen: ChosenRates;
	/** In words: chosen rates whose method gives another one now. */
	moved?: readonly string[];
	choiceFacts: FactsOfChoices;
	/** What the soil can hold at one time, lb N/ac. */
	holdingLimit: Answer;
	/** The limit less what is in the ground, lb N/ac. */
	holdingRoom: Answer;
	/** What makes more room in season. */
	allowances: HoldingAllowances;
	/** In the crop's unit. */
	yieldGoal: number;
	/** Passes that were applied already: a proposal plans only what is left. */
	applied: readonly Pass[];
	/** Day of a test in the crop that the nitrogen stands on: what is proposed comes after it. */
	notBefore: string | undefined;
	/** Nitrogen of the tillering application by a count in the crop, lb/ac. */
	tilleringN: number | undefined;
	/** Day of that count; undefined where it was not dated, or there is none. */
	tillersCountedOn: string | undefined;
	/** Manure of earlier years is in the book: its sulfur comes too late in a cold spring. */
	manured: boolean;
	schedule: Schedule | undefined;
	/** Where nutrients go that the crop's own schedule does not name. */
	extras: ScheduleExtras;
	/** Phosphate beside the seed as part of the total, lb/ac; undefined where none is wanted. */
	starter: { step: ScheduleStep; p2o5: number } | undefined;
	liming: { product: string; placement: 'incorporated' | 'surface' };
	products: readonly Product[];
	/** YYYY-MM-DD: nothing is planned for a day before it. */
	today: string;
	/** YYYY-MM-DD */
	plantingDate: string;
	/** meq/100 g; undefined where the report gives none. */
	cec: number | undefined;
	sandy: boolean;
	drainage: AdviseRequest['field']['drainage'] | undefined;
	slopePercent: number | undefined;
	/** In water; undefined where the report gives none. */
	soilPh: number | undefined;
	/** Undefined where the adviser gave none. */
	rowSpacingIn: number | undefined;
	/** The factor for placed nitrogen that the chosen nitrogen stands on; undefined where it stands on another guide. */
	placed: { title: string; parameters: PlacedParameters } | undefined;
	limits: SeasonLimits;
	model: SeasonModel;
	/** The crop that stood before; undefined where it or its days are not known. */
	cropBefore: CropBefore | undefined;
	/** Undefined where none are known of the crop. */
	stages: CropStages | undefined;
	weather: KnownWeather;
	houseRules: HouseRules;
	setbacks: readonly Setback[];
	/** The planting of a perennial and the year of its life; undefined where it is not described. */
	block: Block | undefined;
	plantAge: number | undefined;
	/** Undefined without a block, or where its plants are not known. */
	plantsPerAc?: number | undefined;
	/** Whose normals stand for the usual weather. */
	station: Station;
	/** What is planted after the harvest of the same year; undefined where nothing is, or its day is not known. */
	second?: SecondPlan | undefined;
	/** In which amounts are said to the reader. */
	units: UnitSystem;
}

/** The product of a pass. The stores admit none that the catalogue lacks. */
export function productOf({ product }: Pick<Pass, 'product'>, products: readonly Product[]): Product {
	const found = products.find(({ id }) => id === product);
	if (!found) throw new RangeError(`no product "${product}" in the catalogue`);
	return found;
}
