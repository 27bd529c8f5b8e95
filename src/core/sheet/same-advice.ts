import type { SheetContent } from '../schema-types';

/** What two sheets may differ in and still advise the same: who printed them, when, with what tank, and how old that makes a sample. */
const BESIDE_THE_POINT: ReadonlySet<string> = new Set([
	'issuedOn',
	'preparedBy',
	'asOf',
	// Of the field-year; requests of before did not say it.
	'year',
	// Of the crop, which its name says; it says what a bushel weighs only since metric readers need it.
	'yieldUnit',
	'findings',
	'leafTests',
	'since',
	'accepted',
	'loading',
	'weather',
	'stage'
]);

/** Whether an issued sheet still says what would be issued now. */
export function sameAdvice(issued: SheetContent, now: SheetContent): boolean {
	return adviceText(issued) === adviceText(now);
}

/** What a sheet advises, as text: two sheets that advise the same have the same. */
export function adviceText(content: SheetContent): string {
	return JSON.stringify(content, (key, value: unknown) => (BESIDE_THE_POINT.has(key) ? undefined : value));
}
