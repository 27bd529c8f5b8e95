import { describe, expect, it } from 'vitest';
import type { GroundLayer } from '../schema-types';
import { cornRequest } from '../testing.test-help';
import { layersInUse } from './layers-in-use';

const layer = (name: string, more: Partial<GroundLayer> = {}): GroundLayer => ({
	name,
	quantity: 'K',
	unit: 'ppm',
	points: [[-35, 41, 100]],
	...more
});

describe('the layers of a field', () => {
	const { sample } = cornRequest();
	const valuesOf = (layers: readonly GroundLayer[]) => layers.map(({ points }) => points[0]![2]);

	it('come in the order of their days, so that the newest counts, whatever they are called', () => {
		const layers = [
			layer('A, newest', { takenOn: '2026-10-01' }),
			layer('Z, oldest', { takenOn: '2019-04-01' }),
			layer('M, no day')
		];
		expect(layersInUse(layers, sample).layers.map(({ name }) => name)).toEqual(['M, no day', 'Z, oldest', 'A, newest']);
	});

	it('are read in the unit of the field’s own result', () => {
		const pounds = structuredClone(sample);
		const own = pounds.layers[0]!.results.find(({ analyte }) => analyte === 'K')!;
		own.unit = 'lb/ac-furrow';
		// The furrow slice of 6 2/3 in weighs 2,000,000 lb: 1 ppm is 2 lb.
		expect(valuesOf(layersInUse([layer('K')], pounds).layers)[0]).toBeCloseTo(200, 6);
		expect(valuesOf(layersInUse([layer('K', { unit: 'lb/ac-furrow' })], sample).layers)[0]).toBeCloseTo(50, 6);
		expect(valuesOf(layersInUse([layer('K')], sample).layers)).toEqual([100]);
		expect(valuesOf(layersInUse([layer('K', { unit: '' })], pounds).layers)).toEqual([100]);
		const cec = layer('CEC', { quantity: 'CEC', unit: 'meq/100 g' });
		expect(layersInUse([cec], sample)).toEqual({ layers: [cec], notes: [] });
	});

	it('are left out, with a sentence, in a unit that is none', () => {
		const { layers, notes } = layersInUse([layer('Potash map', { unit: 'oz' }), layer('K')], sample);
		expect(layers.map(({ name }) => name)).toEqual(['K']);
		expect(notes).toEqual([
			'The layer Potash map is left out: “oz” is no unit for potassium. Take it in again with its unit.'
		]);
	});

	it('of other things than soil values, or of what the report lacks, stay as they are', () => {
		const layers = [
			layer('Yield', { quantity: 'yield', unit: 'bu/ac' }),
			layer('Organic matter', { quantity: 'OM', unit: 'g/kg' })
		];
		expect(layersInUse(layers, sample)).toEqual({ layers, notes: [] });
	});
});
