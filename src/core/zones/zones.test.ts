import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaAcres } from '../ground/shapes/geodesic-area';
import type { Shape } from '../ground/shapes/shape';
import { figure, notApplicable } from '../figure/figure';
import { advise } from '../rates/advise';
import type { Prescription } from '../schema-types';
import { cornRequest, library } from '../testing.test-help';
import { asApplied } from './prescription/as-applied';
import { costOverFlat } from './prescription/prescription-totals';
import { groupCells, zoneCounts } from './shapes/cell-zones';
import { cellAt, gridOf, middleOf, positionOf } from './surface/field-grid';
import { gridZones } from './shapes/grid-zones';
import { mergeSlivers, patchesOf } from './shapes/merge-slivers';
import { rateSurface } from './surface/rate-surface';
import { settableRates } from './prescription/set-rates';
import { surfaceOf } from './surface/surface';
import { thinPoints } from './surface/thin-points';
import { flatAgainstVariable } from './prescription/variable-rates';
import { fitVariogram, measuredVariogram, semivariance } from './surface/variogram';
import { zoneMeans } from './zone-means';
import { zoneRequest } from './zone-request';
import { passesInZone } from './prescription/zone-passes';
import { zoneShapes } from './shapes/zone-shapes';

const ring = (x: number, y: number, w: number, h: number) => [
	[x, y],
	[x + w, y],
	[x + w, y + h],
	[x, y + h],
	[x, y]
];
/** About 84 by 111 metres to the thousandth of a degree; with a pond. */
const field: Shape = {
	type: 'Polygon',
	coordinates: [ring(-35, 41, 0.006, 0.004), [...ring(-34.998, 41.001, 0.0006, 0.0006)].reverse()]
};
const grid = gridOf(field, 10);
/** Seeded numbers from 0 to 1. */
function chance(seed: number): () => number {
	return () => (seed = (seed * 16807) % 2147483647) / 2147483647;
}

describe('cells of a field', () => {
	it('cover its ground, without the pond', () => {
		const cells = grid.inside.reduce((sum, one) => sum + one, 0);
		expect(Math.abs((cells * 100) / (areaAcres(field) * 4046.8564224) - 1)).toBeLessThan(0.03);
		const pond = cellAt(grid, [-34.9977, 41.0013])!;
		expect(grid.inside[pond]).toBe(0);
		expect(cellAt(grid, positionOf(grid, 500))).toBe(500);
		expect(cellAt(grid, [-34, 41])).toBeUndefined();
	});
	it('too many or too few are refused', () => {
		expect(() => gridOf(field, 0.2)).toThrow(/cells of 0\.2 m would be \d+; at most 1000000/);
		expect(() => gridOf({ type: 'Polygon', coordinates: [ring(-35, 41, 0.00001, 0.00001)] }, 50)).toThrow(
			'larger than the field'
		);
	});
});

