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
export function stripFacts(units: UnitSystem): Record<StripNumber, NumberFacts> {
	return { ...StripZoneBounds, areaAcres: factsIn(StripZoneBounds.areaAcres, 'ac', units) };
}

/**
 * A zone as it is kept, or what is wrong with it.
 * @param at its place among the zones, from 0
 */
export function stripZoneOf(
	{ name, numbers }: TypedZone,
	by: ReadBy,
	units: UnitSystem,
	at: number
): StripZone | string {
	const called = name.trim() || `Zone ${at + 1}`;
	const typed = emptyZone().numbers;
	for (const one of ASKED[by]) typed[one] = numbers[one];
	const needed = ASKED[by].filter((one) => one !== 'areaAcres');
	const read = typedNumbers(typed, stripFacts(units), needed);
	if (typeof read === 'string') return `${called}: ${read}`;
	const area = read.areaAcres === undefined ? {} : { areaAcres: valueFromSystem(read.areaAcres, 'ac', units) };
	return { name: called, ...read, ...area } as StripZone;
}
