import { formatNumber } from '$core/units/display';
import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
import { WORK, type Work } from '$lib/next-to-do';
import { cssColor, legendClasses, shareOf } from './ramp';

/** What a field is coloured by on the map of the whole book. */
export interface ColoredField {
	id: string;
	crop: string | undefined;
	soil: { pH?: number; P?: number; K?: number };
	/** Applied less taken off in the year of the last harvest, lb/ac. */
	balance: { N?: number; P2O5?: number; K2O?: number };
	next: Work;
}
export const COLORINGS = {
	crop: 'crop',
	pH: 'soil pH',
	P: 'P, ppm by the lab’s method',
	K: 'K, ppm',
	N: 'N balance of the last harvest',
	P2O5: 'P2O5 balance of the last harvest',
	K2O: 'K2O balance of the last harvest',
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
const KINDS = [
	...['#d8a93a', '#4f7a5b', '#a4c3d6', '#8a5a83', '#d98c6a', '#3f5f86', '#b9bd7a', '#6b6459', '#c77f9a'],
	...['#f0dfa0', '#7fb08f', '#5b93b8', '#c9b3dc', '#9c4a2f', '#26324f', '#e8c4b4', '#7d7f2f', '#b8b2a6']
];
const NOT_KNOWN = '#ffffff';

/** @param units that the legend's balances are in */
export function colorFields(fields: readonly ColoredField[], by: Coloring, units: UnitSystem): Colored {
	switch (by) {
		case 'crop':
		case 'next':
			return byKind(fields, by);
		case 'pH':
		case 'P':
		case 'K':
			return byValue(
				fields,
				({ soil }) => soil[by],
				(value) => formatNumber(value, by === 'pH' ? 'pH' : 'ppm'),
				''
			);
		default:
			return byValue(
				fields,
				({ balance }) => balance[by],
				(value) => formatNumber(valueInSystem(value, 'lb/ac', units), unitInSystem('lb/ac', units)),
				` ${unitInSystem('lb/ac', units)}`
			);
	}
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

function byValue(
	fields: readonly ColoredField[],
	valueOf: (field: ColoredField) => number | undefined,
	text: (value: number) => string,
	unit: string
): Colored {
	const classes = legendClasses(fields.flatMap((field) => valueOf(field) ?? []));
	const lines = classes.map(({ from, to, share }) => ({
		text: `${from === to ? text(from) : `${text(from)} to ${text(to)}`}${unit}`,
		color: cssColor(share),
		share
	}));
	return colored(fields, lines, (field) => {
		const value = valueOf(field);
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
