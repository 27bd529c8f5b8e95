/** What each trial is called among several: field and year; more than one of a field and year are told apart by a number. */
export function siteNames(trials: readonly { field: string; year: number }[]): string[] {
	const named = new Map<string, number>();
	return trials.map(({ field, year }) => {
		const name = `${field} ${year}`;
		const count = (named.get(name) ?? 0) + 1;
		named.set(name, count);
		return count === 1 ? name : `${name}, no. ${count}`;
	});
}
