/** From little to much, in light and hue, so that it can be told apart in grey and by every kind of colour vision. */
const STOPS: readonly [number, number, number][] = [
	[250, 238, 205],
	[226, 190, 110],
	[176, 142, 62],
	[92, 122, 78],
	[23, 72, 56]
];

/** A colour of the ramp for a share from 0 to 1. */
export function rampColor(share: number): [number, number, number] {
	const at = Math.min(1, Math.max(0, share)) * (STOPS.length - 1);
	const low = Math.min(STOPS.length - 2, Math.floor(at));
	const rest = at - low;
	const mixed = STOPS[low]!.map((part, channel) => Math.round(part + (STOPS[low + 1]![channel]! - part) * rest));
	return mixed as [number, number, number];
}

export function cssColor(share: number, opacity = 1): string {
	return `rgb(${rampColor(share).join(' ')} / ${opacity})`;
}

/** Limits of five classes with as much ground in each, and the share of the ramp that each is drawn with. */
export interface LegendClass {
	from: number;
	to: number;
	share: number;
}

const CLASSES = 5;

/** Classes of a legend: each value where they are few, else quantiles, fewer where values repeat. */
export function legendClasses(values: ArrayLike<number>): LegendClass[] {
	const known = Array.from(values)
		.filter(Number.isFinite)
		.sort((a, b) => a - b);
	const distinct = [...new Set(known)];
	if (distinct.length <= CLASSES) return shared(distinct.map((value) => ({ from: value, to: value })));
	const limits = Array.from(
		{ length: CLASSES + 1 },
		(_, at) => known[Math.min(known.length - 1, Math.round((at / CLASSES) * (known.length - 1)))]!
	);
	const classes: Omit<LegendClass, 'share'>[] = [];
	for (let at = 0; at < CLASSES; at++) {
		const [from, to] = [limits[at]!, limits[at + 1]!];
		if (to > from) classes.push({ from, to });
	}
	return shared(classes);
}

function shared(classes: readonly Omit<LegendClass, 'share'>[]): LegendClass[] {
	return classes.map((one, at) => ({ ...one, share: classes.length === 1 ? 0.5 : at / (classes.length - 1) }));
}

/** The share of the ramp for a value. */
export function shareOf(value: number, classes: readonly LegendClass[]): number {
	const found = classes.find(({ to }) => value <= to);
	return (found ?? classes.at(-1))?.share ?? 0;
}
