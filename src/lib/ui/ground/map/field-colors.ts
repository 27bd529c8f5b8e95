import { formatNumber } from '$core/units/display';
import { WORK, type Work } from '$lib/next-to-do';
import { cssColor, legendClasses, shareOf } from './ramp';

/** What a field is coloured by on the map of the whole book. */
export interface ColoredField {
	id: string;
	crop: string | undefined;
	soil: { pH?: number; P?: number; K?: number };
	next: Work;
}
export const COLORINGS = {
	crop: 'crop',
	pH: 'soil pH',
	P: 'P, ppm by the lab’s method',
	K: 'K, ppm',
	next: 'next to do'
} as const;
export type Coloring = keyof typeof COLORINGS;

/** One line of the legend; a field has the colour of its line, or none where its value is not known. */
interface LegendLine {
	text: string;
	color: string;
	count: number;
}
export interface Colored {
	legend: LegendLine[];
	colorOf: ReadonlyMap<string, string>;
}

/** Kinds that have no order: told apart by hue and by light, for every kind of colour vision. */
const KINDS = ['#d8a93a', '#4f7a5b', '#a4c3d6', '#8a5a83', '#d98c6a', '#3f5f86', '#b9bd7a', '#6b6459', '#c77f9a'];
const NOT_KNOWN = '#ffffff';

export function colorFields(fields: readonly ColoredField[], by: Coloring): Colored {
	return by === 'crop' || by === 'next' ? byKind(fields, by) : byValue(fields, by);
}

function byKind(fields: readonly ColoredField[], by: 'crop' | 'next'): Colored {
	const kindOf = (field: ColoredField) => (by === 'crop' ? field.crop : WORK[field.next].text);
	const order =
		by === 'next'
			? Object.values(WORK).map(({ text }): string => text)
			: [...new Set(fields.flatMap(({ crop }) => crop ?? []))].sort((a, b) => a.localeCompare(b));
	return colored(
		fields,
		order.map((text, at) => ({ text, color: KINDS[at % KINDS.length]! })),
		kindOf
	);
}

function byValue(fields: readonly ColoredField[], by: 'pH' | 'P' | 'K'): Colored {
	const classes = legendClasses(fields.flatMap(({ soil }) => soil[by] ?? []));
	const unit = by === 'pH' ? 'pH' : 'ppm';
	const text = (value: number) => formatNumber(value, unit);
	const lines = classes.map(({ from, to, share }) => ({
		text: from === to ? text(from) : `${text(from)} to ${text(to)}`,
		color: cssColor(share),
		share
	}));
	return colored(fields, lines, ({ soil }) => {
		const value = soil[by];
		return value === undefined ? undefined : lines.find(({ share }) => share === shareOf(value, classes))?.text;
	});
}

function colored(
	fields: readonly ColoredField[],
	lines: readonly { text: string; color: string }[],
	lineOf: (field: ColoredField) => string | undefined
): Colored {
	const texts = fields.map(lineOf);
	const count = (text: string | undefined) => texts.filter((one) => one === text).length;
	const known = lines.map(({ text, color }) => ({ text, color, count: count(text) })).filter((line) => line.count > 0);
	const unknown = count(undefined);
	const colorByText = new Map(lines.map(({ text, color }) => [text, color]));
	return {
		legend: [...known, ...(unknown > 0 ? [{ text: 'not known', color: NOT_KNOWN, count: unknown }] : [])],
		colorOf: new Map(fields.map(({ id }, at) => [id, colorByText.get(texts[at] ?? '') ?? NOT_KNOWN]))
	};
}
