import type { LeafDrawing } from '$core/schema-types';

/** A drawing of a plant in a square of 120: what stands, what is green, what bears, and the leaves that are picked. */
export interface Drawing {
	/** What is seen, for those who hear the page. */
	says: string;
	stems: readonly string[];
	leaves: readonly string[];
	/** Ears, flowers and fruits. */
	fruits: readonly string[];
	picked: readonly string[];
}

type Point = readonly [x: number, y: number];

/** A leaf from its base to its tip, bowed to both sides by a share of its length. */
function blade([x0, y0]: Point, [x1, y1]: Point, bow = 0.22): string {
	const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
	const [dx, dy] = [(y1 - y0) * bow, (x0 - x1) * bow];
	return `M${x0} ${y0}Q${mx + dx} ${my + dy} ${x1} ${y1}Q${mx - dx} ${my - dy} ${x0} ${y0}Z`;
}

/** Leaflets that leave one point in a fan; the middle one points along the angle, degrees from upright. */
function fan([x, y]: Point, angle: number, size: number, count: number, spread = 55): string[] {
	return Array.from({ length: count }, (_, at) => {
		const turn = ((angle + (at - (count - 1) / 2) * spread) * Math.PI) / 180;
		return blade([x, y], [x + size * Math.sin(turn), y - size * Math.cos(turn)], 0.34);
	});
}

function round([x, y]: Point, r: number): string {
	return `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
}

/** Leaves by turns left and right up a stem, from the height to the next. */
function alternate(x: number, ys: readonly number[], reach: number, rise: number): string[] {
	return ys.map((y, at) => blade([x, y], [x + (at % 2 === 0 ? -reach : reach), y - rise], 0.26));
}

const MIDDLE = { from: 3, to: 6 };
const FROND_LEAFLETS = Array.from({ length: 9 }, (_, at) => {
	const [x, y] = [14 + at * 11, 96 - at * 9 + (at * at) / 4];
	return [blade([x, y], [x - 12, y - 26], 0.1), blade([x, y], [x + 24, y + 14], 0.1)];
});

export const LEAF_DRAWINGS: Record<LeafDrawing, Drawing> = {
	'ear-leaf': {
		says: 'A corn plant in tassel; the leaf at the ear is marked.',
		stems: ['M60 116V16', 'M60 16L50 4M60 16V2M60 16L70 4'],
		leaves: [
			blade([60, 104], [16, 94], 0.12),
			blade([60, 92], [106, 80], 0.12),
			blade([60, 50], [22, 34], 0.12),
			blade([60, 36], [96, 20], 0.12),
			blade([60, 28], [34, 12], 0.12)
		],
		fruits: ['M62 70Q74 60 69 42Q58 54 62 70Z'],
		picked: [blade([60, 74], [112, 52], 0.12)]
	},
	trifoliate: {
		says: 'A soybean stem; the uppermost full-grown leaf of three leaflets is marked, without its stalk.',
		stems: ['M60 116V26', 'M60 98L36 88', 'M60 78L84 68', 'M60 54L40 38', 'M60 34L68 26'],
		leaves: [...fan([36, 88], -80, 20, 3), ...fan([84, 68], 80, 22, 3), ...fan([68, 26], 30, 9, 3)],
		fruits: [round([60, 66], 3), round([62, 90], 3)],
		picked: fan([40, 38], -40, 24, 3)
	},
	'upper-leaves': {
		says: 'A wheat stem whose head is about to come out; its two uppermost leaves are marked.',
		stems: ['M60 116V34'],
		leaves: [blade([60, 104], [22, 92], 0.1), blade([60, 88], [100, 76], 0.1)],
		fruits: ['M60 34Q54 20 60 6Q66 20 60 34Z'],
		picked: [blade([60, 66], [18, 44], 0.1), blade([60, 46], [104, 18], 0.1)]
	},
	'top-of-stem': {
		says: 'An alfalfa stem in first bloom; its top six inches are marked.',
		stems: ['M60 116V12', 'M14 44H106'],
		leaves: [100, 84, 68, 54].flatMap((y, at) => fan([60, y], at % 2 === 0 ? -70 : 70, 18, 3, 40)),
		fruits: [round([60, 8], 5)],
		picked: [38, 26].flatMap((y) => [...fan([60, y], -70, 16, 3, 40), ...fan([60, y], 70, 16, 3, 40)])
	},
	'spur-leaves': {
		says: 'A branch with spurs; leaves of a spur without fruit are marked, the spur with fruit is left.',
		stems: ['M8 108L112 54', 'M34 94L28 74', 'M84 68L92 92'],
		leaves: [...fan([92, 92], 170, 18, 4, 45)],
		fruits: [round([104, 104], 6)],
		picked: fan([28, 74], -12, 26, 4, 45)
	},
	'mid-shoot': {
		says: 'A shoot of this year; leaves at its middle are marked.',
		stems: ['M60 118V8'],
		leaves: [...alternate(60, [108, 98, 88, 78], 34, 10), ...alternate(60, [40, 30, 20], 24, 10)],
		fruits: [],
		picked: alternate(60, [66, 54], 38, 12)
	},
	primocane: {
		says: 'A cane of last year with fruit, and a new cane; its newest full-grown leaf is marked.',
		stems: ['M34 118Q30 60 44 22', 'M78 118Q74 60 84 10', 'M77 44L94 36'],
		leaves: [...fan([34, 84], -70, 16, 3), ...fan([78, 84], 70, 18, 5, 42), ...fan([84, 12], 20, 9, 3)],
		fruits: [round([44, 22], 4), round([36, 32], 4), round([50, 32], 4), round([36, 46], 4)],
		picked: fan([94, 36], 70, 20, 5, 42)
	},
	'spring-flush': {
		says: 'A shoot with leaves of last year below and those of this spring above; full-grown spring leaves are marked.',
		stems: ['M60 118V18', 'M52 74H68'],
		leaves: [...alternate(60, [110, 98, 86], 36, 2), blade([60, 20], [60, 4], 0.3)],
		fruits: [],
		picked: alternate(60, [62, 50, 38], 36, 16)
	},
	frond: {
		says: 'A frond of a palm; leaflets at its middle are marked.',
		stems: ['M4 106Q60 54 112 38'],
		leaves: FROND_LEAFLETS.filter((_, at) => at < MIDDLE.from || at >= MIDDLE.to).flat(),
		fruits: [],
		picked: FROND_LEAFLETS.slice(MIDDLE.from, MIDDLE.to).flat()
	}
};
