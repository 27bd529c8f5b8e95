import { addDays, addMonths, differenceInCalendarDays, format, parseISO, startOfMonth } from 'date-fns';
import type { TimeAxis } from '$core/season/live/season-axis';

/** Pixels left and right of the time axis, where the charts keep their scales. */
export const MARGIN = { left: 58, right: 58 } as const;

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
