/** A label that belongs to a mark at `x`, px. */
export interface Label {
	x: number;
	width: number;
}

/** Where a label stands: in which lane, and from `left`, px. */
export interface Placed {
	lane: number;
	left: number;
}

/** Px between two labels of a lane. */
const GAP = 10;
/** Above the line, below it, and below that. */
const MOST_LANES = 3;
/** More than these are told in a list: three lanes hold no more, and all ways to share them are tried. */
const MOST_LABELS = 8;

/**
 * Labels over and under a line of so many px, none over another, none beyond the line, each across its mark, as near
 * to the middle of it as can be, in as few lanes as will do.
 * @returns undefined where there is no such place for all of them; a list says it then
 */
export function placeLabels(labels: readonly Label[], lineWidth: number): Placed[] | undefined {
	if (labels.length > MOST_LABELS) return undefined;
	for (let lanes = 1; lanes <= MOST_LANES; lanes++) {
		const placed = inLanes(labels, lanes, lineWidth);
		if (placed) return placed;
	}
	return undefined;
}

function inLanes(labels: readonly Label[], lanes: number, lineWidth: number): Placed[] | undefined {
	let best: Placed[] | undefined;
	let least = Infinity;
	for (let way = 0; way < lanes ** labels.length; way++) {
		const laneOf = (at: number) => Math.floor(way / lanes ** at) % lanes;
		const placed: Placed[] = [];
		let off = 0;
		for (let lane = 0; lane < lanes && off < least; lane++) {
			const own = inLane(
				labels.map((label, at) => ({ ...label, at })).filter(({ at }) => laneOf(at) === lane),
				lineWidth
			);
			off += own?.off ?? Infinity;
			for (const [at, left] of own?.left ?? []) placed[at] = { lane, left };
		}
		if (off >= least) continue;
		least = off;
		best = placed;
	}
	return best;
}

/** The labels of one lane pushed apart; undefined where one comes off its mark or the line. */
function inLane(labels: readonly (Label & { at: number })[], lineWidth: number) {
	const sorted = [...labels].sort((a, b) => a.x - b.x || a.at - b.at);
	const lefts: number[] = [];
	let free = 0;
	for (const { x, width } of sorted) {
		const left = Math.max(free, x - width / 2);
		lefts.push(left);
		free = left + width + GAP;
	}
	let end = lineWidth;
	let off = 0;
	const left = new Map<number, number>();
	for (let index = sorted.length - 1; index >= 0; index--) {
		const { x, width, at } = sorted[index]!;
		const place = Math.min(lefts[index]!, end - width);
		if (place < 0 || place > x || place + width < x) return undefined;
		left.set(at, place);
		off += (place + width / 2 - x) ** 2;
		end = place - GAP;
	}
	return { left, off };
}

/**
 * Marks that would hide each other moved apart by so many px at least, about where they belong.
 * @param xs sorted, px
 */
export function spreadMarks(xs: readonly number[], apart: number): number[] {
	let groups: { first: number; last: number; middle: number }[] = xs.map((x, at) => ({
		first: at,
		last: at,
		middle: x
	}));
	// Two groups that touch become one about their common middle: each round leaves one less.
	while (groups.length > 1) {
		const touching = groups.findIndex((group, at) => {
			const next = groups[at + 1];
			return next && next.middle - group.middle < (apart * (next.last - group.first + 1)) / 2;
		});
		if (touching < 0) break;
		const [a, b] = [groups[touching]!, groups[touching + 1]!];
		const sizes = [a.last - a.first + 1, b.last - b.first + 1] as const;
		const middle = (a.middle * sizes[0] + b.middle * sizes[1]) / (sizes[0] + sizes[1]);
		groups = [...groups.slice(0, touching), { first: a.first, last: b.last, middle }, ...groups.slice(touching + 2)];
	}
	return groups.flatMap(({ first, last, middle }) =>
		Array.from({ length: last - first + 1 }, (_, at) => middle + (at - (last - first) / 2) * apart)
	);
}
