import type { CropId, ZoneFacts, ZoneSeason } from '../schema-types';

/** A crop in a year: goals, strips and own rates of a zone belong to it, and say nothing of the next one. */
export interface CropYear {
	crop: CropId;
	year: number;
}

/** What belongs to a crop and a year; soil values hold on. */
const SEASONAL = ['yieldGoal', 'yieldWithout', 'yieldRich', 'index', 'richIndex', 'own'] as const;

/** What of a zone belongs to a crop and a year. */
export function seasonalFacts(facts: ZoneFacts): Partial<ZoneSeason> {
	return Object.fromEntries(SEASONAL.flatMap((key) => (facts[key] === undefined ? [] : [[key, facts[key]]])));
}

/** What holds in a zone in the season of a crop: its soil values, and what was set for this crop in this year. */
export function factsIn({ values, seasons = [] }: ZoneFacts, season: CropYear | undefined): ZoneFacts {
	const own = seasons.find(({ crop, year }) => crop === season?.crop && year === season.year);
	return { ...(values ? { values } : {}), ...(own ? seasonalFacts(own) : {}) };
}

/**
 * Facts of a zone as they are kept, with those of one season in place of what stood there.
 * @param kept as they are kept
 * @param facts as they hold in that season
 */
export function withSeason(kept: ZoneFacts, facts: ZoneFacts, season: CropYear | undefined): ZoneFacts {
	const others = (kept.seasons ?? []).filter(({ crop, year }) => crop !== season?.crop || year !== season.year);
	const own = seasonalFacts(facts);
	const seasons = [...others, ...(season && Object.keys(own).length > 0 ? [{ ...season, ...own }] : [])];
	return { ...(facts.values ? { values: facts.values } : {}), ...(seasons.length > 0 ? { seasons } : {}) };
}
