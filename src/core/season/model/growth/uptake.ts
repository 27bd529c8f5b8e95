import type { HeatUnits, Uptake } from '../../../schema-types';
import { dateOf } from '../../schedule/step-date';
import { plannedShares } from '../../schedule/planned-shares';
import { demandByShares } from './demand-by-shares';
import type { PlanContext } from '../../plan/plan-context';
import { degreeDays, heatFrom, usualTemperatures, type Temperatures } from '../../stages/stage-dates';
import { DAY_MS } from '../../../units/factors';
import { shiftDate } from '../../weather/season-weather';

/** Nitrogen in the crop by a day (YYYY-MM-DD), in the unit of the yield's pounds. */
export type UptakeCurve = (date: string) => number;

/** No crop stands longer; what comes after is as on the last day. */
const MOST_DAYS = 420;

/**
 * Nitrogen in the crop by its heat, lb/ac: lbPerYield x goal x (s(heat) - s(0)) / (1 - s(0)), s the logistic 1 / (1 +
 * exp(-perDegreeDay x (heat - halfwayHeat))). Follows heat and stage, not the calendar.
 * @param yieldGoal in the crop's unit
 * @param heat C degree days
 */
export function uptakeAt({ lbPerYield, halfwayHeat, perDegreeDay }: Uptake, yieldGoal: number, heat: number): number {
	const rise = (sum: number) => 1 / (1 + Math.exp(-perDegreeDay * (sum - halfwayHeat)));
	return (lbPerYield * yieldGoal * (rise(heat) - rise(0))) / (1 - rise(0));
}

/** The uptake of a season by the temperatures of its days; none before the heat is counted from. */
export function uptakeCurve(
	uptake: Uptake,
	heat: HeatUnits,
	yieldGoal: number,
	plantingDate: string,
	temperatures: Temperatures
): UptakeCurve {
	const from = heatFrom(heat, plantingDate);
	const start = Date.parse(from);
	const sums: number[] = [0];
	return (date) => {
		const days = Math.min(MOST_DAYS, Math.round((Date.parse(date) - start) / DAY_MS));
		while (sums.length <= days) {
			const { minC, maxC } = temperatures(shiftDate(from, sums.length - 1));
			sums.push(sums.at(-1)! + degreeDays(minC, maxC, heat.baseC, heat.capC));
		}
		return days <= 0 ? 0 : uptakeAt(uptake, yieldGoal, sums[days]!);
	};
}

/**
 * The uptake of a plan's crop in a usual year, lb/ac: by its heat, or of a perennial by the shares of its schedule; undefined
 * where neither is known.
 */
export function usualUptake(context: PlanContext): UptakeCurve | undefined {
	const { schedule, stages, yieldGoal, plantingDate, station, chosen } = context;
	const shares = schedule && chosen.N !== undefined && plannedShares(chosen.N, schedule.nitrogen);
	if (shares) {
		const dated = schedule.nitrogen.map((step, at) => ({ date: dateOf(step, context), pounds: shares[at]! }));
		return demandByShares(dated.sort((a, b) => a.date.localeCompare(b.date)));
	}
	if (!schedule?.uptake || !stages?.heat) return undefined;
	return uptakeCurve(schedule.uptake, stages.heat, yieldGoal, plantingDate, usualTemperatures(station));
}
