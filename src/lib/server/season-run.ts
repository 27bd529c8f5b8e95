import { numberOf } from '../../core/reading/site-inputs';
import { mineralNitrogen } from '../../core/reading/mineral-nitrogen';
import { readOrganicMatter } from '../../core/reading/organic-matter';
import { readSoilPh } from '../../core/reading/ph-scale';
import { answerSeason } from '../../core/season/answer-season';
import type { YearKind } from '../../core/season/weather/generate-weather';
import type { SeasonAnswer, SeasonRequest } from '../../core/schema-types';
import type { UnitSystem } from '../../core/units/rate-units';
import type { Advice } from './field-year';
import type { Library } from './knowledge';

/** The request that the command line would take for the plan of this field, in a made-up year of a kind. */
export function seasonRequestOf(advice: Advice, kind: YearKind, units: UnitSystem, library: Library): SeasonRequest {
	const { site, passes, context, goal } = advice;
	const known = <T extends object>(facts: T): T =>
		Object.fromEntries(Object.entries(facts).filter(([, fact]) => fact !== undefined && !Number.isNaN(fact))) as T;
	return {
		units,
		station: { id: library.stations[0]!.id, kind },
		soil: known({
			textureClass: site.field.textureClass,
			drainage: site.field.drainage,
			organicMatterPercent: numberOf(readOrganicMatter(site.layers)),
			soilPh: numberOf(readSoilPh(site.layers, 'water')),
			nitrateLbAc: numberOf(mineralNitrogen(site.layers))
		}),
		crop: { id: goal.crop, yieldGoal: goal.yield_goal, plantingDate: context.plantingDate },
		passes: passes.map(({ plan, doneOn }) => (doneOn ? { ...plan, date: doneOn } : plan))
	};
}

/** The season of a plan in a made-up year; undefined for crops whose uptake is not known. */
export function seasonRun(
	advice: Advice,
	kind: YearKind,
	units: UnitSystem,
	library: Library
): SeasonAnswer | undefined {
	if (!advice.context.schedule?.uptake) return undefined;
	return answerSeason(seasonRequestOf(advice, kind, units, library), library);
}
