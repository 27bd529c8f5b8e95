import type { Problem } from '../check/problem';
import type { PackDocument } from '../schema-types';

/** The crops of a pack that no list has: a slip of the pen would else be a rule that never speaks. */
export function unknownCrops({ rules }: PackDocument, crops: readonly string[]): Problem[] {
	return rules.flatMap(({ crops: own = {} }, rule) =>
		Object.keys(own)
			.filter((crop) => !crops.includes(crop))
			.map((crop) => ({
				path: `/rules/${rule}/crops/${crop}`,
				message: `is in no crop list; known: ${crops.join(', ')}`
			}))
	);
}
