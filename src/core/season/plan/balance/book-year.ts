import { valueIfKnown } from '../../../figure/figure';
import type { PackSet } from '../../../packs/pack';
import { takenOff } from '../../../rates/phosphorus-potassium/removal';
import type { Crop, FieldIrrigation, Pass, Product } from '../../../schema-types';
import { broughtInYear } from '../../../water/irrigation';
import { passAcidity } from '../pass/pass-acidity';
import { passCost, type PriceOf } from '../pass/pass-cost';
import { passNutrient, poundsPerAcre } from '../pass/pass-nutrients';
import { LB_PER_SHORT_TON } from '../../../units/factors';
import { productOf } from '../plan-context';
import { BALANCED, removalRule, type Balanced, type HarvestedSecond } from './nutrient-balance';

/** A year of a field as the book has it. */
export interface BookedYear {
	crop: Crop;
	/** In the crop's unit. */
	goal: number;
	/** Undefined while it is not in the book. */
	harvested: number | undefined;
	/** Share of the straw or stover that was taken off, 0 to 1. */
	strawShare: number;
	/** All passes of the plan, and those of them that were applied. */
	planned: readonly Pass[];
	applied: readonly Pass[];
	irrigation: FieldIrrigation | undefined;
	second: HarvestedSecond | undefined;
}

type Pounds = Record<Balanced, number>;

/** The numbers of a year, an acre each; what cannot be said is left out. */
export interface YearNumbers {
	/** lb/ac in the plan, and applied with the water. */
	planned: Pounds;
	applied: Pounds;
	/** lb/ac applied less taken off; without the harvest, or a removal, there is none. */
	balance: Partial<Pounds>;
	/** $/ac of what was applied, at the prices given; undefined while one of them is missing. */
	cost?: number;
	/** $ for each unit of the harvest; undefined where two crops were harvested. */
	costPerYield?: number;
	/** lb of pure CaCO3/ac that undo the acid of what was applied; undefined where that of a product is not known. */
	acidity?: number;
	/** Short tons/ac of lime that went on. */
	lime: number;
}

/** A pass with the card of its product. */
interface Carried {
	pass: Pass;
	product: Product;
}

/** What each unit of a crop's yield takes off; undefined where no guide says. */
export type Removals = (crop: Crop, nutrient: Balanced) => ReturnType<typeof removalRule>['parameters'];

/** The removals of the guides in use, each looked up once for many years. */
export function removalsOf(packs: Pick<PackSet, 'rules'>): Removals {
	const known = new Map<string, ReturnType<Removals>>();
	return (crop, nutrient) => {
		const key = `${crop.id} ${nutrient}`;
		if (!known.has(key)) known.set(key, removalRule(crop, nutrient, packs).parameters);
		return known.get(key);
	};
}

/** What a year came to, as numbers alone: a book of thousands of fields over years is read in one go. The formulas are those of the worksheets. */
export function bookYear(
	{ crop, harvested, strawShare, planned, applied, irrigation, second }: BookedYear,
	removals: Removals,
	products: readonly Product[],
	priceOf: PriceOf
): YearNumbers {
	const water = irrigation ? broughtInYear(irrigation) : {};
	const withProduct = (pass: Pass) => ({ pass, product: productOf(pass, products) });
	const on = applied.map(withProduct);
	const brought = poundsOf(on);
	for (const nutrient of BALANCED) brought[nutrient] += (water[nutrient] && valueIfKnown(water[nutrient])) ?? 0;
	const balance: Partial<Pounds> = {};
	for (const nutrient of BALANCED) {
		const off = sumOf([
			takenBy(removals(crop, nutrient), harvested, strawShare),
			second ? takenBy(removals(second.crop, nutrient), second.harvested, 0) : 0
		]);
		if (off !== undefined) balance[nutrient] = brought[nutrient] - off;
	}
	const cost = sumOf(on.map(({ pass, product }) => valueIfKnown(passCost(pass, product, priceOf))));
	const acidity = sumOf(on.map(({ pass, product }) => valueIfKnown(passAcidity(pass, product))));
	const intended = planned.map(withProduct);
	return {
		planned: poundsOf(intended),
		applied: brought,
		balance,
		...(cost === undefined ? {} : { cost }),
		...(cost === undefined || !harvested || second ? {} : { costPerYield: cost / harvested }),
		...(acidity === undefined ? {} : { acidity }),
		lime: on.reduce(
			(sum, { pass, product }) => (product.lime ? sum + poundsPerAcre(pass, product) / LB_PER_SHORT_TON : sum),
			0
		)
	};
}

function takenBy(removal: ReturnType<Removals>, harvested: number | undefined, strawShare: number) {
	return removal && harvested !== undefined ? takenOff(removal, harvested, strawShare) : undefined;
}

/** Pounds of each nutrient in some passes; only those that a product's card holds are asked for. */
function poundsOf(passes: readonly Carried[]): Pounds {
	const sum: Pounds = { N: 0, P2O5: 0, K2O: 0, S: 0, Mg: 0 };
	for (const { pass, product } of passes) {
		for (const nutrient of BALANCED) {
			if (product.analysis[nutrient] !== undefined) sum[nutrient] += passNutrient(pass, product, nutrient);
		}
	}
	return sum;
}

/** Undefined where one of them is. */
function sumOf(parts: readonly (number | undefined)[]): number | undefined {
	return parts.reduce<number | undefined>(
		(sum, part) => (sum === undefined || part === undefined ? undefined : sum + part),
		0
	);
}

/** So much more nitrogen on than off than at the optimum is a warning: common practice. Sites differ; the local figure counts. */
export const EXCESS_N_LB = 100;

/** How a year's nitrogen balance is to be looked at; undefined where there is none. */
export function nitrogenBand(balance: number | undefined): 'short' | 'near' | 'high' | undefined {
	if (balance === undefined) return undefined;
	if (balance < 0) return 'short';
	return balance < EXCESS_N_LB ? 'near' : 'high';
}

/**
 * A mean by acres, of the fields that have the number.
 * @returns undefined where none has
 */
export function meanByAcres<T>(
	parts: readonly T[],
	acresOf: (part: T) => number,
	valueOf: (part: T) => number | undefined
): number | undefined {
	let acres = 0;
	let sum = 0;
	for (const part of parts) {
		const value = valueOf(part);
		if (value === undefined) continue;
		acres += acresOf(part);
		sum += acresOf(part) * value;
	}
	return acres === 0 ? undefined : sum / acres;
}
