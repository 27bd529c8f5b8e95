import { error } from '@sveltejs/kit';

/** The year of an address; anything but a year is a 404. */
export function yearOf(text: string): number {
	if (!/^(19|20|21)\d\d$/.test(text)) error(404, `“${text}” is not a year.`);
	return Number(text);
}
