/** Steps between two ticks, times a power of ten: 30 reads as 0, 10, 20, 30. */
const STEPS = [1, 2, 2.5, 5, 10];
const MOST_TICKS = 5;

/** Ticks from 0 to just over the highest value, at most six of them. */
export function ticksOver(highest: number): number[] {
	if (!(highest > 0)) return [0, 1];
	const power = 10 ** Math.floor(Math.log10(highest / MOST_TICKS));
	const step = STEPS.map((one) => one * power).find((one) => one * MOST_TICKS >= highest)!;
	const count = Math.ceil(highest / step - 1e-9);
	return Array.from({ length: count + 1 }, (_, at) => Number((at * step).toPrecision(6)));
}
