/** JSON Schema of a pH in a pack: always with its scale, so that the two scales are never mixed. */
export const phValue = {
	type: 'object',
	additionalProperties: false,
	required: ['ph', 'scale'],
	properties: { ph: { type: 'number', minimum: 4, maximum: 8 }, scale: { enum: ['water', 'cacl2'] } }
} as const;
