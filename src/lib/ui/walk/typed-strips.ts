import type { StripZone } from '$core/schema-types';
import { StripZoneBounds } from '$core/schema-types/bounds';
import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';
import { factsIn, typedNumbers, type NumberFacts } from '../forms/number-within';

export type StripNumber = keyof typeof StripZoneBounds;
/** What strips are read by. */
export type ReadBy = 'yield' | 'index';

/** What is asked of a zone, by what its strips are read by. */
export const ASKED: Record<ReadBy, readonly StripNumber[]> = {
	yield: ['areaAcres', 'yieldWithout', 'yieldRich'],
	index: ['areaAcres', 'yieldWithout', 'index', 'richIndex']
};

/** A zone as it is typed. */
export interface TypedZone {
	name: string;
	numbers: Record<StripNumber, string>;
}

export const emptyZone = (): TypedZone => ({
	name: '',
	numbers: { areaAcres: '', yieldWithout: '', yieldRich: '', index: '', richIndex: '' }
});

/** The numbers of a zone as they are typed in the units. */
export function stripFacts(units: UnitSystem, yieldUnit: string): Record<StripNumber, NumberFacts> {
	const { areaAcres, yieldWithout, yieldRich } = StripZoneBounds;
	return {
		...StripZoneBounds,
		areaAcres: factsIn(areaAcres, 'ac', units),
		yieldWithout: factsIn(yieldWithout, yieldUnit, units),
		yieldRich: factsIn(yieldRich, yieldUnit, units)
	};
}

/**
 * A zone as it is kept, or what is wrong with it.
 * @param at its place among the zones, from 0
 */
export function stripZoneOf(
	{ name, numbers }: TypedZone,
	by: ReadBy,
	units: UnitSystem,
	yieldUnit: string,
	at: number
): StripZone | string {
	const called = name.trim() || `Zone ${at + 1}`;
	const typed = emptyZone().numbers;
	for (const one of ASKED[by]) typed[one] = numbers[one];
	const needed = ASKED[by].filter((one) => one !== 'areaAcres');
	const read = typedNumbers(typed, stripFacts(units, yieldUnit), needed);
	if (typeof read === 'string') return `${called}: ${read}`;
	const kept = { ...read };
	for (const [one, unit] of [
		['areaAcres', 'ac'],
		['yieldWithout', yieldUnit],
		['yieldRich', yieldUnit]
	] as const) {
		if (kept[one] !== undefined) kept[one] = valueFromSystem(kept[one], unit, units);
	}
	return { name: called, ...kept } as StripZone;
}
