import type { Result } from '../schema-types';
import { canonicalUnit, conversionOf } from '../units/result-units';
import { possibleRange } from './possible-range';

/**
 * Why no soil can have a value: a slip of the pen, of the column or of the unit.
 * @param thicknessIn thickness of the sampled layer, in
 * @returns the end of a sentence, or undefined where a soil can have it or no bound is known
 */
export function whyImpossible({ analyte, value, unit }: Result, thicknessIn: number): string | undefined {
	const range = possibleRange(analyte);
	if (!range) return undefined;
	const read = value * (conversionOf(analyte, unit, thicknessIn)?.factor ?? NaN);
	if (read >= range[0] && read <= range[1]) return undefined;
	const measure = canonicalUnit(analyte);
	return `cannot be true; soil lies between ${range[0]} and ${range[1]}${measure === 'pH' ? '' : ` ${measure}`}`;
}
