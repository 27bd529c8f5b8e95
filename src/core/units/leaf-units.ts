import type { LeafElement, ResultUnit } from '../schema-types';

const PERCENT: readonly LeafElement[] = ['N', 'P', 'K', 'Ca', 'Mg', 'S'];

/** What leaves are tested for, in the order of a lab's printout. */
export const LEAF_ELEMENTS: readonly LeafElement[] = [...PERCENT, 'B', 'Zn', 'Mn', 'Cu', 'Fe'];

/** Percent of dry matter, ppm of boron and the metals. */
export function leafUnit(element: LeafElement): '%' | 'ppm' {
	return PERCENT.includes(element) ? '%' : 'ppm';
}

/** Units in which labs give dry matter, and how many percent one is. */
const IN_PERCENT: Partial<Record<ResultUnit, number>> = { '%': 1, ppm: 1e-4, 'mg/kg': 1e-4, 'g/kg': 0.1 };

/** The units that a leaf test may come in. */
export const LEAF_UNITS = Object.keys(IN_PERCENT) as readonly ResultUnit[];

const DIGITS = 6;

/**
 * A lab's value in the unit that ranges are in.
 * @returns undefined where the unit is none of a leaf test
 */
export function inLeafUnit(element: LeafElement, unit: ResultUnit, value: number): number | undefined {
	const percent = IN_PERCENT[unit];
	if (percent === undefined) return undefined;
	const own = IN_PERCENT[leafUnit(element)]!;
	// 3.4 g/kg are 0.34 %, without the last bit of a product.
	return Number(((value * percent) / own).toPrecision(DIGITS));
}
