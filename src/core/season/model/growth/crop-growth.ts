import { InputError } from '../../../check/problem';
import { valueIfKnown } from '../../../figure/figure';
import { plantAge } from '../../../ground/block/block-age';
import type { CropStages, Schedule, SeasonRequest } from '../../../schema-types';
import { usualPlantingDate } from '../../schedule/usual-planting';
import { plannedShares } from '../../schedule/planned-shares';
import { forSowing } from '../../schedule/for-sowing';
import { scheduleFor } from '../../schedule/schedule-for';
import { dateOf } from '../../schedule/step-date';
import { anchoredStages } from '../../stages/anchored-stages';
import { harvestYear, stageDates, usualTemperatures, type Temperatures } from '../../stages/stage-dates';
import { shiftDate, stationOf } from '../../weather/season-weather';
import { demandByShares, LAST_DAYS } from './demand-by-shares';
import type { SeasonKnowledge } from '../run-season';
import { uptakeCurve, type UptakeCurve } from './uptake';

/** How a crop grows in the season of a request. */
export interface CropGrowth {
	/** Of a perennial the day of its bud break. */
	planting: string;
	/** The end of its uptake. */
	harvest: string;
	/** A perennial, whose roots are there before the season. */
	established: boolean;
	/** It fixes its own nitrogen: none of its demand is in the model. */
	fixes?: true;
	/** N that it takes up by a day without want, lb/ac, in the weather of its days. */
	uptake: (temperatures: Temperatures) => UptakeCurve;
}

/**
 * How the crop of a request grows: an annual takes up by its heat, a perennial by the shares of the schedule of its block.
 * @throws InputError for a crop that is not known, one without a known uptake, and a perennial without its nitrogen
 */
export function cropGrowth(request: SeasonRequest, knowledge: SeasonKnowledge): CropGrowth {
	const asked = knowledge.crops.find(({ id }) => id === request.crop.id);
	return asked?.perennial ? perennialGrowth(request, knowledge) : annualGrowth(request, knowledge);
}

function annualGrowth(request: SeasonRequest, knowledge: SeasonKnowledge): CropGrowth {
	const { crops, schedules, stages } = knowledge;
	const { crop } = request;
	const schedule = forSowing(schedules, crop.id, crop.plantingDate);
	const { uptake } = schedule ?? {};
	const growth = forSowing(stages, crop.id, crop.plantingDate);
	const heat = growth?.heat;
	// No step of its schedule brings nitrogen.
	if (schedule?.nitrogen.length === 0 && growth) {
		const planting = crop.plantingDate ?? usualPlantingDate(schedule, yearOf(request));
		const station = stationOf(request, knowledge.stations) ?? knowledge.stations[0]!;
		const last = stageDates(growth, planting, usualTemperatures(station)).at(-1);
		return {
			planting,
			harvest: last?.date ?? shiftDate(planting, LAST_DAYS),
			established: false,
			fixes: true,
			uptake: () => () => 0
		};
	}
	if (!crops.some(({ id }) => id === crop.id) || !schedule || !uptake || !heat) {
		const known = schedules.filter((one) => one.uptake).map((one) => one.crop);
		const perennial = crops.filter((one) => one.perennial).map(({ id }) => id);
		const message = `no uptake of nitrogen is known for "${crop.id}"; known: ${[...known, ...perennial].join(', ')}`;
		throw new InputError([{ path: '/crop/id', message }]);
	}
	const planting = crop.plantingDate ?? usualPlantingDate(schedule, yearOf(request));
	return {
		planting,
		harvest: shiftDate(planting, uptake.harvestDays),
		established: false,
		uptake: (temperatures) => uptakeCurve(uptake, heat, crop.yieldGoal, planting, temperatures)
	};
}

/** The schedule and stages of a block in the year of a request, and how old it is. */
export function blockSeason(
	request: SeasonRequest,
	{ schedules, stages }: Pick<SeasonKnowledge, 'schedules' | 'stages'>
): { year: number; age: number | undefined; schedule: Schedule | undefined; stages: CropStages | undefined } {
	const { id, block, blockYear = {}, plantingDate } = request.crop;
	const year = request.crop.year ?? (plantingDate === undefined ? yearOf(request) : harvestYear(plantingDate));
	const age = block && valueIfKnown(plantAge(block, year));
	const known = forSowing(stages, id, plantingDate);
	return {
		year,
		age,
		schedule: scheduleFor(schedules, id, block, age, plantingDate),
		stages: known && anchoredStages(known, blockYear, year)
	};
}

function perennialGrowth(request: SeasonRequest, knowledge: SeasonKnowledge): CropGrowth {
	const { id, blockYear, plantingDate, nitrogenLbAc } = request.crop;
	const { year, schedule, stages } = blockSeason(request, knowledge);
	if (!schedule) {
		const message = `no schedule is known for "${id}" in a block of this age, water and floor`;
		throw new InputError([{ path: '/crop/id', message }]);
	}
	if (nitrogenLbAc === undefined) {
		const message = 'must be given for a perennial: the nitrogen of its season, as advise finds it';
		throw new InputError([{ path: '/crop/nitrogenLbAc', message }]);
	}
	const planting = plantingDate ?? blockYear?.budBreak ?? usualPlantingDate(schedule, year);
	const shares = plannedShares(nitrogenLbAc, schedule.nitrogen) ?? [nitrogenLbAc];
	const station = stationOf(request, knowledge.stations) ?? knowledge.stations[0]!;
	const byDay = new Map<string, number>();
	schedule.nitrogen.forEach((step, at) => {
		const day = dateOf(step, { plantingDate: planting, stages, station });
		// What is put on before bud break is taken up with what follows it.
		const from = day < planting ? planting : day;
		byDay.set(from, (byDay.get(from) ?? 0) + (shares[at] ?? 0));
	});
	const dated = [...byDay].map(([date, pounds]) => ({ date, pounds })).sort((a, b) => a.date.localeCompare(b.date));
	return {
		planting,
		// The day after the last pound.
		harvest: shiftDate(dated.at(-1)?.date ?? planting, LAST_DAYS + 1),
		established: true,
		uptake: () => demandByShares(dated)
	};
}

function yearOf({ crop, passes, weather }: SeasonRequest): number {
	const year = crop.year ?? Number((weather?.at(-1)?.date ?? passes.at(-1)?.date ?? '').slice(0, 4));
	if (year > 0) return year;
	throw new InputError([{ path: '/crop/plantingDate', message: 'must be given where there is neither year nor pass' }]);
}
