import { isValid, parseISO } from 'date-fns';

/** The months as they are named in a sentence. */
export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

/** Whether a text is a day that there was or will be, as YYYY-MM-DD: 30 February is none. */
export function isDay(text: string): boolean {
	return /^\d{4}-\d\d-\d\d$/.test(text) && isValid(parseISO(text));
}

/** A day (YYYY-MM-DD) as it is written in a sentence: "4 Jun 2027". What is no such day stays as it was written. */
export function longDate(day: string): string {
	const short = shortDate(day);
	return short === day ? day : `${short} ${Number(day.slice(0, 4))}`;
}

/** Without the year: "4 Jun". */
export function shortDate(day: string): string {
	const [, month, date] = /^\d{4}-(\d\d)-(\d\d)/.exec(day) ?? [];
	const name = MONTHS[Number(month) - 1];
	return name === undefined ? day : `${Number(date)} ${name}`;
}
