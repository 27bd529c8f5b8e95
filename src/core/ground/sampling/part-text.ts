import type { Sample } from '../../schema-types';

/** The part of a field that a bag or a sample is of, in words: "zone Sand knob", "point 12"; undefined of the whole field. */
export function partText({ zone, point }: Pick<Sample, 'zone' | 'point'>): string | undefined {
	if (zone !== undefined) return `zone ${zone}`;
	return point && `point ${point.number}`;
}
