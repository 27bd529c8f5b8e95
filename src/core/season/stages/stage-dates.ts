import type { CropStages, HeatUnits, Stage, Station } from '../../schema-types';
import { normalOn } from '../weather/generate-weather';
import { daysBetween, shiftDate } from '../weather/season-weather';

/** A stage with the day on which the crop reaches it. */
export interface StageDate extends Pick<Stage, 'name' | 'main' | 'feekes'> {
	date: string;
}

/** Stages of a crop, of which some days were seen in a block: their heat moves nothing any more. */
export interface SeenStages extends Omit<CropStages, 'stages'> {
	stages: (Stage & { seen?: true })[];
}

/** Minimum and maximum of a day, C. */
export type Temperatures = (date: string) => { minC: number; maxC: number };

/** A crop that has not got there by then does not get there. */
const MOST_DAYS = 420;
/** Sown from August on, a crop is harvested in the next year. */
const AUTUMN_FROM_MONTH = 8;

/** The usual temperatures of a station. */
export function usualTemperatures({ months }: Station): Temperatures {
	return (date) => normalOn(months, new Date(date));
}

/** Degree days of a day in C: minimum and maximum kept between base and cap, their mean less the base. */
export function degreeDays(minC: number, maxC: number, baseC: number, capC = Infinity): number {
	const kept = (celsius: number) => Math.min(capC, Math.max(baseC, celsius));
	return (kept(minC) + kept(maxC)) / 2 - baseC;
}

/**
 * The days on which a crop reaches its stages, in their order: by heat where its heat is known, else by days from planting
 * or by the calendar of the harvest year. A stage that the heat of 420 days does not reach is left out. Of a calendar, a
 * stage whose heat is known (bud break, bloom) comes when the heat is there, and those after it move along.
 * @param plantingDate YYYY-MM-DD
 */
export function stageDates(
	{ heat, stages }: SeenStages,
	plantingDate: string,
	temperatures: Temperatures
): StageDate[] {
	const reached = heat ? daysOfHeat(heat, stages, plantingDate, temperatures) : new Map<string, string>();
	let shift = 0;
	return stages.flatMap(({ name, main, feekes, days, monthDay, seen }) => {
		const stage = { name, main, feekes };
		const byHeat = reached.get(name);
		if (monthDay !== undefined) {
			const usual = `${harvestYear(plantingDate)}-${monthDay}`;
			if (seen) shift = 0;
			else if (byHeat !== undefined) shift = daysBetween(usual, byHeat);
			return [{ ...stage, date: shiftDate(usual, shift) }];
		}
		if (heat) return byHeat === undefined ? [] : [{ ...stage, date: byHeat }];
		return [{ ...stage, date: shiftDate(plantingDate, days ?? 0) }];
	});
}

/** The day on which each stage's heat is there, by the stage's name. */
function daysOfHeat(
	heat: HeatUnits,
	stages: readonly Stage[],
	plantingDate: string,
	temperatures: Temperatures
): Map<string, string> {
	const from = heatFrom(heat, plantingDate);
	const open = stages.filter((stage) => stage.heat !== undefined);
	const reached = new Map<string, string>();
	let sum = 0;
	for (let at = 0; at < MOST_DAYS && reached.size < open.length; at++) {
		const date = shiftDate(from, at);
		while (reached.size < open.length && sum >= open[reached.size]!.heat!) reached.set(open[reached.size]!.name, date);
		const { minC, maxC } = temperatures(date);
		sum += degreeDays(minC, maxC, heat.baseC, heat.capC);
	}
	return reached;
}

/** The year in which a crop is harvested that is planted on a day. */
export function harvestYear(plantingDate: string): number {
	return Number(plantingDate.slice(0, 4)) + (isSownInAutumn(plantingDate) ? 1 : 0);
}

/** Whether a crop that is planted on a day stands over winter. */
export function isSownInAutumn(plantingDate: string): boolean {
	return Number(plantingDate.slice(5, 7)) >= AUTUMN_FROM_MONTH;
}

/** The day from which the heat of a crop is counted. */
export function heatFrom({ from }: HeatUnits, plantingDate: string): string {
	return from === 'new year' ? `${harvestYear(plantingDate)}-01-01` : plantingDate;
}

interface UsualYear {
	plantingDate: string;
	months: Station['months'];
	dates: readonly StageDate[];
}

/** The rules of one plan ask this of the same crop again and again. */
const lastUsual = new WeakMap<CropStages, UsualYear>();

/** When a crop usually reaches its stages; empty where none are known of it. */
export function usualStages({
	stages,
	plantingDate,
	station
}: {
	stages: CropStages | undefined;
	plantingDate: string;
	station: Station;
}): readonly StageDate[] {
	if (!stages) return [];
	const last = lastUsual.get(stages);
	if (last?.plantingDate === plantingDate && last.months === station.months) return last.dates;
	const dates = stageDates(stages, plantingDate, usualTemperatures(station));
	lastUsual.set(stages, { plantingDate, months: station.months, dates });
	return dates;
}

/** How far the crop is on a day, as it stands beside the date: "V6", "jointing, Feekes 6"; undefined before the first stage. */
export function stageText(dates: readonly StageDate[], date: string): string | undefined {
	const stage = stageOn(dates, date);
	if (!stage) return undefined;
	const scale = `Feekes ${stage.feekes}`;
	return stage.feekes === undefined || stage.name === scale ? stage.name : `${stage.name}, ${scale}`;
}

/** The last stage reached by a day; undefined before the first. */
export function stageOn(dates: readonly StageDate[], date: string): StageDate | undefined {
	return dates.findLast((stage) => stage.date <= date);
}
