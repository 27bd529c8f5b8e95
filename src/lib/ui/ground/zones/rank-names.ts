const NAMES: Record<number, readonly string[]> = {
	1: ['Whole field'],
	2: ['Low', 'High'],
	3: ['Low', 'Middle', 'High'],
	4: ['Lowest', 'Low', 'High', 'Highest'],
	5: ['Lowest', 'Low', 'Middle', 'High', 'Highest']
};

/** Names of zones in order of the layer they were made from. */
export function rankNames(count: number): readonly string[] {
	return NAMES[count] ?? Array.from({ length: count }, (_, at) => `Level ${at + 1}`);
}
