/** JSON Schema of a coefficient that is constant or rises in a straight line with CEC (meq/100 g). */
export const cecLine = {
	type: 'object',
	additionalProperties: false,
	required: ['constant'],
	properties: { constant: { type: 'number' }, perCec: { type: 'number' } }
} as const;

/** A coefficient by it. */
export interface CecLine {
	constant: number;
	perCec?: number;
}

/** The coefficient at this CEC, meq/100 g; NaN where it depends on a CEC that is not known. */
export function atCec(line: CecLine, cec: number): number {
	return line.perCec === undefined ? line.constant : line.constant + line.perCec * cec;
}
