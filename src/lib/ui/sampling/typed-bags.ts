import type { BagDepth, PlanBagsAction } from '$core/schema-types';
import { numberOrUndefined } from '../forms/numbers';

/** What is typed to plan bags. */
export interface TypedBags {
	/** "0-6, 6-24". */
	depths: string;
	cores: string;
	byZone: boolean;
}

/** Common practice: the plough layer, fifteen cores to a bag. */
export function usualBags(unit: BagDepth['depthUnit']): TypedBags {
	return { depths: unit === 'in' ? '0-6' : '0-15', cores: '15', byZone: true };
}

const MOST_CORES = 100;
const DEPTH = /^(\d+(?:\.\d+)?)\s*(?:-|–|to)\s*(\d+(?:\.\d+)?)$/;

/** What to plan, or what is wrong with what was typed. */
export function bagsOf(
	{ depths, cores, byZone }: TypedBags,
	depthUnit: BagDepth['depthUnit']
): Pick<PlanBagsAction, 'depths' | 'cores' | 'byZone'> | { problem: string } {
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
	return { depths: read, cores: number, byZone };
}
