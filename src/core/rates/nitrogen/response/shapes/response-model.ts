import type { ResponseModelName } from '../../../../schema-types';
import type { RateMeans } from '../rate-means';

/** The three coefficients of a curve, in the order of the model's `names`. */
export type Coefficients = Float64Array;

/**
 * One shape of yield against nitrogen. Yield in the crop's unit per acre, nitrogen in lb/ac. Every model has three
 * coefficients, so that AICc and the sum of squares rank them alike.
 */
export interface ResponseModel {
	readonly name: ResponseModelName;
	readonly names: readonly [string, string, string];
	/** In words a worksheet carries. */
	readonly formula: string;
	yieldAt(p: Coefficients, rate: number): number;
	/** Derivatives of the yield by each coefficient, into `out`: what the standard errors stand on. */
	gradientAt(p: Coefficients, rate: number, out: Coefficients): void;
	/** The least rate of full yield, lb/ac; beyond any field where the curve rises for ever. */
	agronomicOptimum(p: Coefficients): number;
	/**
	 * The rate at which the next pound of nitrogen just pays, lb/ac: f'(N) = priceRatio. Below zero where no
	 * nitrogen pays.
	 * @param priceRatio price of a pound of nitrogen over the price of a unit of yield, 0 or more
	 */
	economicOptimum(p: Coefficients, priceRatio: number): number;
	/**
	 * Least squares into `out`.
	 * @returns the sum of squares left between the rates; NaN where the observations have not this shape
	 */
	fit(data: RateMeans, out: Coefficients): number;
}
