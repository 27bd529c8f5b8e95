import { differenceInCalendarDays, format, isValid, parse, parseISO } from 'date-fns';

/** How long ago, in the unit a person would use: "3 weeks", "14 months", "5 years". */
export function ageText(day: string, today: string): string {
	const days = differenceInCalendarDays(parseISO(today), parseISO(day));
	if (days < 0) return 'in the future';
	if (days < 14) return days === 1 ? '1 day' : `${days} days`;
	if (days < 60) return `${Math.round(days / 7)} weeks`;
	if (days < 730) return `${Math.round(days / 30.4)} months`;
	return `${Math.floor(days / 365.25)} years`;
}

/** The ways in which people here write a day. */
const WRITTEN = ['yyyy-MM-dd', 'd MMM yyyy', 'd MMMM yyyy', 'MMM d, yyyy', 'M/d/yyyy'];

/** The day that a text means; undefined where it means none. */
export function parseDay(text: string): Date | undefined {
	return WRITTEN.map((form) => parse(text.trim(), form, new Date(2000, 0, 1))).find(
		(day) => isValid(day) && day.getFullYear() > 1900
	);
}

/** A typed text as year-month-day; as it was typed where it means no day, for the form to say so. */
export function typedDay(text: string): string {
	const day = parseDay(text);
	return day ? format(day, 'yyyy-MM-dd') : text;
}
