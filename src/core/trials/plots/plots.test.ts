import { describe, expect, it } from 'vitest';
import { insideTest } from '../../ground/shapes/inside';
import { boundsOf } from '../../ground/shapes/shape';
import type { PlacedPoint } from '../../schema-types';
import { layOut } from '../design/lay-out';
import { rateOf } from '../design/treatments';
import { QUARTER, RATES } from '../trial.test-help';
import { plotFrame } from './plot-frame';
import { recordsAsCsv, recordsFromCsv } from './records-csv';
import { atStandardMoisture } from './standard-moisture';
import { yieldOfPlots } from './yield-of-plots';

const plots = layOut(RATES, QUARTER);

it('a plot of 60 by 600 ft has its corners where its frame says, whatever its heading', () => {
	for (const plot of layOut({ ...RATES, headingDegrees: 33 }, QUARTER)) {
		const { widthFt, lengthFt, at } = plotFrame(plot);
		expect([widthFt, lengthFt]).toEqual([expect.closeTo(60, 1), expect.closeTo(600, 0)]);
		const [, across, far, along] = (plot.shape as unknown as { coordinates: [number, number][][] }).coordinates[0]!;
		expect(at(across!).across).toBeCloseTo(widthFt, 1);
		expect(at(along!).along).toBeCloseTo(lengthFt, 1);
		expect(at(far!).across).toBeCloseTo(widthFt, 0);
	}
});

describe('a layer driven by the combine: two passes of 30 ft in each plot of 60', () => {
	/** Along each pass a point every 6 ft, a foot or two off the line; what is at fault is put in by hand. */
	const driven = (fault: (at: { plot: number; pass: number; point: number }) => number | undefined = () => undefined) =>
		plots.flatMap((plot) => {
			const [west, south, east, north] = boundsOf([plot.shape])!;
			return [0.25, 0.75].flatMap((middle, pass) =>
				Array.from({ length: 100 }, (_, point): PlacedPoint => {
					const across = middle + (1.5 / 60) * Math.sin(2.1 * point + pass);
					const value = fault({ plot: plot.plot, pass, point }) ?? 170 + (plot.plot % 7) + 4 * Math.sin(7.7 * point);
					return [west + across * (east - west), south + ((point + 0.5) / 100) * (north - south), value];
				})
			);
		});
	const trueOf = (plot: number) => 170 + (plot % 7);
	it('counts whole passes, not the points that wander over a line', () => {
		const { records, leftOut } = yieldOfPlots(RATES, plots, driven(), {}, []);
		expect(leftOut).toEqual([]);
		for (const { plot, values, points } of records) {
			expect(values!.yield).toBeCloseTo(trueOf(plot), 0);
			expect(points).toBe(160);
		}
	});
	it('leaves out zeros and spikes by the median of each plot, and names them', () => {
		const faulty = driven(({ plot, pass, point }) => {
			if (plot !== 102 || pass !== 0) return undefined;
			return point % 10 === 5 ? 0 : point % 10 === 6 ? 700 : undefined;
		});
		const { records, leftOut } = yieldOfPlots(RATES, plots, faulty, {}, []);
		expect(records[1]!.values!.yield).toBeCloseTo(trueOf(102), 0);
		expect(leftOut).toEqual([{ plot: 102, zeros: 8, far: 8, shortPasses: 0 }]);
	});
	it('takes no short pass, and none whose middle lies at the edge', () => {
		const layer = driven(({ plot, pass }) => (plot === 101 && pass === 1 ? 999 : undefined));
		const short = layer.filter(([, , value], at) => value !== 999 || at % 100 < 40);
		const cut = yieldOfPlots(RATES, plots, short, {}, []);
		expect(cut.leftOut).toEqual([{ plot: 101, zeros: 0, far: 0, shortPasses: 1 }]);
		expect(cut.records[0]!.values!.yield).toBeCloseTo(trueOf(101), 0);
		const [west, south, east, north] = boundsOf([plots[0]!.shape])!;
		const astride = Array.from({ length: 100 }, (_, point): PlacedPoint => [
			west + 0.01 * (east - west),
			south + ((point + 0.5) / 100) * (north - south),
			90
		]);
		expect(yieldOfPlots(RATES, plots, [...driven(), ...astride], {}, []).records[0]!.values!.yield).toBeCloseTo(
			trueOf(101),
			0
		);
	});
	it('of a plot that the header just fills counts its one pass', () => {
		const one = plots.flatMap((plot) => {
			const [west, south, east, north] = boundsOf([plot.shape])!;
			return Array.from({ length: 100 }, (_, point): PlacedPoint => [
				(west + east) / 2,
				south + ((point + 0.5) / 100) * (north - south),
				150
			]);
		});
		expect(yieldOfPlots({ headerFt: 60 }, plots, one, {}, []).missing).toEqual([]);
	});
	it('writes nothing of plots that it says nothing of', () => {
		expect(yieldOfPlots(RATES, plots, [], {}, []).records).toEqual([]);
	});
});

