import type { BookedIrrigation } from '$core/schema-types';
import { MM_PER_IN } from '$core/units/factors';
import { monthName } from '$core/water/irrigation';
import { numberOrUndefined } from '../../forms/numbers';

/** What water is measured in by the reader. */
export type WaterUnit = 'in' | 'mm';

/** Amounts as they are typed, by month. */
export type TypedMonths = Record<number, string>;

const MOST_IN = 40;
const MOST_A_WEEK = 14;
const LEAST_A_WEEK = 0.25;

const perInch = (unit: WaterUnit) => (unit === 'mm' ? MM_PER_IN : 1);

/** What the book holds, as it would be typed. */
export function typedMonths(booked: BookedIrrigation | undefined, unit: WaterUnit): TypedMonths {
	return Object.fromEntries(
		Object.entries(booked?.inchesByMonth ?? {}).map(([month, inches]) => [
			month,
			String(Number((inches * perInch(unit)).toFixed(unit === 'mm' ? 0 : 2)))
		])
	);
}

/** What was typed, or what is wrong with it. */
export function readIrrigation(
	typed: { source: string; months: TypedMonths; perWeek: string; sprinkled: boolean },
	unit: WaterUnit
): BookedIrrigation | string {
	const inchesByMonth: BookedIrrigation['inchesByMonth'] = {};
	const most = MOST_IN * perInch(unit);
	for (const [month, text] of Object.entries(typed.months)) {
		if (text.trim() === '') continue;
		const value = numberOrUndefined(text);
		if (value === undefined || value < 0 || value > most) {
			return `${monthName(Number(month))} “${text}” must be ${unit} of water, 0 to ${most}.`;
		}
		inchesByMonth[month] = value / perInch(unit);
	}
	if (Object.keys(inchesByMonth).length === 0) return 'Give the water of at least one month.';
	const { source, sprinkled } = typed;
	if (typed.perWeek.trim() === '') return { source, inchesByMonth, sprinkled };
	const irrigationsPerWeek = numberOrUndefined(typed.perWeek);
	if (irrigationsPerWeek === undefined || irrigationsPerWeek < LEAST_A_WEEK || irrigationsPerWeek > MOST_A_WEEK) {
		return `Irrigations a week “${typed.perWeek}” must be ${LEAST_A_WEEK} to ${MOST_A_WEEK}.`;
	}
	return { source, inchesByMonth, irrigationsPerWeek, sprinkled };
}
