import { format, isValid, parse } from 'date-fns';

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
