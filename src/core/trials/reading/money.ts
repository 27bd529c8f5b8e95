import { figure, type Figure } from '../../figure/figure';
import type { TrialAnswer, TrialObservation, TrialPlan } from '../../schema-types';
import { treatmentOf } from '../analysis/plots';
import { treatmentsOf } from '../design/treatments';
import type { ReadingTerms } from './read-trial';
import { wholeMeans } from './whole-means';

/** A treatment in money. */
export interface TreatmentMoney {
	treatment: string;
	mean: number;
	/** Yield times price less the treatment's own cost, $/ac. */
	net: Figure;
	/** Over usual practice; undefined for that itself, or where none is named. */
	gain?: {
		figure: Figure;
		/** By the least significant difference; undefined where the design gives none for two treatments. */
		low?: number;
		high?: number;
		/** What each dollar more of cost brought; undefined where it costs no more. */
		perDollar?: number;
	};
}

/**
 * Each treatment's return over its own cost, and over usual practice.
 * @returns none where price or costs are not known
 */
export function moneyOfTreatments(
	plan: TrialPlan,
	{ means, lsd }: Pick<TrialAnswer, 'means' | 'lsd'>,
	used: readonly TrialObservation[],
	{ yieldUnit }: ReadingTerms
): TreatmentMoney[] {
	const { price, costs = {}, usual } = plan;
	if (price === undefined || used.length === 0) return [];
	const meanOf = new Map(wholeMeans({ means }).map((one) => [treatmentOf(one), one.mean]));
	const known = treatmentsOf(plan).flatMap((levels) => {
		const treatment = treatmentOf({ levels });
		const mean = meanOf.get(treatment);
		const cost = costs[treatment];
		if (mean === undefined || cost === undefined) return [];
		return [{ treatment, mean, cost, net: netFigure(treatment, mean, price, cost, yieldUnit) }];
	});
	const base = known.find(({ treatment }) => treatment === usual);
	// The least difference holds for two means of one family: with several factors only where all were subplots.
	const half = lsd !== null && plan.design !== 'split-plot' ? lsd * price : undefined;
	return known.map(({ treatment, mean, cost, net }) => {
		if (!base || treatment === base.treatment) return { treatment, mean, net };
		const gain = net.value - base.net.value;
		const more = cost - base.cost;
		return {
			treatment,
			mean,
			net,
			gain: {
				figure: figure({
					label: `${treatment}: over ${base.treatment}`,
					value: gain,
					unit: '$/ac',
					formula: 'net return - net return of usual practice',
					inputs: [net, base.net],
					basis: 'measured'
				}),
				...(half === undefined ? {} : { low: gain - half, high: gain + half }),
				...(more > 0 ? { perDollar: ((mean - base.mean) * price) / more } : {})
			}
		};
	});
}

function netFigure(treatment: string, mean: number, price: number, cost: number, yieldUnit: string): Figure {
	const part = (label: string, value: number, unit: string, basis: 'measured' | 'adviser') =>
		figure({ label, value, unit, basis });
	const perYield = `$/${yieldUnit.split('/')[0]}`;
	return figure({
		label: `${treatment}: net return`,
		value: mean * price - cost,
		unit: '$/ac',
		formula: 'mean x price - cost',
		inputs: [
			part('mean', mean, yieldUnit, 'measured'),
			part('price', price, perYield, 'adviser'),
			part('cost', cost, '$/ac', 'adviser')
		],
		basis: 'measured'
	});
}
