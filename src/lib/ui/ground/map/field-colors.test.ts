import { expect, it } from 'vitest';
import { colorFields, type ColoredField } from './field-colors';

const field = (id: string, crop: string | undefined, pH: number | undefined): ColoredField => ({
	id,
	crop,
	soil: pH === undefined ? {} : { pH },
	balance: pH === undefined ? {} : { K2O: pH === 5.2 ? -60 : 20 },
	next: crop === undefined ? 'goal' : 'rates'
});
const FIELDS = [
	field('a', 'Corn', 5.2),
	field('b', 'Soybean', 6.8),
	field('c', 'Corn', 6.1),
	field('d', undefined, undefined)
];

it('fields of one crop have one colour, and the legend counts them', () => {
	const { legend, colorOf } = colorFields(FIELDS, 'crop', 'us');
	expect(legend.map(({ text, count }) => [text, count])).toEqual([
		['Corn', 2],
		['Soybean', 1],
		['not known', 1]
	]);
	expect(colorOf.get('a')).toBe(colorOf.get('c'));
	expect(new Set(colorOf.values()).size).toBe(3);
	expect(colorOf.get('a')).toBe(legend[0]!.color);
});

it('as many crops as a mixed district grows are each told apart', () => {
	const crops = Array.from({ length: 18 }, (_, at) => field(`f${at}`, `Crop ${at}`, undefined));
	expect(new Set(colorFields(crops, 'crop', 'us').colorOf.values()).size).toBe(18);
});

it('values go into classes from little to much; a field without one is not coloured', () => {
	const { legend, colorOf } = colorFields(FIELDS, 'pH', 'us');
	expect(legend[0]!.text).toBe('5.2');
	expect(legend.reduce((sum, { count }) => sum + count, 0)).toBe(4);
	expect(colorOf.get('a')).not.toBe(colorOf.get('b'));
	expect(legend.at(-1)).toMatchObject({ text: 'not known', count: 1, color: colorOf.get('d') });
});

it('what is next to do stands in the order of the work, without what no field waits for', () => {
	expect(colorFields(FIELDS, 'next', 'us').legend.map(({ text }) => text)).toEqual([
		'needs a crop and goal',
		'rates to choose'
	]);
});

it('balances are told in the units of the book, what was taken off below nothing', () => {
	const { legend, colorOf } = colorFields(FIELDS, 'K2O', 'metric');
	expect(legend.map(({ text, count }) => [text, count])).toEqual([
		['-67.3 kg/ha', 1],
		['22.4 kg/ha', 2],
		['not known', 1]
	]);
	expect(colorOf.get('b')).toBe(colorOf.get('c'));
	const many = Array.from({ length: 20 }, (_, at) => ({ ...field(`f${at}`, 'Corn', 6), balance: { K2O: at - 30 } }));
	expect(colorFields(many, 'K2O', 'us').legend[0]!.text).toBe('-30 to -26 lb/ac');
});
