import { figure, type Figure } from '../../figure/figure';
import type { NurseryProgramme } from '../../schema-types';
import { shiftDate } from '../../season/weather/season-weather';

const DAYS_A_WEEK = 7;
const G_PER_KG = 1000;

/** A round through the nursery. */
export interface NurseryRound {
	date: string;
	/** Weeks since the seedlings were planted into their bags. */
	week: number;
	/** Product for each seedling, g. */
	grams: number;
	/** Level cups for each seedling. */
	cups: Figure;
	/** Whether that is whole cups, as it can be given without weighing. */
	whole: boolean;
	/** Product for all seedlings, kg. */
	kg: Figure;
}

/** Sums of decimals may miss a whole cup by a hair. */
const HAIR = 1e-9;

/**
 * The rounds of a nursery by the age of its seedlings: small doses, often, each in level cups; trade practice.
 * @param plantedOn YYYY-MM-DD, the day the seedlings went into their bags
 * @param seedlings above 0 @param cupG what a level cup of this product holds, g, above 0
 */
export function nurseryCalendar(
	{ doses, basis }: Pick<NurseryProgramme, 'doses' | 'basis'>,
	plantedOn: string,
	seedlings: number,
	cupG: number
): NurseryRound[] {
	return doses.flatMap(({ fromWeek, toWeek, everyWeeks, grams }) =>
		Array.from({ length: Math.ceil((toWeek - fromWeek) / everyWeeks) }, (_, at) => {
			const week = fromWeek + at * everyWeeks;
			const dose = figure({ label: 'dose of a seedling', value: grams, unit: 'g', basis });
			const cups = figure({
				label: `cups in week ${week}`,
				value: grams / cupG,
				unit: 'cups',
				formula: 'dose / what a level cup holds',
				inputs: [dose, figure({ label: 'a level cup', value: cupG, unit: 'g', basis: 'adviser' })],
				basis
			});
			return {
				date: shiftDate(plantedOn, week * DAYS_A_WEEK),
				week,
				grams,
				cups,
				whole: Math.abs(cups.value - Math.round(cups.value)) < HAIR && cups.value > 0.5,
				kg: figure({
					label: `product in week ${week}`,
					value: (grams * seedlings) / G_PER_KG,
					unit: 'kg',
					formula: 'seedlings x dose / 1000',
					inputs: [figure({ label: 'seedlings', value: seedlings, unit: '', basis: 'adviser' }), dose],
					basis
				})
			};
		})
	);
}
