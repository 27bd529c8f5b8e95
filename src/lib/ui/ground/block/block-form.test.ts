import { describe, expect, it } from 'vitest';
import type { Block } from '$core/schema-types';
import { blockFormOf, blockOfForm, numbersAsked } from './block-form';

const rows: Block = {
	plantedYear: 2019,
	rowSpacing: 22,
	plantSpacing: 16,
	treatedWidth: 8,
	rowBearingDeg: 12,
	floor: 'bare strip',
	organic: true,
	canopy: 'large'
};

describe('the form of a block', () => {
	it('gives back what stood, also what it does not ask', () => {
		expect(blockOfForm(blockFormOf(rows), rows)).toEqual(rows);
		const palms: Block = {
			plantedYear: 2012,
			lengthUnit: 'm',
			layout: 'triangle',
			plantSpacing: 9,
			plantsCounted: 143
		};
		expect(blockOfForm(blockFormOf(palms), palms)).toEqual(palms);
	});

	it('drops what only rows have where the plants stand in triangles', () => {
		expect(numbersAsked('triangle')).toEqual(['plantSpacing', 'plantsCounted']);
		const form = { ...blockFormOf(rows), layout: 'triangle' as const };
		form.numbers.treatedWidth = 'wide';
		expect(blockOfForm(form, null)).toEqual({
			plantedYear: 2019,
			layout: 'triangle',
			plantSpacing: 16,
			floor: 'bare strip',
			organic: true
		});
	});

	it.each([
		['plantedYear', '', 'Year planted is not filled in.'],
		['plantedYear', 'last year', 'Year planted “last year” must be a whole number from 1900 to 2150.'],
		['rowSpacing', '0', 'Between rows “0” must be a number above 0, at most 100 m.'],
		['plantsCounted', '1.5', 'Plants counted “1.5” must be a whole number from 1 to 10000000.'],
		['rowBearingDeg', '270', 'Direction of the rows “270” must be a number from 0 to 180 °.']
	] as const)('says what is wrong with %s “%s”', (name, text, sentence) => {
		const form = { ...blockFormOf(rows), lengthUnit: 'm' as const };
		form.numbers[name] = text;
		expect(blockOfForm(form, rows)).toBe(sentence);
	});
});