describe('a yield layer cut by the plots', () => {
	const truth = (rate: number) => 120 + 90 * (1 - Math.exp(-rate / 70));
	/** Points every 2 m over the trial; the edges of plots have what the neighbours give. */
	const layer = () => {
		const points: PlacedPoint[] = [];
		plots.forEach((plot, at) => {
			const [west, south, east, north] = boundsOf([plot.shape])!;
			const beside = plots[at + 1]?.block === plot.block ? plots[at + 1]! : plots[at - 1]!;
			for (let x = 0; x < 9; x++) {
				for (let y = 0; y < 90; y++) {
					const edge = x === 0 || x === 8 || y < 7 || y > 82;
					const noise = 6 * Math.sin(12.9898 * (x + 1) * (y + 3) + at);
					const value = truth(rateOf(RATES, edge ? beside : plot)!) + noise;
					points.push([west + ((x + 0.5) / 9) * (east - west), south + ((y + 0.5) / 90) * (north - south), value]);
				}
			}
		});
		return points;
	};
	it('gives each rate its true yield within 2 %, edges left out', () => {
		const { records, missing } = yieldOfPlots(RATES, plots, layer(), {}, []);
		expect(missing).toEqual([]);
		for (const plot of plots) {
			const own = records.find((one) => one.plot === plot.plot)!;
			expect(Math.abs(own.values!.yield! / truth(rateOf(RATES, plot)!) - 1)).toBeLessThan(0.02);
			expect(own.points).toBeGreaterThan(200);
		}
		const whole = yieldOfPlots(RATES, plots, layer(), { sideFt: 0, endFt: 0 }, []);
		expect(whole.records[0]!.points).toBeGreaterThan(700);
	});
	it('a plot without three points is missing, and what else was recorded stays', () => {
		const known = [
			{ plot: 101, values: { yield: 5, stand: 31000 }, note: 'hail', setAside: 'hail', moisturePercent: 20 }
		];
		const { records, missing } = yieldOfPlots(RATES, plots, layer().slice(0, 2), { moisturePercent: 17 }, known);
		expect(missing).toHaveLength(24);
		expect(records[0]).toEqual({ plot: 101, values: { stand: 31000 }, note: 'hail', setAside: 'hail' });
		const full = yieldOfPlots(RATES, plots, layer(), { moisturePercent: 17 }, known).records[0]!;
		expect(full).toMatchObject({ note: 'hail', moisturePercent: 17, values: { stand: 31000 } });
	});
	it('moisture of each plot where it is a layer too; a plot without has no yield', () => {
		const [first] = plots;
		const wet = layer().map(([x, y]): PlacedPoint => [x, y, insideTest(first!.shape)([x, y]) ? 21.456 : 17]);
		const { records } = yieldOfPlots(RATES, plots, layer(), { moisture: wet }, []);
		expect(records.map(({ moisturePercent }) => moisturePercent)).toEqual([21.46, ...plots.slice(1).map(() => 17)]);
		const dry = wet.filter(([, , value]) => value === 17);
		const short = yieldOfPlots(RATES, plots, layer(), { moisture: dry }, []);
		expect(short.missing).toEqual([101]);
		expect(short.records[0]!.plot).toBe(102);
	});
});

it('grain at 20 % moisture, sold at 15.5: 200 bu are 189.3; what is not known changes nothing', () => {
	expect(atStandardMoisture(200, 20, 15.5)).toBeCloseTo(189.349, 3);
	expect(atStandardMoisture(200, undefined, 15.5)).toBe(200);
	expect(atStandardMoisture(200, 20, undefined)).toBe(200);
});

describe('the data sheet as CSV', () => {
	const records = [
		{ plot: 101, values: { yield: 181.5, protein: 8.1 }, moisturePercent: 17, note: 'edge, wet' },
		{ plot: 102, values: { yield: 0 }, setAside: 'deer' }
	];
	it('comes back as it went out, a row to a plot', () => {
		const text = recordsAsCsv(plots, records);
		expect(text.trimEnd().split('\r\n')).toHaveLength(25);
		const back = recordsFromCsv(`\uFEFF${text}`, plots, []);
		expect(back.slice(0, 2)).toEqual(records);
		expect(back[2]).toEqual({ plot: 103 });
	});
	it('a column that the file lacks stays, an empty cell is missing', () => {
		expect(recordsFromCsv('Plot,Yield\n101,\n102,90\n', plots, records)).toEqual([
			{ plot: 101, values: { protein: 8.1 }, moisturePercent: 17, note: 'edge, wet' },
			{ plot: 102, values: { yield: 90 }, setAside: 'deer' }
		]);
	});
	it.each([
		['block,yield\n1,2', 'row 1 must have a column "plot"; got block, yield'],
		['plot,corn\n101,2', 'row 1 must have a column of something measured: yield'],
		['plot,yield\n999,2', 'row 2, plot "999" is no plot of this trial'],
		['plot,yield\n101,2\n101,3', 'row 3, plot plot 101 stands twice'],
		['plot,yield\n101,many', 'row 2, yield must be a number from 0 to 100000; got "many"'],
		['plot,yield\n101,-3', 'got "-3"'],
		['plot,yield,set aside because\n101,3,x', 'row 2, set aside because must say why']
	])('%j is refused', (text, said) => {
		expect(() => recordsFromCsv(text, plots, [])).toThrow(said);
	});
});
