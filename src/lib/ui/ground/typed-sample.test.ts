import { describe, expect, it } from 'vitest';
import type { Sample } from '$core/schema-types';
import { emptyLayer, emptyLine, sampleOf, typedLayers, type TypedHead } from './typed-sample';

const HEAD: TypedHead = { date: '2026-10-12', lab: ' Lab 7 ', labNumber: '31', spot: 'whole' };
const REPORT: Sample = {
	date: '2026-10-12',
	layers: [
		{
			top: 0,
			bottom: 8,
			depthUnit: 'in',
			results: [
				{ analyte: 'P', value: 18, unit: 'ppm', method: 'bray-p1' },
				{ analyte: 'P', value: 25, unit: 'ppm', method: 'mehlich-3' },
				{ analyte: 'Zn', value: 0.5, unit: 'ppm', method: 'dtpa', qualifier: '<' },
				{ analyte: 'Mn', value: 12, unit: 'ppm', method: 'dtpa' }
			]
		},
		{ top: 8, bottom: 24, depthUnit: 'in', results: [{ analyte: 'NO3-N', value: 9, unit: 'ppm' }] }
	]
};

describe('a sample in its form', () => {
	it('comes back as it was, every layer, analyte and method of it', () => {
		const layers = typedLayers(REPORT);
		expect(layers.map(({ lines }) => lines.length)).toEqual([14, 12]);
		expect(sampleOf(HEAD, layers, REPORT)).toEqual({ lab: 'Lab 7', labNumber: '31', report: REPORT });
	});
	it('keeps what is put right, and a censored value as such', () => {
		const layers = typedLayers(REPORT);
		layers[0]!.lines[0]!.value = '<2';
		layers[0]!.lines.push({ ...emptyLine('Fe'), value: '30' });
		layers[1]!.lines[0]!.value = '';
		const typed = sampleOf({ ...HEAD, spot: 'bad' }, layers, REPORT);
		expect(typed).toMatchObject({ report: { spot: 'bad', layers: [{ top: 0 }] } });
		const [layer, ...more] = typeof typed === 'string' ? [] : typed.report.layers;
		// A layer without a value is left out.
		expect(more).toEqual([]);
		expect(layer!.results[0]).toMatchObject({ value: 2, qualifier: '<', method: 'bray-p1' });
		expect(layer!.results.at(-1)).toMatchObject({ analyte: 'Fe', value: 30 });
	});
	it.each([
		[{ ...HEAD, date: '12.10.' }, [emptyLayer()], 'must be written as 2026-10-12'],
		[HEAD, [emptyLayer('8', '0')], 'The depth 8 to 0 must run downwards'],
		[HEAD, [emptyLayer()], 'Type at least one value'],
		[HEAD, [{ ...emptyLayer(), lines: [{ ...emptyLine('pH'), value: 'acid' }] }], 'soil pH: “acid” is no number']
	])('is refused in a sentence: %#', (head, layers, said) => {
		expect(sampleOf(head, layers)).toContain(said);
	});
});
