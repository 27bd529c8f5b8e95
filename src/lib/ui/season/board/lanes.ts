/** Something that takes a span of pixels in a lane. */
export interface Span {
	left: number;
	right: number;
}

/** Pixels between two neighbours of a lane. */
const GAP = 6;

/** The lane of each span, from the top: the first in which it covers nobody. */
export function lanesOf(spans: readonly Span[]): number[] {
	const lanes: Span[][] = [];
	return spans.map((span) => {
		const free = lanes.findIndex((lane) =>
			lane.every(({ left, right }) => span.left >= right + GAP || span.right + GAP <= left)
		);
		const lane = free < 0 ? lanes.push([]) - 1 : free;
		lanes[lane]!.push(span);
		return lane;
	});
}

/** Which labels can stand side by side; those that matter are placed first. */
export function labelsThatFit<T extends { x: number; width: number; main?: boolean | undefined }>(
	labels: readonly T[]
): T[] {
	const placed: T[] = [];
	const fits = (label: T) =>
		placed.every((other) => Math.abs(other.x - label.x) > (other.width + label.width) / 2 + GAP);
	for (const label of [...labels].sort((a, b) => Number(b.main ?? false) - Number(a.main ?? false))) {
		if (fits(label)) placed.push(label);
	}
	return placed;
}
