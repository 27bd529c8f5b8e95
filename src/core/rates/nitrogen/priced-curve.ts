import { figure, notApplicable, type Answer, type Figure } from '../../figure/figure';
import type { Crop, Objectives } from '../../schema-types';
import { formatNumber } from '../../units/display';
import { nitrogenBalance } from './balance';
import { ratioOf } from './response/economic-response';
import { coefficientFigures, explainObjectives, type PriceFigures, type ResponseWords } from './response/objectives';
import { flatBand, returnToNitrogen, type TestedCurve } from './response/returns';

/** How far from the best rate the cost of a miss is shown, lb N/ac: common practice. */
export const MISSED_LB = 50;

/** What a rate yields, brings and leaves behind by a curve. */
export interface RateOutcome {
	rate: Figure;
	yield: Figure;
	/** $/ac, over that of the lowest tested rate. */
	returns: Figure;
	/** lb N/ac applied and not taken off; does not apply where the crop's nitrogen is not known. */
	balance: Answer;
}

/** What it costs to be off the best rate: money, and nitrogen left in the ground. */
export interface MissedRate {
	/** $/ac, 0 or more. */
	dollars: Answer;
	/** lb N/ac that too much leaves behind more than the best rate, and too little less. */
	leftBehind: Answer;
}

/** A curve at one pair of prices. */
export interface PricedCurve {
	objectives: Objectives;
	/** Of the objectives that lie in the tested range. */
	outcomes: Partial<Record<keyof Objectives, RateOutcome>>;
	/** Rates whose return is within $1 and $5 of the best, lb/ac: from, to; undefined without a best rate. */
	within1: [number, number] | undefined;
	within5: [number, number] | undefined;
	tooMuch: MissedRate;
	tooLittle: MissedRate;
}

/**
 * All that a response curve says at a price of grain ($ per yield unit, above 0) and of nitrogen ($ per lb).
 * @param toleranceDollars $/ac that may be given up to leave less behind
 */
export function pricedCurve(
	curve: TestedCurve,
	prices: { grain: Figure; nitrogen: Figure },
	crop: Crop,
	tolerance: Figure,
	words: ResponseWords
): PricedCurve {
	const { grain, nitrogen } = prices;
	const ratio = ratioOf(grain, nitrogen);
	const figures: PriceFigures = { ratio, grain, nitrogen };
	const objectives = explainObjectives(curve, figures, tolerance, words);
	const outcomeAt = (rate: Figure) => outcomeOf(curve, rate, grain, nitrogen, crop, words);
	const outcome = (rate: Answer) => (rate.applies ? outcomeAt(rate) : undefined);
	const { mostYield, mostProfit, leastLeft } = objectives;
	const best = outcome(mostProfit);
	const numbers = { grain: grain.value, nitrogen: nitrogen.value };
	return {
		objectives,
		outcomes: { mostYield: outcome(mostYield), mostProfit: best, leastLeft: outcome(leastLeft) },
		within1: best && flatBand(curve, numbers, 1),
		within5: best && flatBand(curve, numbers, 5),
		tooMuch: missed(curve, mostProfit, best, MISSED_LB, outcomeAt),
		tooLittle: missed(curve, mostProfit, best, -MISSED_LB, outcomeAt)
	};
}

/** Yield, return and balance of any rate in the tested range. */
export function outcomeOf(
	curve: TestedCurve,
	rate: Figure,
	grain: Figure,
	nitrogen: Figure,
	crop: Crop,
	words: ResponseWords
): RateOutcome {
	const { model, p, lowest } = curve;
	const source = { basis: words.basis, citation: words.citation };
	const yields = figure({
		label: `yield at ${formatNumber(rate.value, 'lb/ac')} lb`,
		value: model.yieldAt(p, rate.value),
		unit: crop.yieldUnit,
		formula: model.formula,
		inputs: [rate, ...coefficientFigures(curve, words)],
		...source
	});
	const start = figure({
		label: `yield at ${formatNumber(lowest, 'lb/ac')} lb, the lowest tested`,
		value: model.yieldAt(p, lowest),
		unit: crop.yieldUnit,
		...source
	});
	const returns = figure({
		label: `return to nitrogen at ${formatNumber(rate.value, 'lb/ac')} lb`,
		value: returnToNitrogen(curve, { grain: grain.value, nitrogen: nitrogen.value }, rate.value),
		unit: '$/ac',
		formula: `(yield - ${start.label}) x grain - (rate - ${formatNumber(lowest, 'lb/ac')}) x nitrogen`,
		inputs: [yields, start, rate, grain, nitrogen],
		...source
	});
	return { rate, yield: yields, returns, balance: nitrogenBalance(crop, rate, yields) };
}

function missed(
	{ lowest, highest }: TestedCurve,
	mostProfit: Answer,
	best: RateOutcome | undefined,
	pounds: number,
	outcomeAt: (rate: Figure) => RateOutcome
): MissedRate {
	const label = `${MISSED_LB} lb too ${pounds > 0 ? 'much' : 'little'}`;
	if (!best) {
		const { reason, remedy } = mostProfit as Answer & { applies: false };
		const none = notApplicable(label, reason, remedy);
		return { dollars: none, leftBehind: none };
	}
	const rate = best.rate.value + pounds;
	if (rate < lowest || rate > highest) {
		const reason = `${formatNumber(rate, 'lb/ac')} lb was not tested (${formatNumber(lowest, 'lb/ac')} to ${formatNumber(highest, 'lb/ac')})`;
		const none = notApplicable(label, reason, 'Use a trial that was tested further.');
		return { dollars: none, leftBehind: none };
	}
	const off = outcomeAt(
		figure({
			label: `rate ${label}`,
			value: rate,
			unit: 'lb/ac',
			formula: `economic optimum ${pounds > 0 ? '+' : '-'} ${MISSED_LB}`,
			inputs: [best.rate],
			basis: best.rate.basis,
			citation: best.rate.citation
		})
	);
	return {
		dollars: figure({
			label: `cost of ${label}`,
			value: best.returns.value - off.returns.value,
			unit: '$/ac',
			formula: 'return at the best rate - return there',
			inputs: [best.returns, off.returns],
			basis: best.returns.basis,
			citation: best.returns.citation
		}),
		leftBehind:
			pounds > 0
				? leftOver(`more left with ${label}`, off.balance, best.balance)
				: leftOver(`less left with ${label}`, best.balance, off.balance)
	};
}

function leftOver(label: string, more: Answer, less: Answer): Answer {
	if (!more.applies) return more;
	if (!less.applies) return less;
	return figure({
		label,
		value: more.value - less.value,
		unit: 'lb/ac',
		formula: 'balance of the higher rate - balance of the lower',
		inputs: [more, less],
		basis: more.basis,
		citation: more.citation
	});
}