describe('zones from layers', () => {
	/** Three made-up grounds from west to east, with noise that stays within each. */
	const layerOf = (seed: number, levels: readonly number[]) => {
		const next = chance(seed);
		return Float64Array.from(grid.inside, (inside, cell) => {
			const [east] = middleOf(grid, cell);
			const third = Math.min(2, Math.max(0, Math.floor((east / (84 * 6) + 0.5) * 3)));
			return inside ? levels[third]! + (next() - 0.5) * 4 : NaN;
		});
	};
	const layers = [layerOf(3, [40, 90, 20]), layerOf(5, [1, 2, 5])];

	it('k-means finds made-up zones again, in order of the first layer', () => {
		const zones = groupCells(layers, grid, 3);
		for (let cell = 0; cell < zones.length; cell++) {
			if (!grid.inside[cell]) expect(zones[cell]).toBe(-1);
			else expect(zones[cell]).toBe(layers[0]![cell]! > 60 ? 2 : layers[0]![cell]! > 30 ? 1 : 0);
		}
	});
	it('the number of zones by the variance that is left inside them', () => {
		const { counts, suggested } = zoneCounts(layers, grid);
		expect(suggested).toBe(3);
		expect(counts[0]).toEqual({ zones: 1, withinShare: 1 });
		expect(counts[1]!.withinShare - counts[2]!.withinShare).toBeGreaterThan(0.1);
		expect(counts[2]!.withinShare).toBeLessThan(0.2);
		counts
			.slice(1)
			.forEach(({ withinShare }, at) => expect(withinShare).toBeLessThanOrEqual(counts[at]!.withinShare + 1e-9));
	});
	it('slivers join the neighbour with the longest border; no patch is left too small', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
				const next = chance(seed);
				const zones = Int16Array.from(grid.inside, (inside) => (inside ? Math.floor(next() * 3) : -1));
				const merged = mergeSlivers(zones, grid, 20);
				for (const { cells } of patchesOf(merged, grid.columns)) expect(cells.length).toBeGreaterThanOrEqual(20);
				merged.forEach((zone, cell) => expect(zone >= 0).toBe(grid.inside[cell] === 1));
			}),
			{ numRuns: 10 }
		);
	});
	it('their shapes together are the field, whatever the zones (property)', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
				const next = chance(seed);
				const rough = Int16Array.from(grid.inside, (inside) => (inside ? Math.floor(next() * 3) : -1));
				const shapes = zoneShapes(mergeSlivers(rough, grid, 12), grid, field);
				const sum = [...shapes.values()].reduce((acres, shape) => acres + areaAcres(shape), 0);
				expect(Math.abs(sum / areaAcres(field) - 1)).toBeLessThan(1e-4);
			}),
			{ numRuns: 8 }
		);
	});
	it('a grid of squares is the field too, named from the north-west; too many are refused', () => {
		const squares = gridZones(field, 100);
		expect(squares.map(({ name }) => name)).toContain('A1');
		expect(new Set(squares.map(({ name }) => name)).size).toBe(squares.length);
		const sum = squares.reduce((acres, { shape }) => acres + areaAcres(shape), 0);
		expect(Math.abs(sum / areaAcres(field) - 1)).toBeLessThan(1e-4);
		expect(() => gridZones(field, 20)).toThrow(/squares of 20 m would be \d+; at most 200/);
	});
	it('means of a layer in a zone; a quantity without a point is left out', () => {
		const points = [
			[-34.999, 41.002, 20],
			[-34.998, 41.003, 30],
			[-30, 41, 900]
		] as [number, number, number][];
		expect(
			zoneMeans(field, [
				{ name: 'P 2026', quantity: 'P', unit: 'ppm', points },
				{ name: 'far', quantity: 'K', unit: 'ppm', points: [[-30, 41, 1]] }
			])
		).toEqual({
			P: { mean: 25, points: 2, layer: 'P 2026' }
		});
	});
});

