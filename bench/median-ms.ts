/** Median of the runs in ms, after as many runs to warm up. */
export function medianMs(runs: number, work: () => void): number {
	for (let run = 0; run < runs; run++) work();
	const times = Array.from({ length: runs }, () => {
		const start = performance.now();
		work();
		return performance.now() - start;
	});
	return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}
