import { longDate } from '$core/units/day-text';
import { wordsOf } from './refusal-text';

/** One thing that stands otherwise in the book than in what was sent. */
export interface Difference {
	what: string;
	book: string;
	own: string;
}

/** What a list of things is told apart by; ids are for programs. */
const NAMES = ['label', 'name', 'zone'];
const NOT_SHOWN = ['id', 'seen', 'because', 'from', 'removed', 'shape'];
/** Keys that only hold others. */
const HOLDERS = ['facts', 'values'];
const NOTHING = 'nothing';
/** Something of the price list: "product:urea". */
const PRICE = /^[a-z]+:/;
/** A unit at the end of a key: "rowSpacingIn", "slopePercent". */
const UNIT = / (in|percent|acres|lb|feet)$/;
const UNITS: Record<string, string> = { in: 'in', percent: '%', acres: 'ac', lb: 'lb', feet: 'ft' };

/**
 * What differs between what the book holds and what was to be saved, value by value.
 * @param now what the book holds, in the shape of `own`
 * @param own what was to be saved
 */
export function differencesOf(now: unknown, own: unknown): Difference[] {
	const book = leaves(now);
	const mine = leaves(own);
	return [...new Set([...book.keys(), ...mine.keys()])].flatMap((what) => {
		const [one = NOTHING, other = NOTHING] = [book.get(what), mine.get(what)];
		return one === other ? [] : [{ what, book: one, own: other }];
	});
}

/** Every value of a document by what it is called. */
function leaves(value: unknown, name = '', found = new Map<string, string>()): Map<string, string> {
	if (Array.isArray(value)) {
		for (const [at, one] of value.entries()) leaves(one, joined(name, titleOf(one) ?? String(at + 1)), found);
	} else if (typeof value === 'object' && value !== null) {
		for (const [key, one] of Object.entries(value)) {
			if (!NOT_SHOWN.includes(key)) leaves(one, joined(name, labelOf(key)), found);
		}
	} else if (value !== undefined && value !== null && value !== '') {
		found.set(name, textOf(value));
	}
	return found;
}

/** What a key is called; one that only holds others is not. */
function labelOf(key: string): string {
	if (HOLDERS.includes(key)) return '';
	if (PRICE.test(key)) return key.replace(PRICE, 'Price of ').replaceAll('-', ' ');
	return wordsOf(key).replace(UNIT, (unit) => `, ${UNITS[unit.trim()]}`);
}

function titleOf(value: unknown): string | undefined {
	if (typeof value !== 'object' || value === null) return undefined;
	const name = NAMES.map((key) => (value as Record<string, unknown>)[key]).find((one) => typeof one === 'string');
	return name;
}

function joined(before: string, name: string): string {
	if (before === '' || name === '') return before || name;
	// "P" and "CEC" stay as they are.
	const small = /^[A-Z]([A-Z0-9]|$)/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
	return `${before}, ${small}`;
}

function textOf(value: unknown): string {
	if (value === true) return 'yes';
	if (value === false) return 'no';
	return typeof value === 'string' && /^\d{4}-\d\d-\d\d$/.test(value) ? longDate(value) : String(value);
}
