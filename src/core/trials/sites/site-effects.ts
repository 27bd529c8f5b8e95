import type { PoolRequest } from '../../schema-types';

interface SiteMeans {
	site: string;
	means: readonly { treatment: string; mean: number; se: number }[];
	/** The treatment that is usual practice there. */
	usual?: string | undefined;
}

/** Treatments that two sites or more have tried, as they are named. */
export function commonTreatments(sites: readonly SiteMeans[]): string[] {
	const counts = new Map<string, number>();
	for (const { treatment } of sites.flatMap(({ means }) => means)) {
		counts.set(treatment, (counts.get(treatment) ?? 0) + 1);
	}
	return [...counts].filter(([, count]) => count > 1).map(([treatment]) => treatment);
}

/** What one treatment yielded over another at each site that has both; errors of two means add up by their squares. */
export function siteEffects(sites: readonly SiteMeans[], tried: string, against: string): PoolRequest['effects'] {
	return sites.flatMap(({ site, means }) => {
		const one = means.find(({ treatment }) => treatment === tried);
		const other = means.find(({ treatment }) => treatment === against);
		return one && other && one !== other
			? [{ site, effect: one.mean - other.mean, se: Math.hypot(one.se, other.se) }]
			: [];
	});
}

/** The two treatments to begin with: one of a trial's against its usual practice, where several sites have both; else the first two. */
export function firstPair(sites: readonly SiteMeans[], common: readonly string[]): [tried: string, against: string] {
	for (const { usual, means } of sites) {
		const other = means.find(({ treatment }) => treatment !== usual && common.includes(treatment));
		if (usual !== undefined && other && siteEffects(sites, other.treatment, usual).length > 1) {
			return [other.treatment, usual];
		}
	}
	return [common[0]!, common[1]!];
}
