import { numberOrUndefined } from './numbers';

/** Between what a number must lie, as its schema has it ($core/schema-types/bounds). */
export interface Bounds {
	least?: number;
	/** It must be more than this. */
	above?: number;
	most: number;
	whole?: boolean;
}

/**
 * The number in a text field.
 * @param what how the sentence names the field: "The depth"
 * @param unit what the number counts, in words, where it counts something: "inches"
 * @returns undefined where the field is left empty; a sentence where it holds no such number
 */
export function numberWithin(text: string, bounds: Bounds, what: string, unit = ''): number | string | undefined {
	if (text.trim() === '') return undefined;
	const value = numberOrUndefined(text);
	const { least = -Infinity, above = -Infinity, most, whole = false } = bounds;
	const fits = value !== undefined && value >= least && value > above && value <= most;
	if (fits && (!whole || Number.isInteger(value))) return value;
	const number = `a ${whole ? 'whole ' : ''}number${unit && ` of ${unit}`}`;
	const range = bounds.above === undefined ? `from ${least} to ${most}` : `above ${above}, at most ${most}`;
	return `${what} “${text}” must be ${number} ${range}.`;
}
