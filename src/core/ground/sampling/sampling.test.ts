import { describe, expect, it } from 'vitest';
import type { Layer, Result } from '../../schema-types';
import { meanOfParts } from './mean-of-zones';
import { isOldSample, sampleDue, samplingDay } from './sample-age';

describe('a field is due for sampling', () => {
	it.each([
		['after three years', '2024-03-31', {}, true],
		['not before', '2024-04-15', {}, false],
		['after two on sand', '2025-03-20', { textureClass: 'loamy sand' }, true],
		['not after two on loam', '2025-03-20', { textureClass: 'loam' }, false],
		['after one in an orchard', '2026-03-01', { perennial: true, textureClass: 'sand' }, true],
		['not within the year there', '2026-08-01', { perennial: true }, false]
	])('%s', (_, sampledOn, ground, due) => {
		expect(isOldSample(sampledOn, ground, samplingDay(2027))).toBe(due);
	});

	it('with the reason', () => {
		expect(sampleDue(undefined, {}, '2027-04-01')).toContain('none with a date');
		expect(sampleDue('2021-10-18', {}, '2027-04-01')).toBe('the last is of 18 Oct 2021');
		expect(sampleDue('2026-10-18', {}, '2027-04-01')).toBeUndefined();
	});
});

describe('the mean of zones', () => {
	const layer = (results: Result[], bottom = 8): Layer => ({ top: 0, bottom, depthUnit: 'in', results });
	const k = (value: number, more: Partial<Result> = {}): Result => ({ analyte: 'K', value, unit: 'ppm', ...more });
	const ph = (value: number): Result => ({ analyte: 'pH', method: 'water', value, unit: 'pH' });

	// By hand: (10 x 88 + 30 x 141 + 20 x 176) / 60 = 143.83, four digits.
	it('goes by acres', () => {
		const parts = [
			{ areaAcres: 10, layers: [layer([k(88), ph(5.7)])] },
			{ areaAcres: 30, layers: [layer([k(141), ph(6.1)])] },
			{ areaAcres: 20, layers: [layer([k(176), ph(6.4)])] }
		];
		expect(meanOfParts(parts)).toEqual([layer([k(143.8), ph(6.133)])]);
	});

	it('leaves out what not every zone has, by one method, in one unit, at one depth', () => {
		const first = { areaAcres: 10, layers: [layer([k(88), ph(5.7)]), layer([k(60)], 24)] };
		const mehlich = { areaAcres: 10, layers: [layer([k(100, { method: 'mehlich-3' }), ph(6.3)])] };
		expect(meanOfParts([first, mehlich])).toEqual([layer([ph(6)])]);
		expect(meanOfParts([first, { areaAcres: 5, layers: [layer([k(100, { unit: 'lb/ac' })])] }])).toEqual([]);
	});

	it('keeps a sign below the limit only where all have it', () => {
		const low = { areaAcres: 1, layers: [layer([k(5, { qualifier: '<' })])] };
		expect(meanOfParts([low, low])[0]?.results).toEqual([k(5, { qualifier: '<' })]);
		expect(meanOfParts([low, { areaAcres: 1, layers: [layer([k(15)])] }])[0]?.results).toEqual([k(10)]);
	});
});
