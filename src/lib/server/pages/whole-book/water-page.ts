import type { Desk } from '../../desk';
import { planningYear } from '../../field/planning-year';
import { pricesOn } from '../../stores/prices';
import { cropsGrownWith, listWaterSources } from '../../stores/water/water-sources';

/** The page of irrigation water: its sources, and what a report is read against. */
export function waterPage({ book, library, today }: Desk) {
	const { crops, waterLimits } = library;
	const acids = library.products.filter(({ acid }) => acid);
	const prices = pricesOn(book, today);
	return {
		title: 'Irrigation water',
		today,
		sources: listWaterSources(book),
		/** Crops of last year, this one and those that are planned, by the source they are irrigated from. */
		grown: cropsGrownWith(book, planningYear(today) - 1),
		crops,
		waterLimits,
		products: acids,
		prices: new Map(acids.map(({ id }) => [id, prices.get(`product:${id}`)]))
	};
}
