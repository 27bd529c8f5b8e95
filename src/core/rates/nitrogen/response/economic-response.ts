import { figure, notApplicable, type Answer, type Figure } from '../../../figure/figure';
import type { RuleKind, RuleWords } from '../../../packs/rule-kind';
import type { EconomicResponse, Objective, Objectives } from '../../../schema-types';
import { coefficientsOf } from './shapes/models';
import { explainObjectives, USUAL_TOLERANCE } from './objectives';
import { leastLeftRate, mostProfitRate, mostYieldRate, testedCurve, type TestedCurve } from './returns';

const KEY_OF = { 'most-yield': 'mostYield', 'most-profit': 'mostProfit', 'least-left': 'leastLeft' } as const;
const UNPRICED = notApplicable('price', 'no price is known', 'Enter prices for this year.');
/** By the parameters of a pack, which are few and never change. */
const known = new WeakMap<EconomicResponse, TestedCurve>();

/** The curve of a rule with the rates between which it holds. */
export function curveOf(p: EconomicResponse): TestedCurve {
	let tested = known.get(p);
	if (!tested) {
		tested = testedCurve(p.curve.model, coefficientsOf(p.curve), p.lowestRate, p.highestRate);
		known.set(p, tested);
	}
	return tested;
}

/** The objective where neither the guide nor the adviser names one. */
export function objectiveOf({ objective = 'most-profit' }: EconomicResponse): Objective {
	return objective;
}

/**
 * Nitrogen by a response curve, lb N/ac, at the objective: maximum yield, economic optimum (f'(N) = price of nitrogen over
 * price of grain), or the least rate whose return is within a tolerance of the best.
 * NaN (does not apply) where the optimum lies outside the tested rates.
 */
export const economicResponse: RuleKind<EconomicResponse> = {
	kind: 'economic-response',
	parameters: { $ref: 'response.schema.json#/definitions/EconomicResponse' },
	steps: {},
	needs: (p) => (objectiveOf(p) === 'most-yield' ? [] : ['grainPrice', 'nitrogenPrice']),
	compute(p, { grainPrice, nitrogenPrice }) {
		const curve = curveOf(p);
		const prices = { grain: grainPrice, nitrogen: nitrogenPrice };
		switch (objectiveOf(p)) {
			case 'most-yield':
				return mostYieldRate(curve);
			case 'most-profit':
				return mostProfitRate(curve, nitrogenPrice / grainPrice);
			case 'least-left':
				return leastLeftRate(curve, prices, p.toleranceDollars ?? USUAL_TOLERANCE);
		}
	},
	explain(p, { grainPrice, nitrogenPrice }, words) {
		// Maximum yield asks for no price, so there may be none.
		const prices = [grainPrice, nitrogenPrice].map((price: Answer | undefined) => price ?? UNPRICED) as [
			Answer,
			Answer
		];
		const answer = objectivesOf(p, ...prices, words)[KEY_OF[objectiveOf(p)]];
		return answer.applies
			? { ...answer, label: `${words.title}, ${answer.label}`, cautions: words.cautions ?? [] }
			: answer;
	}
};

/** All three objectives of a rule as worksheets. */
export function objectivesOf(
	p: EconomicResponse,
	grain: Answer,
	nitrogen: Answer,
	{ basis, citation }: RuleWords
): Objectives {
	const ratio = priceRatio(grain, nitrogen);
	const yieldUnit = grain.applies ? grain.unit.replace('$ per ', '') : '';
	const tolerance = figure({
		label: 'return that may be given up',
		value: p.toleranceDollars ?? USUAL_TOLERANCE,
		unit: '$/ac',
		basis: p.toleranceDollars === undefined ? 'practice' : 'adviser'
	});
	return explainObjectives(curveOf(p), { ratio, grain, nitrogen }, tolerance, { basis, citation, yieldUnit });
}

/** Units of yield that one pound of nitrogen costs. */
function priceRatio(grain: Answer, nitrogen: Answer): Answer {
	if (!grain.applies) return grain;
	if (!nitrogen.applies) return nitrogen;
	return ratioOf(grain, nitrogen);
}

/** The same where both prices are known. */
export function ratioOf(grain: Figure, nitrogen: Figure): Figure {
	return figure({
		label: 'price ratio',
		value: nitrogen.value / grain.value,
		unit: '',
		formula: 'price of nitrogen / price of grain',
		inputs: [nitrogen, grain],
		basis: 'adviser'
	});
}
