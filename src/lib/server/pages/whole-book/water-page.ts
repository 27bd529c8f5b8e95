import type { Desk } from '../../desk';
import { listWaterSources } from '../../stores/water/water-sources';

/** The page of irrigation water: its sources, and what a report is read against. */
export function waterPage({ book, library, today }: Desk) {
	const { crops, waterLimits } = library;
	const acids = library.products.filter(({ acid }) => acid);
	return { title: 'Irrigation water', today, sources: listWaterSources(book), crops, waterLimits, products: acids };
}
