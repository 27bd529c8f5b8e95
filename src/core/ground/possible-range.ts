import plausibility from '../../../packs/reference/plausibility.json';
import type { Analyte, CropId, LeafElement, Plausibility, TextureClass, TooMuch } from '../schema-types';

/** The one table of what is unusual and what is impossible; a test holds it to schemas/plausibility.schema.json. */
const TABLE = plausibility as unknown as Plausibility;

type Range = readonly [low: number, high: number];

/** The lowest and highest value soil can have, in the canonical unit; undefined where there is no bound. */
export function possibleRange(analyte: Analyte): Range | undefined {
	return asRange(TABLE.analytes[analyte]?.possible);
}

/** Outside these a soil test is questioned; undefined where there is no bound. */
export function usualRange(analyte: Analyte): Range | undefined {
	return asRange(TABLE.analytes[analyte]?.usual);
}

/** What is known of too much of an analyte; the first that fits the ground speaks. */
export function tooMuchOf(analyte: Analyte): TooMuch[] {
	return TABLE.tooMuch.filter((one) => one.analyte === analyte);
}

/** ppm of dry leaves above which something is wrong; undefined where none is known. */
export function tooMuchInLeaves(element: LeafElement): number | undefined {
	return TABLE.tooMuchInLeaves[element];
}

/** Percent of clay that a texture class may have. */
export function clayOf(texture: TextureClass): Range {
	return asRange(TABLE.clayByTexture[texture] ?? []);
}

/** The lowest and highest goal a crop can have, in its usual unit per acre; undefined where there is no bound. */
export function possibleGoal(crop: CropId): Range | undefined {
	return asRange(TABLE.goals[crop]?.possible);
}

/**
 * What is wrong with a yield goal.
 * @param goal in the crop's usual unit per acre
 * @returns whether it is impossible or unusual, with the bounds; undefined where nothing is wrong or nothing is known
 */
export function goalFault(crop: CropId, goal: number): { fault: 'impossible' | 'unusual'; bounds: Range } | undefined {
	const range = TABLE.goals[crop];
	if (!range) return undefined;
	const outside = ([low, high]: number[]) => goal < low! || goal > high!;
	if (outside(range.possible)) return { fault: 'impossible', bounds: asRange(range.possible) };
	if (range.usual && outside(range.usual)) return { fault: 'unusual', bounds: asRange(range.usual) };
	return undefined;
}

/** The pairs of a JSON file are lists to the compiler; the schema, and a test by it, hold them to two. */
function asRange(pair: readonly number[]): Range;
function asRange(pair: readonly number[] | undefined): Range | undefined;
function asRange(pair: readonly number[] | undefined): Range | undefined {
	if (!pair) return undefined;
	const [low = -Infinity, high = Infinity] = pair;
	return [low, high];
}
