import type { Answer } from '../figure/figure';
import type { HoldingAllowances } from '../reading/holding-room';
import type {
	Crop,
	Pass,
	Product,
	RateNutrient,
	Schedule,
	ScheduleExtras,
	ScheduleStep,
	Station
} from '../schema-types';

/** The rates the adviser settled on, lb/ac (lime: short tons/ac); a nutrient left out was not decided. */
export type ChosenRates = Partial<Record<RateNutrient, number>>;

/** All that the season's rules look at. */
export interface PlanContext {
	crop: Crop;
	chosen: ChosenRates;
	/** What the ground can hold at one time, lb N/ac. */
	holdingLimit: Answer;
	/** The limit less what is in the ground, lb N/ac. */
	holdingRoom: Answer;
	/** What makes more room in season. */
	allowances: HoldingAllowances;
	/** In the crop's unit. */
	yieldGoal: number;
	/** Passes that were applied already: a proposal plans only what is left. */
	applied: readonly Pass[];
	/** Day of a test in the standing crop that the nitrogen stands on: what is proposed comes after it. */
	notBefore: string | undefined;
	/** Nitrogen of the tillering dressing by a count in the crop, lb/ac. */
	tilleringN: number | undefined;
	schedule: Schedule | undefined;
	/** Where nutrients go that the crop's own schedule does not name. */
	extras: ScheduleExtras;
	/** Phosphate beside the seed as part of the total, lb/ac; undefined where none is wanted. */
	starter: { step: ScheduleStep; p2o5: number } | undefined;
	liming: { product: string; placement: 'incorporated' | 'surface' };
	products: readonly Product[];
	/** YYYY-MM-DD */
	plantingDate: string;
	/** meq/100 g; undefined where the report gives none. */
	cec: number | undefined;
	sandy: boolean;
	/** Whose normals stand for the usual weather. */
	station: Station;
}

/** The product of a pass. The stores admit none that the catalogue lacks. */
export function productOf({ product }: Pick<Pass, 'product'>, products: readonly Product[]): Product {
	const found = products.find(({ id }) => id === product);
	if (!found) throw new RangeError(`no product "${product}" in the catalogue`);
	return found;
}
