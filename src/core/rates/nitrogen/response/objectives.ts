import { OBJECTIVE_NAME } from './objective-name';
import { figure, notApplicable, type Answer, type Figure } from '../../../figure/figure';
import type { Objective, Objectives } from '../../../schema-types';
import { formatNumber } from '../../../units/display';
import { namedCoefficients } from './shapes/models';
import {
	leastLeftRate,
	mostProfitRate,
	mostYieldRate,
	returnToNitrogen,
	type NitrogenPrices,
	type TestedCurve
} from './returns';

/** $/ac of return that may be given up so that less is left behind, where the adviser has set none: judgement. */
export const USUAL_TOLERANCE = 5;

/** What the figures say of where the curve and the prices come from. */
export type ResponseWords = Pick<Figure, 'basis' | 'citation'> & { yieldUnit: string };

/** Prices as figures; a ratio alone leaves the return in dollars unknown. */
export interface PriceFigures {
	ratio: Answer;
	grain: Answer;
	nitrogen: Answer;
}

/** In words of one sentence what an optimum stands on. */
const YIELD_FORMULAS = {
	'quadratic-plateau': 'where the curve meets its plateau: -b/(2 c)',
	quadratic: 'the highest point of the curve: -b/(2 c)',
	'linear-plateau': 'where the line meets the plateau',
	mitscherlich: '99 % of the asymptote: ln(b/(0.01 a))/c'
} as const;
const PROFIT_FORMULAS = {
	'quadratic-plateau': 'the next pound just pays: (price ratio - b)/(2 c)',
	quadratic: 'the next pound just pays: (price ratio - b)/(2 c)',
	'linear-plateau': 'the join, because each pound up to it brings more than it costs',
	mitscherlich: 'the next pound just pays: ln(b c/price ratio)/c'
} as const;

/** The three objectives of a curve as worksheets, lb N/ac. */
export function explainObjectives(
	curve: TestedCurve,
	prices: PriceFigures,
	tolerance: Figure,
	words: ResponseWords
): Objectives {
	const mostProfit = explainMostProfit(curve, prices.ratio, words);
	return {
		mostYield: explainMostYield(curve, words),
		mostProfit,
		leastLeft: explainLeastLeft(curve, mostProfit, prices, tolerance, words)
	};
}

function explainMostYield(curve: TestedCurve, words: ResponseWords): Answer {
	const value = mostYieldRate(curve);
	if (Number.isNaN(value)) return outside('most-yield', curve, curve.model.agronomicOptimum(curve.p));
	const formula = YIELD_FORMULAS[curve.model.name];
	return rateFigure('most-yield', value, formula, coefficientFigures(curve, words), words);
}

function explainMostProfit(curve: TestedCurve, ratio: Answer, words: ResponseWords): Answer {
	const label = OBJECTIVE_NAME['most-profit'];
	if (!ratio.applies) return notApplicable(label, ratio.reason, ratio.remedy);
	const value = mostProfitRate(curve, ratio.value);
	if (Number.isNaN(value)) return outside('most-profit', curve, curve.model.economicOptimum(curve.p, ratio.value));
	const pays = curve.model.economicOptimum(curve.p, ratio.value) >= 0;
	const formula = pays ? PROFIT_FORMULAS[curve.model.name] : 'no pound of nitrogen pays at these prices: none';
	return rateFigure('most-profit', value, formula, [...coefficientFigures(curve, words), ratio], words);
}

function explainLeastLeft(
	curve: TestedCurve,
	mostProfit: Answer,
	{ grain, nitrogen }: PriceFigures,
	tolerance: Figure,
	words: ResponseWords
): Answer {
	const label = OBJECTIVE_NAME['least-left'];
	if (!mostProfit.applies) return notApplicable(label, mostProfit.reason, mostProfit.remedy);
	if (!grain.applies) return notApplicable(label, grain.reason, grain.remedy);
	if (!nitrogen.applies) return notApplicable(label, nitrogen.reason, nitrogen.remedy);
	const prices = { grain: grain.value, nitrogen: nitrogen.value };
	const value = leastLeftRate(curve, prices, tolerance.value);
	const inputs = [
		mostProfit,
		tolerance,
		...[mostProfit.value, value].map((rate) => returnFigure(curve, prices, rate, words))
	];
	const formula = `the least rate whose return is within $${formatNumber(tolerance.value, '$')}/ac of the best`;
	return rateFigure('least-left', value, formula, inputs, words);
}

function returnFigure(curve: TestedCurve, prices: NitrogenPrices, rate: number, words: ResponseWords): Figure {
	return figure({
		label: `return to nitrogen at ${formatNumber(rate, 'lb/ac')} lb`,
		value: returnToNitrogen(curve, prices, rate),
		unit: '$/ac',
		basis: words.basis,
		citation: words.citation
	});
}

function rateFigure(
	objective: Objective,
	value: number,
	formula: string,
	inputs: Figure[],
	{ basis, citation }: ResponseWords
): Figure {
	return figure({ label: OBJECTIVE_NAME[objective], value, unit: 'lb/ac', formula, inputs, basis, citation });
}

/** The coefficients as they stand on a worksheet. */
export function coefficientFigures({ model, p }: TestedCurve, { basis, citation, yieldUnit }: ResponseWords): Figure[] {
	const units: Record<string, string> = { a: yieldUnit, b: `${yieldUnit} per lb`, c: '', join: 'lb/ac' };
	return Object.entries(namedCoefficients(model, p)).map(([name, value]) =>
		figure({ label: `${name} of ${model.formula}`, value, unit: units[name] ?? '', basis, citation })
	);
}

function outside(objective: Objective, { lowest, highest }: TestedCurve, at: number): Answer {
	const where = at > highest ? 'it lies above the highest' : 'it lies below the lowest';
	return notApplicable(
		OBJECTIVE_NAME[objective],
		`no optimum inside the tested range of ${formatNumber(lowest, 'lb/ac')} to ${formatNumber(highest, 'lb/ac')} lb: ${where}`,
		'Use a trial that was tested further.'
	);
}
