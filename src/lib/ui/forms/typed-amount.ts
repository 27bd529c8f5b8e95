import { keysOf } from '$core/check/typed-object';
import { tidy } from '$core/units/display';
import { valueFromSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
import { factsIn, typedNumber, type NumberFacts } from './number-within';
import { numberOrUndefined } from './numbers';

/** Digits that a converted amount shows in a form. */
const SHOWN_DIGITS = 5;

/** An amount kept in a US unit as it stands in a form; empty where there is none. */
export function typedAmount(kept: number | null | undefined, unit: string, units: UnitSystem): string {
	if (kept === undefined || kept === null) return '';
	return units === 'us' ? String(kept) : String(tidy(valueInSystem(kept, unit, units), SHOWN_DIGITS));
}

/**
 * What was typed, in the US unit it is kept in. What nobody changed stays to the last digit as it was.
 * @returns undefined for what is no number
 */
export function keptAmount(
	text: string,
	before: number | null | undefined,
	unit: string,
	units: UnitSystem
): number | undefined {
	if (before !== undefined && before !== null && text === typedAmount(before, unit, units)) return before;
	const value = numberOrUndefined(text);
	return value === undefined ? undefined : valueFromSystem(value, unit, units);
}

/**
 * The same, as the schema bounds it.
 * @returns undefined where the field is left empty; a sentence where it holds no such number
 */
export function keptNumber(
	text: string,
	before: number | null | undefined,
	facts: NumberFacts,
	unit: string,
	units: UnitSystem
): number | string | undefined {
	const typed = typedNumber(text, factsIn(facts, unit, units));
	return typeof typed === 'number' ? keptAmount(text, before, unit, units) : typed;
}

/** Numbers under names of a schema, each with the US unit that it is kept in. */
type Kept<Name extends string> = Readonly<Record<Name, NumberFacts & { unit: string }>>;

/** Numbers that are kept, as they stand in a form; empty where there is none. */
export function typedAmounts<Name extends string>(
	kept: Readonly<Partial<Record<NoInfer<Name>, number>>>,
	facts: Kept<Name>,
	units: UnitSystem
): Record<Name, string> {
	const shown = keysOf(facts).map((name) => [name, typedAmount(kept[name], facts[name].unit, units)]);
	return Object.fromEntries(shown) as Record<Name, string>;
}

/**
 * What was typed under names of a schema, in the US units it is kept in.
 * @returns without what was left empty; a sentence where one is no such number
 */
export function keptNumbers<Name extends string>(
	typed: Readonly<Record<NoInfer<Name>, string>>,
	kept: Readonly<Partial<Record<NoInfer<Name>, number>>>,
	facts: Kept<Name>,
	units: UnitSystem
): Partial<Record<Name, number>> | string {
	const numbers: Partial<Record<Name, number>> = {};
	for (const name of keysOf(facts)) {
		const value = keptNumber(typed[name], kept[name], facts[name], facts[name].unit, units);
		if (typeof value === 'string') return value;
		if (value !== undefined) numbers[name] = value;
	}
	return numbers;
}
