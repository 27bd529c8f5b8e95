import { describe, expect, it } from 'vitest';
import type { InputBreak } from '../../reading/input-breaks';
import { soilLayers } from '../../reading/soil/soil-layers';
import { cornRequest } from '../../testing.test-help';
import { regionsOf, type CellValues } from './regions';

const soil = soilLayers(cornRequest().sample, '/sample');
const turn = (at: number, more: Partial<InputBreak> = {}): InputBreak => ({
	of: 'pH',
	at,
	from: false,
	guards: false,
	...more
});
const placesOf = (cells: CellValues, ...turns: InputBreak[]) =>
	regionsOf(cells, turns, soil).map((region) => region.cells && [...region.cells]);

describe('regions of cells between turns', () => {
	const pH = Float64Array.of(5.2, 6.4, 7.3, 7.8);

	it('are one where nothing turns among the cells', () => {
		const [all, ...more] = regionsOf({ pH }, [turn(9), turn(3, { from: true })], soil);
		expect(more).toEqual([]);
		expect(all!.cells).toBeUndefined();
		expect(all!.middle.pH).toBeCloseTo((5.2 + 6.4 + 7.3 + 7.8) / 4, 12);
		expect(all!.bounds).toEqual({});
	});

	it('put a value that lies on the turn on the side that the rule names', () => {
		expect(placesOf({ pH }, turn(7.3))).toEqual([[0, 1, 2], [3]]);
		expect(placesOf({ pH }, turn(7.3, { from: true }))).toEqual([
			[0, 1],
			[2, 3]
		]);
	});

	it('know how far each value may move, and the mean of their own cells', () => {
		const [low, between, high] = regionsOf({ pH }, [turn(6), turn(7.3)], soil);
		expect(low!.bounds.pH).toEqual({ low: -Infinity, high: 6 });
		expect(between!.bounds.pH).toEqual({ low: 6, high: 7.3 });
		expect(high!.bounds.pH).toEqual({ low: 7.3, high: Infinity });
		expect(between!.middle.pH).toBeCloseTo(6.85, 12);
	});

	it('leave out a cell whose value is not known only where it decides whether there is a rate', () => {
		const holed = Float64Array.of(5.2, NaN, 7.8);
		expect(placesOf({ pH: holed }, turn(7.3, { guards: true }))).toEqual([[0], [2]]);
		expect(placesOf({ pH: holed }, turn(7.3))).toEqual([[0, 1], [2]]);
		// Also where no known value lies beyond the turn.
		expect(placesOf({ pH: Float64Array.of(5, NaN) }, turn(7.3, { guards: true }))).toEqual([[0]]);
	});

	it('divide by two values at once', () => {
		const K = Float64Array.of(100, 900, 100, 900);
		const regions = placesOf({ pH, K }, turn(6.8), turn(500, { of: 'K' }));
		expect(regions.map((cells) => cells!.join())).toEqual(['0', '1', '2', '3']);
	});

	it('pass over what the cells or the report do not hold', () => {
		expect(placesOf({ pH }, turn(6, { of: 'OM' }))).toEqual([undefined]);
		expect(placesOf({ OM: Float64Array.of(2, 30) }, turn(20, { of: 'OM' }))).toEqual([undefined]);
		expect(placesOf({ yieldGoal: Float64Array.of(100, 200) }, turn(150, { of: 'yieldGoal' }))).toEqual([[0], [1]]);
	});
});
