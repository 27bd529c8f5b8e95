import { figure, notApplicable, type Figure, type NotApplicable } from '../../figure/figure';
import { measured } from '../../figure/measured';
import { fitTrial } from '../../rates/nitrogen/response/answer-fit';
import { rateMeans } from '../../rates/nitrogen/response/rate-means';
import { coefficientsOf, responseModel } from '../../rates/nitrogen/response/shapes/models';
import type { Observation } from '../../schema-types';

/** A trial of nitrogen rates on a field in a year. */
export interface NitrogenTrial {
	site: string;
	yieldUnit: string;
	observations: Observation[];
	/** Price of a pound of nitrogen over that of a unit of yield; undefined where one is not known. */
	priceRatio?: number | undefined;
}

/** A trial of nitrogen rates seen from its own optimum. */
export interface NitrogenSite {
	applies: true;
	site: string;
	/** lb N/ac: economic optimum, or rate of maximum yield where a price is not known. */
	optimum: Figure;
	yieldAtOptimum: Figure;
	/** Undefined where no plot went without nitrogen. */
	without: Figure | undefined;
	/** What nitrogen brought up to the optimum. */
	response: Figure | undefined;
	/** Mean of each rate: lb N/ac from the optimum, and yield over that at the optimum. */
	points: [fromOptimum: number, overOptimum: number][];
}

/**
 * Means of a trial's rates from its own optimum, so that fields of other soils and years can be laid over each other.
 * @returns why it has no optimum, in the words of the fit
 */
export function nitrogenSite({
	site,
	yieldUnit,
	observations,
	priceRatio
}: NitrogenTrial): NitrogenSite | NotApplicable {
	const fit = fitTrial({ observations, replicates: 0, ...(priceRatio === undefined ? {} : { priceRatio }) });
	const best = fit.fits.find(({ model }) => model === fit.best);
	const rate = fit.eonr ?? fit.aonr;
	if (!best?.coefficients || rate === null) {
		return notApplicable(site, fit.reason ?? 'no curve fits its plots', 'Try rates from nothing to plenty.');
	}
	const { model, coefficients, formula } = best;
	const atOptimum = responseModel(model).yieldAt(coefficientsOf({ model, coefficients }), rate);
	const optimum = figure({
		label: `${site}: ${fit.eonr === null ? 'rate of maximum yield' : 'economic optimum'}`,
		value: rate,
		unit: 'lb/ac',
		formula: fit.eonr === null ? `top of ${formula}` : `where the next pound just pays, by ${formula}`,
		inputs: [
			...Object.entries(coefficients).map(([name, value]) => measured(name, value)),
			...(fit.eonr === null || priceRatio === undefined
				? []
				: [figure({ label: 'price of nitrogen / price of grain', value: priceRatio, unit: '', basis: 'adviser' })])
		],
		basis: 'measured'
	});
	const yieldAtOptimum = figure({
		label: `${site}: yield at it`,
		value: atOptimum,
		unit: yieldUnit,
		formula,
		inputs: [optimum],
		basis: 'measured'
	});
	const { rates, means, plots, count } = rateMeans(observations);
	const without =
		rates[0] === 0
			? figure({
					label: `${site}: yield without nitrogen`,
					value: means[0]!,
					unit: yieldUnit,
					formula: `mean of ${plots[0]} plots`,
					basis: 'measured'
				})
			: undefined;
	return {
		applies: true,
		site,
		optimum,
		yieldAtOptimum,
		without,
		response:
			without &&
			figure({
				label: `${site}: response to nitrogen`,
				value: atOptimum - without.value,
				unit: yieldUnit,
				formula: 'yield at the optimum - yield without nitrogen',
				inputs: [yieldAtOptimum, without],
				basis: 'measured'
			}),
		points: Array.from({ length: count }, (_, at) => [rates[at]! - rate, means[at]! - atOptimum])
	};
}