describe('surfaces', () => {
	const points = (count: number, value: (x: number, y: number, noise: number) => number) => {
		const next = chance(11);
		return Array.from({ length: count }, () => {
			const [x, y] = [-35 + next() * 0.006, 41 + next() * 0.004];
			return [x, y, value(x, y, next() - 0.5)] as const;
		});
	};
	const slope = (x: number, y: number, noise: number) => 20 + (x + 35) * 4000 + (y - 41) * 2000 + noise;

	it('kriging follows the ground and tells its error; a measured variogram rises', () => {
		const surface = surfaceOf(points(120, slope), grid, 'kriging');
		if (typeof surface === 'string') throw new Error(surface);
		expect(surface.leaveOneOutError).toBeLessThan(surface.standardDeviation / 4);
		expect(surface.cautions).toEqual([]);
		const cell = cellAt(grid, [-34.997, 41.003])!;
		const [x = 0, y = 0] = positionOf(grid, cell);
		expect(surface.values[cell]).toBeCloseTo(slope(x, y, 0), 0);
		expect(surface.values[0]).toBeNaN();
	});
	it.each([
		[4, 'inverse distance', '4 points are too few for a surface: at least 5'],
		[29, 'kriging', '29 points are too few for a variogram: at least 30. Use inverse distance'],
		[1001, 'kriging', '1001 points are more than kriging takes here']
	] as const)('of %i points by %s: an honest no', (count, method, words) => {
		expect(surfaceOf(points(count, slope), grid, method)).toContain(words);
	});
	it('points that say nothing of their neighbours are called so, and few points for a variogram too', () => {
		const noise = surfaceOf(
			points(40, (_, __, random) => random),
			grid,
			'kriging'
		);
		if (typeof noise === 'string') throw new Error(noise);
		expect(noise.cautions.join(' ')).toContain('A variogram of 40 points is a rough guess');
		const lone = surfaceOf(
			points(60, (_, __, random) => random),
			grid,
			'inverse distance'
		);
		expect(typeof lone !== 'string' && lone.cautions[0]).toContain('a surface of them is decoration');
	});
	it('the fitted variogram is the one that the bins were made from', () => {
		const truth = { model: 'spherical' as const, nugget: 2, partialSill: 9, rangeM: 140 };
		const bins = Array.from({ length: 15 }, (_, at) => ({
			distanceM: 15 + at * 15,
			semivariance: semivariance(truth, 15 + at * 15),
			pairs: 40
		}));
		const fitted = fitVariogram(bins);
		expect(fitted.model).toBe('spherical');
		expect(fitted.nugget).toBeCloseTo(2, 0);
		expect(Math.abs(fitted.rangeM / 140 - 1)).toBeLessThan(0.05);
		expect(
			measuredVariogram({
				east: Float64Array.of(0, 10, 20),
				north: Float64Array.of(0, 0, 0),
				value: Float64Array.of(1, 3, 1)
			}).map(({ pairs }) => pairs)
		).toEqual([2]);
	});
	it('dense logs are thinned to means of cells, with faults and strangers left out', () => {
		const dense = points(30_000, slope);
		const { points: kept, notes } = thinPoints([...dense, [-34.999, 41.002, 9000], [-30, 41, 1]], field);
		expect(kept.length).toBeLessThanOrEqual(20_000);
		expect(notes[0]).toMatch(/^\d+ of 30002 points lie outside the field/);
		expect(notes[1]).toMatch(/1 values more than 3 standard deviations off/);
		expect(notes[2]).toMatch(/were put together as means of \d+ cells of \d+ m/);
	});
});

