import type { Position } from 'geojson';

interface Side {
	from: Position;
	to: Position;
	at: number;
	west: number;
	east: number;
}

/**
 * The first place that is found where a ring crosses, touches or runs back over itself; corners that are given twice in a row count once.
 * Sides are gone through from west to east, so that only those over the same longitudes are laid against each other, and the search ends at
 * the first find: a ring that crosses itself a million times takes no longer than one that does once.
 * @param ring closed, longitude and latitude in degrees
 * @returns undefined where the ring keeps clear of itself
 */
export function firstCrossing(ring: readonly Position[]): Position | undefined {
	const corners = ring.filter((corner, at) => at === 0 || !isSame(corner, ring[at - 1]!));
	const sides = corners.slice(1).map((to, at): Side => sideOf(corners[at]!, to, at));
	const fromWest = sides.toSorted((a, b) => a.west - b.west);
	let over: Side[] = [];
	for (const side of fromWest) {
		over = over.filter(({ east }) => east >= side.west);
		for (const other of over) {
			const place = meeting(side, other, sides.length);
			if (place) return place;
		}
		over.push(side);
	}
	return undefined;
}

function sideOf(from: Position, to: Position, at: number): Side {
	return { from, to, at, west: Math.min(from[0]!, to[0]!), east: Math.max(from[0]!, to[0]!) };
}

const isSame = (a: Position, b: Position) => a[0] === b[0] && a[1] === b[1];

function meeting(one: Side, other: Side, sides: number): Position | undefined {
	if (Math.max(one.from[1]!, one.to[1]!) < Math.min(other.from[1]!, other.to[1]!)) return undefined;
	if (Math.max(other.from[1]!, other.to[1]!) < Math.min(one.from[1]!, one.to[1]!)) return undefined;
	const step = (other.at - one.at + sides) % sides;
	if (step === 1) return turnsBack(one, other);
	if (step === sides - 1) return turnsBack(other, one);
	const [a, b] = [turn(other, one.from), turn(other, one.to)];
	const [c, d] = [turn(one, other.from), turn(one, other.to)];
	if (a * b < 0 && c * d < 0) {
		const share = a / (a - b);
		return [0, 1].map((axis) => one.from[axis]! + share * (one.to[axis]! - one.from[axis]!));
	}
	if (a === 0 && isWithin(other, one.from)) return one.from;
	if (b === 0 && isWithin(other, one.to)) return one.to;
	if (c === 0 && isWithin(one, other.from)) return other.from;
	return d === 0 && isWithin(one, other.to) ? other.to : undefined;
}

/** Twice the area of a side and a place: positive to the left of it, 0 in its line. */
function turn({ from, to }: Side, place: Position): number {
	return (to[0]! - from[0]!) * (place[1]! - from[1]!) - (to[1]! - from[1]!) * (place[0]! - from[0]!);
}

function isWithin({ from, to, west, east }: Side, [x = NaN, y = NaN]: Position): boolean {
	return x >= west && x <= east && y >= Math.min(from[1]!, to[1]!) && y <= Math.max(from[1]!, to[1]!);
}

/** A side that runs back over the one before it. */
function turnsBack(before: Side, after: Side): Position | undefined {
	if (turn(before, after.to) !== 0) return undefined;
	const ahead =
		(before.to[0]! - before.from[0]!) * (after.to[0]! - after.from[0]!) +
		(before.to[1]! - before.from[1]!) * (after.to[1]! - after.from[1]!);
	return ahead < 0 ? before.to : undefined;
}
