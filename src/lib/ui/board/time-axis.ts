import { addDays, addMonths, differenceInCalendarDays, format, parseISO, startOfMonth } from 'date-fns';

/** Pixels left and right of the time axis, where the charts keep their scales. */
export const MARGIN = { left: 58, right: 58 } as const;

/** A span of days laid over a width in pixels. */
export interface TimeAxis {
	from: string;
	days: number;
}

/** Days of room before the first and after the last thing shown. */
const ROOM_DAYS = 12;

/** From the month of the first of these days to some days after the last. */
export function axisOver(dates: readonly string[]): TimeAxis {
	const first = dates.reduce((a, b) => (b < a ? b : a));
	const last = dates.reduce((a, b) => (b > a ? b : a));
	const from = format(startOfMonth(addDays(parseISO(first), -ROOM_DAYS)), 'yyyy-MM-dd');
	return { from, days: differenceInCalendarDays(parseISO(last), parseISO(from)) + ROOM_DAYS };
}

/** Pixels from the left edge at which a day stands; days off the axis stand outside it. */
export function xOf({ from, days }: TimeAxis, date: string, width: number): number {
	const share = differenceInCalendarDays(parseISO(date), parseISO(from)) / days;
	return MARGIN.left + share * (width - MARGIN.left - MARGIN.right);
}

/** The day at so many pixels from the left edge, kept on the axis. */
export function dateAt({ from, days }: TimeAxis, x: number, width: number): string {
	const share = (x - MARGIN.left) / (width - MARGIN.left - MARGIN.right);
	const day = Math.round(Math.min(1, Math.max(0, share)) * days);
	return format(addDays(parseISO(from), day), 'yyyy-MM-dd');
}

/** The first day of each month on the axis, with its short name. */
export function monthsOn({ from, days }: TimeAxis): { date: string; name: string }[] {
	const months: { date: string; name: string }[] = [];
	for (
		let at = startOfMonth(parseISO(from));
		differenceInCalendarDays(at, parseISO(from)) < days;
		at = addMonths(at, 1)
	) {
		if (format(at, 'yyyy-MM-dd') >= from) months.push({ date: format(at, 'yyyy-MM-dd'), name: format(at, 'MMM') });
	}
	return months;
}
