import { keysOf } from '../../check/typed-object';
import type { Nutrient } from '../../schema-types';

/** Nutrients that a manure is rated by. */
export type ManureNutrient = Extract<Nutrient, 'N' | 'P2O5' | 'K2O' | 'S' | 'Mg'>;

/** A rate of manure by one nutrient, and what it then brings of the others. */
export interface ManureRate {
	by: ManureNutrient | 'your own rate';
	/** Units of manure per acre: tons or 1000 gal. */
	unitsPerAcre: number;
	/** Available this year, lb/ac. */
	brings: Partial<Record<ManureNutrient, number>>;
	/** Over what is wanted, lb/ac; phosphate piles up where nitrogen sets the rate. */
	over: Partial<Record<ManureNutrient, number>>;
	/** Still short, lb/ac: the top-up. */
	short: Partial<Record<ManureNutrient, number>>;
}

/**
 * The rate of manure by each nutrient that is wanted and that it holds, the least first: that one is limiting, and with it nothing is
 * put on too much.
 * @param perUnit available this year in a unit, lb
 * @param wanted lb/ac
 */
export function manureRates(
	perUnit: Partial<Record<ManureNutrient, number>>,
	wanted: Partial<Record<ManureNutrient, number>>
): ManureRate[] {
	const nutrients = keysOf(wanted).filter((nutrient) => (wanted[nutrient] ?? 0) > 0);
	return nutrients
		.filter((nutrient) => (perUnit[nutrient] ?? 0) > 0)
		.map((by) => ({ by, ...manureAt(wanted[by]! / perUnit[by]!, perUnit, wanted) }))
		.sort((a, b) => a.unitsPerAcre - b.unitsPerAcre);
}

/** Less than this is none, lb/ac. */
const LEAST_LB = 0.05;

/** What a rate of manure brings, what of it is over and what is still short; the arguments are those of `manureRates`. */
export function manureAt(
	unitsPerAcre: number,
	perUnit: Partial<Record<ManureNutrient, number>>,
	wanted: Partial<Record<ManureNutrient, number>>
): Omit<ManureRate, 'by'> {
	const held = keysOf(perUnit);
	const brings: ManureRate['brings'] = Object.fromEntries(
		held.map((nutrient) => [nutrient, perUnit[nutrient]! * unitsPerAcre])
	);
	const gap = (nutrient: ManureNutrient) => (brings[nutrient] ?? 0) - (wanted[nutrient] ?? 0);
	const all = [...new Set([...held, ...keysOf(wanted)])];
	const part = (sign: 1 | -1) =>
		Object.fromEntries(
			all.map((nutrient) => [nutrient, sign * gap(nutrient)] as const).filter(([, pounds]) => pounds > LEAST_LB)
		);
	return { unitsPerAcre, brings, over: part(1), short: part(-1) };
}