describe('rates by zone and cell', () => {
	const request = cornRequest();
	const method = 'tri-state-1995/potassium';

	it('a zone stands in for the field where it is known, by the field’s own method', () => {
		const { request: own, notes } = zoneRequest(request, {
			name: 'Knob',
			areaAcres: 9,
			facts: { yieldGoal: 110, values: { K: 70, bufferPh: 6.4 } },
			means: { P: { mean: 8, points: 4, layer: 'P' } }
		});
		expect(own.crop.yieldGoal).toBe(110);
		expect(own.field.areaAcres).toBe(9);
		const results = own.sample.layers.flatMap((layer) => layer.results);
		expect(results.find(({ analyte }) => analyte === 'K')).toMatchObject({ value: 70, method: 'ammonium-acetate' });
		expect(results.find(({ analyte }) => analyte === 'P')).toMatchObject({ value: 8 });
		expect(notes.every((note) => note.includes('holds no'))).toBe(true);
		expect(request.sample).toEqual(cornRequest().sample);
	});
	it('strips of a zone by its name, or as typed for the zone', () => {
		const strips = {
			zones: [
				{ name: 'Knob', yieldWithout: 60, yieldRich: 120 },
				{ name: 'Bottom', yieldWithout: 180, yieldRich: 210 }
			]
		};
		const withStrips = { ...request, inSeason: { strips } } as typeof request;
		const ground = { name: 'knob', areaAcres: 9, facts: {}, means: {} };
		expect(zoneRequest(withStrips, ground).request.inSeason?.strips?.zones).toEqual([strips.zones[0]]);
		const typed = zoneRequest(request, {
			...ground,
			facts: { yieldWithout: 90, richIndex: 0.8 },
			means: { 'canopy index': { mean: 0.6, points: 50, layer: 'NDRE' } }
		});
		expect(typed.request.inSeason?.strips?.zones).toEqual([
			{ name: 'knob', yieldWithout: 90, index: 0.6, richIndex: 0.8 }
		]);
	});
	it.each(
		library.packs.rules
			.filter(
				({ kind, parametersFor }) =>
					!kind.byZone && !kind.test && parametersFor('corn-grain') !== undefined && 'compute' in kind
			)
			.map((rule) => rule.method)
			.filter((one) => /potassium|phosph|lime|nitrogen|sulfur/.test(one))
	)('%s over cells is the rate of each cell on its own', (one) => {
		const cells = {
			K: Float64Array.of(60, 95, 140, 210, NaN),
			P: Float64Array.of(4, 12, 22, 48, 10),
			pH: Float64Array.of(5.2, 5.8, 6.1, 6.8, 6),
			yieldGoal: Float64Array.of(100, 150, 190, 220, 150)
		};
		const surface = rateSurface(request, one, cells, library, '2026-11-23');
		if (typeof surface === 'string') throw new Error(surface);
		for (let cell = 0; cell < 4; cell++) {
			const facts = {
				yieldGoal: cells.yieldGoal[cell]!,
				values: { K: cells.K[cell]!, P: cells.P[cell]!, pH: cells.pH[cell]! }
			};
			const { request: own } = zoneRequest(request, { name: '', areaAcres: 1, facts, means: {} });
			const rate = advise(own, library, '2026-11-23').rates.find((rate) => rate.method === one);
			if (rate?.applies) expect(surface[cell]).toBeCloseTo(rate.rate!, 6);
			else expect(surface[cell]).toBeNaN();
		}
	});
	it('methods that go by strips have no surface, and say so', () => {
		expect(rateSurface(request, method.replace('potassium', 'nothing'), {}, library, '2026-11-23')).toContain(
			'is not known'
		);
		const strips = library.packs.rules.find(({ kind }) => kind.byZone)!;
		expect(rateSurface(request, strips.method, { K: Float64Array.of(1) }, library, '2026-11-23')).toContain(
			'it is rated by zone'
		);
	});
	it('passes of a plan in a zone keep their parts; what comes to nothing is left out', () => {
		const pass = (id: string, rate: number) => ({
			id,
			date: '2027-04-01',
			label: id,
			product: 'urea',
			rate,
			unit: 'lb/ac' as const,
			placement: 'broadcast' as const,
			reason: ''
		});
		const plan = [pass('first', 60), pass('second', 120), pass('lime', 5)];
		const by = (zone: number) =>
			passesInZone(plan, ({ id }) => (id === 'lime' ? undefined : { zone, field: 150 })).map(({ id, rate }) => [
				id,
				rate
			]);
		expect(by(200)).toEqual([
			['first', 80],
			['second', 160],
			['lime', 5]
		]);
		expect(by(0)).toEqual([['lime', 5]]);
	});
	it('one rate against each zone’s own: product, cost, and where it is too much', () => {
		const rate = (value: number) => figure({ label: 'K2O', value, unit: 'lb/ac', basis: 'published' });
		const zones = [
			{ zone: 'Knob', areaAcres: 10, rate: rate(90) },
			{ zone: 'Bottom', areaAcres: 30, rate: rate(20) }
		];
		const { flat, variable, costDifference, over } = flatAgainstVariable('K2O', rate(50), zones, 0.4);
		expect([flat, variable, costDifference].map((answer) => answer.applies && answer.value)).toEqual([
			2000, 1500, -200
		]);
		expect(over).toEqual([
			{ zone: 'Knob', amount: -40 },
			{ zone: 'Bottom', amount: 30 }
		]);
		const unknown = flatAgainstVariable(
			'K2O',
			rate(50),
			[zones[0]!, { ...zones[1]!, rate: notApplicable('K2O', 'no K was measured', 'Sample it.') }],
			0.4
		);
		expect(unknown.variable).toMatchObject({ applies: false, reason: 'Bottom: no K was measured' });
	});
});

