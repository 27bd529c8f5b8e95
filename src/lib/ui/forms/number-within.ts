import { isOneOf, keysOf } from '$core/check/typed-object';
import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
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
	return `${what} “${text}” must be ${wantedNumber(bounds, unit)}.`;
}

/** What would be right, as it stands after "must be". */
export function wantedNumber({ least, above, most, whole = false }: Bounds, unit = ''): string {
	const number = `a ${whole ? 'whole ' : ''}number`;
	const bounds = above === undefined ? `from ${least} to ${most}` : `above ${above}, at most ${most}`;
	return `${number} ${bounds}${unit && ` ${unit}`}`;
}

/** A number of a form, as its schema has it ($core/schema-types/bounds). */
export interface NumberFacts extends Bounds {
	label: string;
	unit?: string | undefined;
	help?: string | undefined;
}

/** The same as `numberWithin`, by the field's own name and unit. */
export function typedNumber(text: string, facts: NumberFacts): number | string | undefined {
	return numberWithin(text, facts, facts.label, facts.unit);
}

/**
 * The numbers that were typed under names of a schema: a form is a list of these.
 * @param needed those that must not be left out
 * @param unit of those whose schema leaves it open
 * @returns without those that are left out; a sentence where one is no such number, or is needed and not there
 */
export function typedNumbers<Name extends string, Needed extends Name>(
	typed: Readonly<Record<Name, string>>,
	facts: Readonly<Record<NoInfer<Name>, NumberFacts>>,
	needed: readonly Needed[],
	unit?: string
): (Record<Needed, number> & Partial<Record<Name, number>>) | string {
	const numbers: Partial<Record<Name, number>> = {};
	for (const name of keysOf(typed)) {
		const value = typedNumber(typed[name], { unit, ...facts[name] });
		if (typeof value === 'string') return value;
		if (value !== undefined) numbers[name] = value;
		else if (isOneOf(needed, name)) return `${facts[name].label} is not filled in.`;
	}
	return numbers as Record<Needed, number> & Partial<Record<Name, number>>;
}

/** The facts of a number that is kept in a US unit, in the reader's. */
export function factsIn<Facts extends NumberFacts>(
	facts: Facts,
	unit: string,
	units: UnitSystem
): Facts & { unit: string } {
	return { ...inOtherUnit(facts, valueInSystem(1, unit, units)), unit: unitInSystem(unit, units) };
}

/** The bounds in a unit of which so many are one of the schema's, to four figures. */
export function inOtherUnit<Facts extends Bounds>(facts: Facts, per: number): Facts {
	const scaled = (value: number) => Number((value * per).toPrecision(4));
	const { least, above, most } = facts;
	return {
		...facts,
		...(least === undefined ? {} : { least: scaled(least) }),
		...(above === undefined ? {} : { above: scaled(above) }),
		most: scaled(most)
	};
}
