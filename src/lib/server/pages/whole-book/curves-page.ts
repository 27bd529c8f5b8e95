import { yieldUnitOf, inSystem } from '../../../../core/units/rate-units';
import { figure, notApplicable, type Answer } from '../../../../core/figure/figure';
import { intervalNow } from '../../../../core/rates/nitrogen/response/interval-now';
import { objectivesOf } from '../../../../core/rates/nitrogen/response/economic-response';
import type { ResponseCurve } from '../../../../core/schema-types';
import { pricesOn, type PriceList } from '../../stores/prices';
import { listCurves } from '../../stores/response-curves';
import type { Desk } from '../../desk';

/** The library of curves, each with its rate of the economic optimum at today’s prices. */
export function curvesPage({ book, library, today, settings: { units } }: Desk) {
	const { crops } = library;
	const prices = pricesOn(book, today);
	return {
		title: 'Response curves',
		units,
		curves: listCurves(book).map((curve) => {
			const crop = crops.find(({ id }) => id === curve.crop)!;
			const [nitrogen, grain] = [prices.get('nutrient:N'), prices.get(`grain:${crop.id}`)];
			const ratio = nitrogen === undefined || grain === undefined ? undefined : nitrogen / grain;
			return {
				...curve,
				cropName: crop.name,
				yieldUnit: yieldUnitOf(crop),
				best: inSystem(bestRate(curve, crop, prices), units),
				interval: intervalNow(curve.eonrInterval, ratio)
			};
		})
	};
}

/** The rate of the economic optimum at today's prices. */
function bestRate(
	{ curve, lowestRate, highestRate, basis, source, title }: ResponseCurve,
	{ id, yieldUnit }: { id: string; yieldUnit: string },
	prices: PriceList
): Answer {
	const price = (item: string, unit: string): Answer => {
		const value = prices.get(item);
		return value === undefined
			? notApplicable(item, 'prices are missing', 'Enter them under Prices.')
			: figure({
					label: item === 'nutrient:N' ? 'price of nitrogen' : 'price of grain',
					value,
					unit,
					basis: 'adviser'
				});
	};
	return objectivesOf(
		{ curve, lowestRate, highestRate },
		price(`grain:${id}`, `$ per ${yieldUnit.replace('/ac', '')}`),
		price('nutrient:N', '$ per lb'),
		{ title, unit: 'lb/ac', basis, citation: source, cautions: [] }
	).mostProfit;
}