describe('what a machine can set', () => {
	const limits = { least: 50, most: 200, step: 5 };
	it('within least and most, in whole steps; nothing stays nothing', () => {
		expect(settableRates([0, 12, 73, 201, 148], [1, 1, 1, 1, 1], limits)).toEqual([0, 50, 75, 200, 150]);
	});
	it('at most so many classes, with the product of the ground kept near', () => {
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.integer({ min: 50, max: 200 }), fc.integer({ min: 1, max: 40 })), {
					minLength: 4,
					maxLength: 30
				}),
				(given) => {
					const [rates, acres] = [given.map(([rate]) => rate), given.map(([, area]) => area)];
					const set = settableRates(rates, acres, { ...limits, classes: 3 });
					expect(new Set(set).size).toBeLessThanOrEqual(3);
					const sum = (list: number[]) => list.reduce((all, rate, at) => all + rate * acres[at]!, 0);
					const area = acres.reduce((all, one) => all + one, 0);
					expect(Math.abs(sum(set) - sum(rates)) / area).toBeLessThanOrEqual(limits.step + 1e-9);
				}
			)
		);
	});
});

describe('what a prescription costs beside one rate', () => {
	const shape = { type: 'Polygon' as const, coordinates: [ring(-35, 41, 0.002, 0.004)] } as Shape;
	const of = (unit: Prescription['unit'], flat?: number) => ({
		...({
			format: 1,
			name: 'x',
			outside: 0,
			madeOn: '2026-11-23',
			preparedBy: '',
			field: 'North',
			grower: 'Tarrow'
		} as const),
		...{ year: 2027, cautions: [], unit, flat, product: { id: 'uan-28', name: 'UAN-28' } },
		parts: [{ zone: 'Knob', rate: 30, areaAcres: 10, shape }]
	});
	const product = library.products.find(({ id }) => id === 'uan-28')!;

	it('is the difference in product by weight x the price of a short ton', () => {
		const cost = (unit: Prescription['unit']) => costOverFlat(of(unit, 20), product, 400);
		// by hand: 100 lb, 100 short tons, and 100 gal by their weight
		expect(cost('lb/ac')).toMatchObject({ value: 20, unit: '$' });
		expect(cost('short ton/ac')).toMatchObject({ value: 40_000 });
		expect(cost('gal/ac')).toMatchObject({
			value: expect.closeTo((100 * product.densityLbPerGal! * 400) / 2000, 9)
		});
	});

	it('does not apply without a price, an even rate or a density, and says which', () => {
		expect(costOverFlat(of('lb/ac', 20), product, undefined)).toMatchObject({ reason: 'no price for UAN-28 is known' });
		expect(costOverFlat(of('lb/ac'), product, 400)).toMatchObject({ reason: 'no even rate stands beside it' });
		expect(costOverFlat(of('gal/ac', 20), undefined, 400)).toMatchObject({
			reason: 'the density of UAN-28 is not known'
		});
	});
});

it('what a monitor logged stands beside what was wanted, part by part', () => {
	const shape = { type: 'Polygon' as const, coordinates: [ring(-35, 41, 0.002, 0.004)] } as Shape;
	const prescription = {
		format: 1 as const,
		name: 'x',
		product: { id: 'urea', name: 'Urea' },
		unit: 'lb/ac' as const,
		outside: 0,
		madeOn: '2026-11-23',
		preparedBy: '',
		field: 'North',
		grower: 'Tarrow',
		year: 2027,
		cautions: [],
		parts: [{ zone: 'Knob', rate: 100, areaAcres: areaAcres(shape), shape }]
	};
	const cells = gridOf(shape, 15);
	const logged = [...cells.inside.keys()]
		.filter((cell) => cells.inside[cell] && cell % cells.columns < cells.columns / 2)
		.map((cell, at) => {
			const [x = 0, y = 0] = positionOf(cells, cell);
			return [x, y, at % 2 === 0 ? 96 : 108] as const;
		});
	const result = asApplied(logged, prescription, '2027-06-10')!;
	expect(result.zones[0]).toMatchObject({ zone: 'Knob', wanted: 100, points: logged.length });
	expect(result.zones[0]!.applied).toBeCloseTo(102, 0);
	expect(result.zones[0]!.variation).toBeCloseTo((100 * 6) / 102, 0);
	expect(result.share).toBeGreaterThan(0.4);
	expect(result.share).toBeLessThan(0.6);
	expect(asApplied([[-30, 41, 5]], prescription, '2027-06-10')).toBeUndefined();
});
