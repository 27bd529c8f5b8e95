import type { BagDepth, PlanBagsAction } from '$core/schema-types';
import { PlanBagsActionBounds } from '$core/schema-types/bounds';
import { tidy } from '$core/units/display';
import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';
import { factsIn, typedNumbers, type NumberFacts } from '../forms/number-within';
import { numberOrUndefined } from '../forms/numbers';

/** What is typed to plan bags. */
export interface TypedBags {
	/** "0-6, 6-24". */
	depths: string;
	cores: string;
	of: BagGround;
	/** Of a grid: the area that a point stands for, in the reader's unit. */
	areaEach: string;
}

/** What a bag is of. */
export type BagGround = 'zone' | 'field' | 'point';

/** Two and a half acres to a point, or a hectare: common practice. */
const USUAL_AREA = { us: '2.5', metric: '1' };

/** What may be typed for the area of a point. */
export function areaFacts(units: UnitSystem): NumberFacts {
	return factsIn(PlanBagsActionBounds.acresEach, 'ac', units);
}

/** Common practice: the plough layer, fifteen cores to a bag. */
export function usualBags(units: UnitSystem): TypedBags {
	return { depths: units === 'us' ? '0-6' : '0-15', cores: '15', of: 'zone', areaEach: USUAL_AREA[units] };
}

const MOST_CORES = 100;
const DEPTH = /^(\d+(?:\.\d+)?)\s*(?:-|–|to)\s*(\d+(?:\.\d+)?)$/;

/** What to plan, or what is wrong with what was typed. */
export function bagsOf(
	{ depths, cores, of, areaEach }: TypedBags,
	units: UnitSystem
): Pick<PlanBagsAction, 'depths' | 'cores' | 'byZone' | 'acresEach'> | { problem: string } {
	const depthUnit = units === 'metric' ? 'cm' : 'in';
	const read: BagDepth[] = [];
	for (const text of depths.split(',').map((part) => part.trim())) {
		const match = DEPTH.exec(text);
		const [top, bottom] = [Number(match?.[1]), Number(match?.[2])];
		if (!match || bottom <= top) {
			return { problem: `The depth “${text}” must be top and bottom (${depthUnit}), as 0-6.` };
		}
		read.push({ top, bottom, depthUnit });
	}
	const number = numberOrUndefined(cores);
	if (number === undefined || !Number.isInteger(number) || number < 1 || number > MOST_CORES) {
		return { problem: `The cores “${cores}” must be a whole number from 1 to ${MOST_CORES}.` };
	}
	const plan = { depths: read, cores: number, byZone: of === 'zone' };
	if (of !== 'point') return plan;
	const each = typedNumbers({ areaEach }, { areaEach: areaFacts(units) }, ['areaEach']);
	if (typeof each === 'string') return { problem: each };
	return { ...plan, acresEach: tidy(valueFromSystem(each.areaEach, 'ac', units)) };
}
