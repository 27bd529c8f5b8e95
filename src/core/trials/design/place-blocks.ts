import { insideTest } from '../../ground/shapes/inside';
import { partsOf, type Shape } from '../../ground/shapes/shape';
import type { DriveFrame } from './drive-frame';

/** Where a block lies in the frame of driving, metres. */
export interface BlockPlace {
	across: number;
	along: number;
	lengthM: number;
}

interface Wanted {
	/** Of a whole block. */
	widthM: number;
	/** As long as the field lets it where left out. */
	lengthM?: number | undefined;
	headlandM: number;
	blocks: number;
	/** One behind the other, so that their plots make columns. */
	stacked: boolean;
	/** In the frame: about which blocks of a set length are laid. */
	near?: Spot | undefined;
}

/** Shorter strips are no strips that a combine can be weighed on: 200 ft, common practice. */
const LEAST_STRIP_M = 61;
/** The first column is tried at so many places, and one that does not fit is moved on by such a share of its width. */
const STARTS = 24;
const STEP_SHARE = 1 / 8;
/** More places than this are not tried against each other. */
const MOST_TRIED = 300;
/** What rounding makes of a place. */
const NUDGE_M = 0.01;

type Line = [from: [number, number], to: [number, number]];

/** A field in the frame of driving. */
interface Ground {
	lines: readonly Line[];
	isInside: (across: number, along: number) => boolean;
}

/**
 * Blocks side by side and behind each other, each wholly inside the field and its ends off the headland. Full strips take the
 * longest blocks.
 * @returns fewer than wanted where no more fit
 */
export function placeBlocks(field: Shape, frame: DriveFrame, wanted: Wanted): BlockPlace[] {
	const lines = linesOf(field, frame);
	const inField = insideTest(field);
	const isInside = (across: number, along: number) => inField(frame.toDegrees(across, along));
	const acrosses = lines.flatMap(([a, b]) => [a[0], b[0]]);
	const [from, to] = [Math.min(...acrosses), Math.max(...acrosses)];
	let best: BlockPlace[] = [];
	for (let start = 0; start < STARTS; start++) {
		const all = columnsFrom(from + (start / STARTS) * wanted.widthM, to, { lines, isInside }, wanted);
		const found = wanted.stacked ? fullColumns(all, wanted.blocks) : all;
		if (gain(found, wanted.blocks) > gain(best, wanted.blocks) + 1e-6) best = found;
		// Blocks of a set length gain nothing beyond their number: on a very large field the other starts would take half a minute.
		if (wanted.lengthM !== undefined && best.length >= wanted.blocks) break;
	}
	const used = wanted.lengthM === undefined ? longest(best, wanted.blocks) : closest(best, wanted);
	return used.sort((a, b) => a.across - b.across || a.along - b.along);
}

/** Those of columns that hold so many blocks; where none does, those of the one that holds most. */
function fullColumns(places: readonly BlockPlace[], most: number): BlockPlace[] {
	const columns = new Map<number, BlockPlace[]>();
	for (const place of places) columns.set(place.across, [...(columns.get(place.across) ?? []), place]);
	const all = [...columns.values()];
	const full = all.filter(({ length }) => length >= most);
	return full.length > 0 ? full.flat() : (all.sort((a, b) => b.length - a.length)[0] ?? []);
}

/** More blocks before longer ones. */
function gain(places: readonly BlockPlace[], most: number): number {
	const used = longest(places, most);
	return used.length * 1e6 + used.reduce((sum, { lengthM }) => sum + lengthM, 0);
}

function longest(places: readonly BlockPlace[], most: number): BlockPlace[] {
	return [...places].sort((a, b) => b.lengthM - a.lengthM).slice(0, most);
}

type Spot = readonly [across: number, along: number];

/**
 * So many blocks of a set length that lie close together, as far as they go about a spot: ground differs less over a short
 * way, and machines turn less. From each block as the first corner, columns beside and rows behind it are filled.
 */
