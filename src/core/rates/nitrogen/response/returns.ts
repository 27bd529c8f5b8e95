import type { ResponseModelName } from '../../../schema-types';
import { responseModel } from './shapes/models';
import type { Coefficients, ResponseModel } from './shapes/response-model';

/** What a pound of nitrogen costs and a unit of yield brings, $. */
export interface NitrogenPrices {
	grain: number;
	nitrogen: number;
}

/** A curve with the rates between which it was tested: outside of them it says nothing. */
export interface TestedCurve {
	model: ResponseModel;
	p: Coefficients;
	/** lb N/ac */
	lowest: number;
	highest: number;
}

export function testedCurve(name: ResponseModelName, p: Coefficients, lowest: number, highest: number): TestedCurve {
	return { model: responseModel(name), p, lowest, highest };
}

/** The rate of maximum yield, lb/ac; NaN where it lies outside the tested rates. */
export function mostYieldRate({ model, p, lowest, highest }: TestedCurve): number {
	const rate = model.agronomicOptimum(p);
	return rate >= lowest && rate <= highest ? rate : NaN;
}

/**
 * The rate of the economic optimum, lb/ac: f'(N) = price of nitrogen over price of grain. No nitrogen at all where none pays
 * and the trial had plots without any; NaN where the optimum lies outside the tested rates.
 */
export function mostProfitRate({ model, p, lowest, highest }: TestedCurve, priceRatio: number): number {
	const rate = model.economicOptimum(p, priceRatio);
	if (rate < 0 && lowest === 0) return 0;
	return rate >= lowest && rate <= highest ? rate : NaN;
}

/** Return to nitrogen, $/ac: what the yield above that of the lowest tested rate is worth, less the nitrogen. */
export function returnToNitrogen({ model, p, lowest }: TestedCurve, prices: NitrogenPrices, rate: number): number {
	const gained = model.yieldAt(p, rate) - model.yieldAt(p, lowest);
	return gained * prices.grain - (rate - lowest) * prices.nitrogen;
}

/** Halvings of the bracket: from any tested range to below a millionth of a pound. */
const HALVINGS = 50;

/** The least rate whose return is within so many $/ac of the best, lb/ac; NaN where the best is not known. */
export function leastLeftRate(curve: TestedCurve, prices: NitrogenPrices, dollars: number): number {
	return edgeOfBand(curve, prices, dollars, curve.lowest);
}

/** The rates whose return is within so many $/ac of the best: from, to. NaN where the best is not known. */
export function flatBand(curve: TestedCurve, prices: NitrogenPrices, dollars: number): [number, number] {
	return [edgeOfBand(curve, prices, dollars, curve.lowest), edgeOfBand(curve, prices, dollars, curve.highest)];
}

/** From the best rate towards one end of the tested range the return only falls, so halving finds the edge. */
function edgeOfBand(curve: TestedCurve, prices: NitrogenPrices, dollars: number, end: number): number {
	let inside = mostProfitRate(curve, prices.nitrogen / prices.grain);
	if (Number.isNaN(inside)) return NaN;
	const enough = returnToNitrogen(curve, prices, inside) - dollars;
	if (returnToNitrogen(curve, prices, end) >= enough) return end;
	let outside = end;
	for (let step = 0; step < HALVINGS; step++) {
		const middle = (inside + outside) / 2;
		if (returnToNitrogen(curve, prices, middle) >= enough) inside = middle;
		else outside = middle;
	}
	return inside;
}
