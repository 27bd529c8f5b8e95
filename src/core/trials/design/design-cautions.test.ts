import type { Polygon } from 'geojson';
import { expect, it } from 'vitest';
import type { InputError } from '../../check/problem';
import { fieldOf, QUARTER, RATES } from '../trial.test-help';
import { designCautions } from './design-cautions';
import { layOut } from './lay-out';

const plots = layOut(RATES, QUARTER);
const NOTHING = { units: 'us' as const, zones: [], earlier: [] };
const said = (change: Partial<typeof RATES>, ground: Partial<Parameters<typeof designCautions>[2]> = {}) =>
	designCautions({ ...RATES, ...change }, plots, { ...NOTHING, ...ground });

it('a design that holds has nothing said of it', () => {
	expect(said({})).toEqual([]);
});
it('widths that are no whole passes', () => {
	expect(said({ passFt: 40 })[0]).toMatch(/^60 ft is no whole number of the spreader’s 40 ft passes/);
	expect(said({ headerFt: 25 })[0]).toMatch(/harvest whole passes from the middle/);
});
it('in metres for those who measure in metres, also where a plan is stopped', () => {
	expect(said({ passFt: 40 }, { units: 'metric' })[0]).toMatch(
		/^18\.3 m is no whole number of the spreader’s 12\.2 m p/
	);
	const stopped = () => {
		try {
			layOut({ ...RATES, headerFt: 90 }, QUARTER, 'metric');
		} catch (error) {
			return (error as InputError).problems[0]!.message;
		}
		return '';
	};
	expect(stopped()).toMatch(/^must be at least the header’s 27\.4 m; at 18\.3 m a pass/);
});
it('what is left for the combine: one pass that fills a plot, and a plot of little more than its ends', () => {
	expect(said({ headerFt: 60 })[0]).toContain('Plots of 120 ft give two');
	expect(said({ headerFt: 30 })).toEqual([]);
	const short = { ...RATES, lengthFt: 300 };
	expect(designCautions(short, layOut(short, QUARTER), NOTHING)[0]).toMatch(/^180 ft of a plot/);
	const enough = { ...RATES, lengthFt: 330 };
	expect(designCautions(enough, layOut(enough, QUARTER), NOTHING)).toEqual([]);
});
it('no zero rate, no plenty rate, one beyond all that is advised', () => {
	const factor = { ...RATES.factors[0]!, levels: ['60', '120', '180'] };
	expect(said({ factors: [factor] })).toEqual([expect.stringMatching(/^No plot goes without N rate/)]);
	expect(said({}, { advised: { least: 120, most: 190 } })).toEqual([
		expect.stringMatching(/^240 lb N\/ac is above all that is advised here \(up to 190 lb N\/ac\)/)
	]);
	expect(said({}, { advised: { least: 120, most: 240 } })[0]).toMatch(/the plateau may not be reached/);
});
it('rates in kg are held against pounds that are advised as the kilograms that they are', () => {
	const factor = { name: 'N rate', unit: 'kg N/ha', levels: ['0', '100', '200'] };
	const advised = (most: number) => said({ factors: [factor] }, { advised: { least: 100, most } })[0];
	// 170 lb/ac are 190.5 kg/ha; 180 are 201.8.
	expect(advised(170)).toMatch(/^200 kg N\/ha is above all that is advised here \(up to 190\.5 kg N\/ha\)/);
	expect(advised(180)).toMatch(/the plateau may not be reached/);
});
it('blocks across zones, and plots on those of an earlier trial', () => {
	const [border] = (plots[3]!.shape as Polygon).coordinates[0]![0]!;
	const between = (west: number, east: number): Polygon => ({
		type: 'Polygon',
		coordinates: [
			[
				[west, 40.99],
				[east, 40.99],
				[east, 41.01],
				[west, 41.01],
				[west, 40.99]
			]
		]
	});
	const zones = [
		{ name: 'West', shape: between(-35.01, border!) },
		{ name: 'East', shape: between(border!, -34.97) }
	];
	expect(said({}, { zones })).toContainEqual(expect.stringMatching(/^Blocks 1, 2 lie across West and East: plots/));
	expect(
		said(
			{},
			{
				zones: [
					{ name: 'All', shape: QUARTER },
					{ name: 'Far', shape: fieldOf([3000, 0], [3100, 0], [3100, 90]) }
				]
			}
		)
	).toEqual([]);
	const old = [{ name: 'Lime strips', year: 2024, plots: plots.slice(0, 2) }];
	expect(said({}, { earlier: old })).toEqual([
		expect.stringMatching(/^2 of 24 plots lie on those of “Lime strips” \(2024\)/)
	]);
});
it('what it can see, and how many blocks a smaller difference takes', () => {
	expect(said({ cvPercent: 4, blocks: 4 }, { yieldGoal: 200 })).toEqual([
		expect.stringMatching(/must really differ by 19 to be told apart in 8 of 10 trials\.$/)
	]);
	expect(said({ cvPercent: 4, worthKnowing: 8 }, { yieldGoal: 200 })[0]).toMatch(
		/A difference of 8 would take 17 blocks/
	);
	expect(said({ blocks: 1 })).toEqual([expect.stringMatching(/cannot prove/)]);
});