function closest(all: readonly BlockPlace[], { blocks: most, widthM, near, stacked }: Wanted): BlockPlace[] {
	const places = nearest(all, widthM, near);
	let best: { found: BlockPlace[]; worth: number } | undefined;
	for (const corner of places) {
		for (let columns = 1; columns <= (stacked ? 1 : most); columns++) {
			const found = places
				.filter(
					({ across, along }) =>
						across >= corner.across - NUDGE_M &&
						across < corner.across + (columns - 0.5) * widthM &&
						along >= corner.along - corner.lengthM / 2
				)
				.sort((a, b) => a.along - b.along || a.across - b.across)
				.slice(0, most);
			if (found.length < Math.min(most, places.length)) continue;
			const worth = spreadOf(found, widthM, near);
			if (!best || worth < best.worth - NUDGE_M) best = { found, worth };
		}
	}
	return best?.found ?? places.slice(0, most);
}

/** No more places than can be tried against each other: those about the spot, or about the middle of all. */
function nearest(all: readonly BlockPlace[], widthM: number, near: Spot | undefined): readonly BlockPlace[] {
	if (all.length <= MOST_TRIED) return all;
	const mean = (of: (place: BlockPlace) => number) => all.reduce((sum, place) => sum + of(place), 0) / all.length;
	const [x, y] = near ?? [mean(({ across }) => across + widthM / 2), mean(({ along }) => along)];
	const away = ({ across, along, lengthM }: BlockPlace) => Math.hypot(across + widthM / 2 - x, along + lengthM / 2 - y);
	return [...all].sort((a, b) => away(a) - away(b)).slice(0, MOST_TRIED);
}

/** Half the way around some blocks, and how far their middle lies from a spot, metres. */
function spreadOf(found: readonly BlockPlace[], widthM: number, near: Spot | undefined): number {
	const [left, right] = ends(found.flatMap(({ across }) => [across, across + widthM]));
	const [from, to] = ends(found.flatMap(({ along, lengthM }) => [along, along + lengthM]));
	const away = near ? Math.hypot((left + right) / 2 - near[0], (from + to) / 2 - near[1]) : 0;
	return right - left + to - from + away;
}

function ends(values: readonly number[]): [least: number, most: number] {
	return [Math.min(...values), Math.max(...values)];
}

function columnsFrom(start: number, to: number, ground: Ground, { widthM, lengthM, headlandM }: Wanted): BlockPlace[] {
	const found: BlockPlace[] = [];
	for (let across = start; across + widthM <= to;) {
		const own = freeRuns(ground, across, across + widthM).flatMap(([from, end]) => {
			const [first, last] = [from + headlandM, end - headlandM];
			if (lengthM === undefined) {
				return last - first >= LEAST_STRIP_M ? [{ across, along: first, lengthM: last - first }] : [];
			}
			const count = Math.max(0, Math.floor((last - first) / lengthM + 1e-9));
			return Array.from({ length: count }, (_, at) => ({ across, along: first + at * lengthM, lengthM }));
		});
		found.push(...own);
		across += own.length > 0 ? widthM : widthM * STEP_SHARE;
	}
	return found;
}

/** The stretches along which a column lies wholly inside: between the edges that it meets. */
function freeRuns({ lines, isInside }: Ground, left: number, right: number): [number, number][] {
	const met = lines.flatMap((line) => spanIn(line, left, right) ?? []).sort((a, b) => a[0] - b[0]);
	const runs: [number, number][] = [];
	let end = met[0]?.[1] ?? 0;
	for (const [from, to] of met) {
		if (from > end && isInside((left + right) / 2, (end + from) / 2)) runs.push([end, from]);
		end = Math.max(end, to);
	}
	return runs;
}

/** What an edge takes up of a column, along it; undefined where it does not meet it. */
function spanIn([[ax, ay], [bx, by]]: Line, left: number, right: number): [[number, number]] | undefined {
	if (Math.max(ax, bx) <= left || Math.min(ax, bx) >= right) return undefined;
	const along = (across: number) => (ax === bx ? ay : ay + ((by - ay) * (across - ax)) / (bx - ax));
	const inside = (across: number) => Math.min(right, Math.max(left, across));
	const ends = ax === bx ? [ay, by] : [along(inside(ax)), along(inside(bx))];
	return [[Math.min(...ends), Math.max(...ends)]];
}

function linesOf(field: Shape, frame: DriveFrame): Line[] {
	return partsOf(field)
		.flat()
		.flatMap((ring) => {
			const corners = ring.map((corner) => frame.toFrame(corner));
			return corners.slice(1).map((corner, at): Line => [corners[at]!, corner]);
		});
}
