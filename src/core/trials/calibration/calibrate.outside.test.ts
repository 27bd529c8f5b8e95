// Twenty invented sites; Cate-Nelson and both plateaus by R's brute force over every split or knee (0.001 apart), Mitscherlich by nls, the
// arcsine-log line by R's own sums: ../fixtures/trials.R makes ../fixtures/trials.json anew.
import jstat from 'jstat';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { CalibrateRequest, CalibrationFit } from '../../schema-types';
import { answerCalibrate } from './answer-calibrate';
import { criticalFigure } from './critical-figure';

const R = JSON.parse(readFileSync(new URL('../fixtures/trials.json', import.meta.url), 'utf8')) as {
	sites: CalibrateRequest['observations'];
	cateNelson: [number, number];
	linearPlateau: [number, number];
	quadraticPlateau: [number, number];
	mitscherlich: [number, number, number, number, number];
	alcc: number;
};
const { fits } = answerCalibrate({ observations: R.sites });
const of = (model: CalibrationFit['model']) => fits.find((fit) => fit.model === model)!;

describe('critical values of twenty sites', () => {
	it.each([
		['cate-nelson', R.cateNelson],
		['linear-plateau', R.linearPlateau],
		['quadratic-plateau', R.quadraticPlateau]
	] as const)('%s: knee to 0.001, and no more left over than by brute force', (model, [critical, rss]) => {
		expect(Math.abs(of(model).critical! - critical)).toBeLessThan(0.001);
		expect(of(model).rss! / rss).toBeLessThan(1 + 1e-9);
		expect(of(model).rss! / rss).toBeGreaterThan(1 - 1e-6);
	});
	it('Mitscherlich as nls has it, at 95 % of the most', () => {
		const [a, b, c, rss, at95] = R.mitscherlich;
		const fit = of('mitscherlich');
		expect(fit.coefficients.a! / a).toBeCloseTo(1, 4);
		expect(fit.coefficients.b! / b).toBeCloseTo(1, 4);
		expect(fit.coefficients.c! / c).toBeCloseTo(1, 4);
		expect(fit.rss! / rss).toBeCloseTo(1, 6);
		expect(fit.critical! / at95).toBeCloseTo(1, 4);
		expect(fit.coefficients.at90!).toBeLessThan(fit.critical!);
		expect(fit.coefficients.at99!).toBeGreaterThan(fit.critical!);
	});
	it('the arcsine-log line at 95 %', () => expect(of('arcsine-log').critical! / R.alcc).toBeCloseTo(1, 9));
	it('each has an interval around it, the same for the same seed', () => {
		for (const { critical, interval } of fits) {
			expect(interval![0]!).toBeLessThanOrEqual(critical!);
			expect(interval![1]!).toBeGreaterThanOrEqual(critical!);
		}
		expect(answerCalibrate({ observations: R.sites, seed: 1 }).fits).toEqual(fits);
		const wider = answerCalibrate({ observations: R.sites, level: 0.99 }).fits[1]!.interval!;
		expect(wider[0]!).toBeLessThan(of('linear-plateau').interval![0]!);
	});
});

describe('the worksheet of a critical value', () => {
	const worksheet = (model: CalibrationFit['model']) => criticalFigure(of(model), R.sites, 'ppm')!;
	const input = (model: CalibrationFit['model'], label: string) =>
		worksheet(model).inputs.find((one) => one.label === label)!.value;
	it('has what the value is made of', () => {
		const [below, above] = ['highest test below the split', 'lowest test above it'].map((name) =>
			input('cate-nelson', name)
		);
		expect((below! + above!) / 2).toBeCloseTo(R.cateNelson[0], 9);
		const [b, c] = [input('quadratic-plateau', 'b'), input('quadratic-plateau', 'c')];
		expect(-b / (2 * c)).toBeCloseTo(worksheet('quadratic-plateau').value, 6);
		expect(Math.log(input('mitscherlich', 'b') / 0.05) / input('mitscherlich', 'c')).toBeCloseTo(
			worksheet('mitscherlich').value,
			9
		);
		expect(
			Math.exp(input('arcsine-log', 'intercept') + input('arcsine-log', 'slope') * Math.asin(Math.sqrt(0.95)))
		).toBeCloseTo(R.alcc, 6);
		expect(input('linear-plateau', 'sites')).toBe(20);
		expect([
			input('mitscherlich', 'lower end of 90 % of draws'),
			input('mitscherlich', 'upper end of 90 % of draws')
		]).toEqual(of('mitscherlich').interval);
		expect(worksheet('arcsine-log')).toMatchObject({ basis: 'memory', unit: 'ppm' });
	});
	it('is none where there is no value', () => {
		expect(criticalFigure({ ...of('mitscherlich'), critical: null }, R.sites, 'ppm')).toBeUndefined();
	});
});

describe('sites that say little', () => {
	it('without a rise every way says so, and gives no number', () => {
		const level = R.sites.map((site, at) => ({ ...site, relativeYield: 90 - at }));
		for (const { critical, interval, reason } of answerCalibrate({ observations: level, replicates: 0 }).fits) {
			expect([critical, interval, reason]).toEqual([null, null, 'no response seen']);
		}
	});
	it('gives no critical value of noise: about one in twenty sets passes, and the same sites with a response do', () => {
		// 60 sets of 30 sites of normal scatter about 92 % by a fixed seed, as an audit drew them about 97 %.
		const random = xoroshiro128plus(7);
		const share = () => (uniformInt(random, 1, 1_000_000) - 0.5) / 1_000_000;
		const set = (yieldAt: (test: number) => number) =>
			Array.from({ length: 30 }, () => {
				const soilTest = 5 + 40 * share();
				return { soilTest, relativeYield: yieldAt(soilTest) + 5 * jstat.normal.inv(share(), 0, 1) };
			});
		const passed = Array.from({ length: 60 }, () =>
			answerCalibrate({ observations: set(() => 92), replicates: 0 })
		).filter(({ fits: all }) => all.some(({ critical }) => critical !== null));
		expect(passed.length).toBeLessThanOrEqual(7);
		const real = answerCalibrate({ observations: set((test) => Math.min(97, 70 + 1.4 * test)), replicates: 0 });
		expect(real.p).toBeLessThan(0.01);
		expect(real.fits[1]!.critical).toBeGreaterThan(12);
	});
	it('nine sites of 98 to 101 % show no response', () => {
		const nine = [98, 98.5, 99, 99.5, 100, 100, 100.5, 101, 101].map((relativeYield, at) => ({
			soilTest: 10 * (at + 1),
			relativeYield
		}));
		const answer = answerCalibrate({ observations: nine });
		expect(answer.fits.every(({ critical }) => critical === null)).toBe(true);
		expect(answer.p).toBeUndefined();
		expect(answer.notes[0]).toContain('No response seen');
	});
	it('seven are too few for intervals', () => {
		const { fits: few, notes } = answerCalibrate({ observations: R.sites.slice(6, 13) });
		expect(few.every(({ interval }) => interval === null)).toBe(true);
		expect(notes[0]).toBe('7 sites are too few for intervals; it takes 8.');
	});
});
