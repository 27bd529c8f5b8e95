import type { Desk } from '../../desk';

/** The page of irrigation water: what a report is read against. */
export function waterPage({ library }: Desk) {
	const { crops, waterLimits } = library;
	return { title: 'Irrigation water', crops, waterLimits };
}
