/** What grew in a year, and what was named to come after it. */
export interface GrownYear {
	year: number;
	crop: string;
	nextCrop: string | null;
}

/**
 * The crop of a year by the rotation of its field: the one that was named to come next, else the one that followed the same crop last.
 * @param grown years before, in any order
 * @returns undefined where nothing grew the year before, or nothing says what comes after it
 */
export function cropByRotation(grown: readonly GrownYear[], year: number): string | undefined {
	const before = grown.find((one) => one.year === year - 1);
	if (!before) return undefined;
	if (before.nextCrop !== null) return before.nextCrop;
	const inYear = new Map(grown.map((one) => [one.year, one.crop]));
	const last = grown
		.filter((one) => one.year < before.year && one.crop === before.crop && inYear.has(one.year + 1))
		.sort((a, b) => b.year - a.year)[0];
	return last && inYear.get(last.year + 1);
}
