import { withoutEmpty } from '../../../../core/check/typed-object';
import { valueIfKnown } from '../../../../core/figure/figure';
import { broughtNitrogen } from '../../../../core/rates/nitrogen/credits';
import { mineralNitrogen } from '../../../../core/reading/soil/mineral-nitrogen';
import { readOrganicMatter } from '../../../../core/reading/soil/organic-matter';
import { readSoilPh } from '../../../../core/reading/soil/ph-scale';
import { onTheirDays } from '../../../../core/season/applied/what-happened';
import type { YearKind } from '../../../../core/season/weather/generate-weather';
import type { SeasonRequest } from '../../../../core/schema-types';
import type { UnitSystem } from '../../../../core/units/rate-units';
import type { Advice } from '../field-year';

/** What a season's run stands on of all that follows from a field-year. */
export type PlannedSeason = Pick<Advice, 'site' | 'passes' | 'context' | 'goal'>;

/** The request that the command line would take for the plan of this field, in a simulated year of a kind. */
export function seasonRequestOf(season: PlannedSeason, kind: YearKind, units: UnitSystem): SeasonRequest {
	const { site, passes, context, goal } = season;
	return {
		units,
		station: { id: context.station.id, kind },
		known: [...context.weather.days.values()],
		soil: withoutEmpty({
			textureClass: site.field.textureClass,
			drainage: site.field.drainage,
			organicMatterPercent: valueIfKnown(readOrganicMatter(site.soil)),
			soilPh: valueIfKnown(readSoilPh(site.soil, 'water')),
			nitrateLbAc: valueIfKnown(mineralNitrogen(site.soil)),
			coverKilledOn: site.nitrogen.coverKilledOn,
			legumeCover: legumeCoverOf(site),
			creditedNLbAc: creditedWithoutDay(site)
		}),
		crop: withoutEmpty({
			id: goal.crop,
			yieldGoal: goal.yield_goal,
			plantingDate: context.plantingDate,
			rowSpacingIn: goal.row_spacing_in ?? undefined,
			...(site.crop.perennial
				? { year: goal.year, block: site.block, blockYear: site.blockYear, nitrogenLbAc: demandOf(context) }
				: {})
		}),
		...(site.irrigation ? { irrigation: site.irrigation } : {}),
		passes: onTheirDays(passes)
	};
}

/** A perennial takes up what its guide calls for, by crop and age, however much is chosen; lb/ac. */
function demandOf({ chosen, choiceFacts }: Advice['context']): number | undefined {
	return chosen.N === undefined ? undefined : (choiceFacts.N?.highest?.pounds ?? chosen.N);
}

/** What killed legumes give in the season; undefined where there are none, or the day or their nitrogen is not known. */
function legumeCoverOf({ nitrogen, coverNitrogen }: Advice['site']): SeasonRequest['soil']['legumeCover'] {
	const killedOn = nitrogen.legumeCover?.killedOn;
	const nitrogenLbAc = coverNitrogen && valueIfKnown(coverNitrogen);
	return killedOn === undefined || nitrogenLbAc === undefined ? undefined : { killedOn, nitrogenLbAc };
}

/** Credited nitrogen that the run brings by no pass, no irrigation and no killed cover, lb/ac; undefined where there is none. */
function creditedWithoutDay(site: Advice['site']): number | undefined {
	const withDay = { legumeCover: legumeCoverOf(site) === undefined, irrigationNitrate: site.irrigation === undefined };
	const pounds = broughtNitrogen(site, withDay).reduce((sum, { value }) => sum + value, 0);
	return pounds === 0 ? undefined : pounds;
}
