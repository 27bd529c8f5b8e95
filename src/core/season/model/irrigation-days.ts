import { addDays, getDaysInMonth, parseISO } from 'date-fns';
import { valueIfKnown } from '../../figure/figure';
import type { FieldIrrigation } from '../../schema-types';
import { KG_HA_PER_LB_AC, MM_PER_IN } from '../../units/factors';
import { broughtInYear, inchesOfYear, monthsOf } from '../../water/irrigation';

/** Water of one irrigation, and the nitrate in it. */
export interface IrrigationDay {
	/** Of the run, from 0. */
	day: number;
	mm: number;
	nitrateKgHa: number;
}

const DAYS_PER_WEEK = 7;
/** Months repeat from year to year: of a longer run only the last year is irrigated, that of the crop. */
const YEAR_DAYS = 365;

/**
 * The irrigations of a run of days: each month's water in equal parts, spread over the month by the irrigations in a week; the
 * nitrate of the water goes with it. Nitrate that the report does not give is left out.
 * @param start first day of the run, YYYY-MM-DD
 */
export function irrigationDays(irrigation: FieldIrrigation, start: string, days: number): IrrigationDay[] {
	const inches = inchesOfYear(irrigation).value;
	if (inches === 0) return [];
	const nitrateLb = valueIfKnown(broughtInYear(irrigation).N!) ?? 0;
	const byMonth = new Map(monthsOf(irrigation).map((one) => [one.month, one.inches]));
	const found: IrrigationDay[] = [];
	for (let day = Math.max(0, days - YEAR_DAYS); day < days; day++) {
		const date = addDays(parseISO(start), day);
		const inMonth = byMonth.get(date.getMonth() + 1);
		if (inMonth === undefined || !isIrrigated(date, irrigation.irrigationsPerWeek ?? 1)) continue;
		const share = inMonth / timesIn(date, irrigation.irrigationsPerWeek ?? 1);
		found.push({ day, mm: share * MM_PER_IN, nitrateKgHa: ((nitrateLb * share) / inches) * KG_HA_PER_LB_AC });
	}
	return found;
}

/** Irrigations in the month of a day, at least one and no more than one a day. */
function timesIn(date: Date, perWeek: number): number {
	const days = getDaysInMonth(date);
	return Math.min(days, Math.max(1, Math.round((perWeek * days) / DAYS_PER_WEEK)));
}

/** Whether one of the irrigations, evenly spread over the month, falls on a day. */
function isIrrigated(date: Date, perWeek: number): boolean {
	const [times, days] = [timesIn(date, perWeek), getDaysInMonth(date)];
	const before = (day: number) => Math.floor((day * times) / days);
	return before(date.getDate()) > before(date.getDate() - 1);
}
