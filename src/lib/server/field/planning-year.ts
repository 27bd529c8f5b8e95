/** The year an adviser plans for on a day: from September on, the next one. */
export function planningYear(today: string): number {
	const [year = NaN, month = NaN] = today.split('-').map(Number);
	return month >= 9 ? year + 1 : year;
}
