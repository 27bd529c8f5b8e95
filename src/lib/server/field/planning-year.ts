/** The year an adviser plans for on a day: from September on, the next one. */
export function planningYear(today: string): number {
	const [year, month] = today.split('-').map(Number) as [number, number];
	return month >= 9 ? year + 1 : year;
}
