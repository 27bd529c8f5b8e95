import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { advise } from '../rates/advise';
import type { FieldIrrigation, SeasonRequest } from '../schema-types';
import { cornRequest, cornRequestWith, library } from '../testing.test-help';
import { runSeason } from './model/run-season';

const irrigation: FieldIrrigation = {
	source: 'North well',
	water: { unit: 'ppm', ec: 0.8, no3n: 10, so4: 48, na: 200, ca: 40, mg: 10 },
	inchesByMonth: { 6: 4, 7: 6, 8: 2 }
};

describe('a season with irrigation', () => {
	const request = JSON.parse(readFileSync('demo/requests/corn-season.json', 'utf8')) as SeasonRequest;
	const [dry, irrigated] = [request, { ...request, irrigation }].map((one) => runSeason(one, library));
	it('gets the nitrate of the water with each irrigation', () => {
		expect(irrigated!.balance.applied - dry!.balance.applied).toBeCloseTo(27.2, 1);
		const june = irrigated!.days.filter(({ date }, at) => {
			const before = at === 0 ? 0 : irrigated!.days[at - 1]!.applied - dry!.days[at - 1]!.applied;
			return date.slice(5, 7) === '06' && irrigated!.days[at]!.applied - dry!.days[at]!.applied > before + 1e-9;
		});
		expect(june).toHaveLength(4);
	});
	it('gets its water too, which leaves the top layer wetter and takes nitrate down', () => {
		const wet = (days: typeof dry) => days!.days.reduce((sum, { waterMm }) => sum + waterMm, 0);
		expect(wet(irrigated)).toBeGreaterThan(wet(dry));
		expect(irrigated!.balance.leached).toBeGreaterThanOrEqual(dry!.balance.leached);
	});
});

describe('advice for an irrigated field', () => {
	const asked = (change: object) => advise({ ...cornRequest(), irrigation, ...change }, library, '2026-11-29');
	const nitrogen = (answer: ReturnType<typeof asked>, method: string) =>
		answer.rates.find((rate) => rate.method === method)!.rate!;
	const found = advise(cornRequest(), library, '2026-11-29').rates.filter(
		({ nutrient, applies }) => nutrient === 'N' && applies
	);
	it('credits the nitrate of its water, unless the adviser typed another', () => {
		const moved = found.filter(({ method: one, rate }) => rate! - nitrogen(asked({}), one) > 1);
		expect(moved.length).toBeGreaterThan(0);
		const [first] = moved;
		const typed = asked({ nitrogen: { irrigationIn: 12, irrigationNitratePpm: 5 } });
		const [free, half, full] = [first!.rate!, nitrogen(typed, first!.method), nitrogen(asked({}), first!.method)];
		expect(free - half).toBeCloseTo((free - full) / 2, 0);
	});
	it('tells what the water does, and the sulfur it brings', () => {
		const codes = asked({}).findings.map(({ code }) => code);
		expect(codes).toEqual(expect.arrayContaining(['water-infiltration', 'water-sodium', 'water-sulfur']));
		expect(asked({}).findings.find(({ code }) => code === 'water-sulfur')!.text).toContain(
			'12 in of water of North well'
		);
		const little = asked({ irrigation: { ...irrigation, water: { unit: 'ppm', so4: 5, no3n: 1 } } });
		expect(little.findings.map(({ code }) => code).join()).not.toContain('water-');
	});
	it('takes the sulfur off where the guide credits it', () => {
		const deep = cornRequestWith({ 'SO4-S': { value: 1, unit: 'ppm' }, OM: { value: 2, unit: '%' } });
		deep.sample.layers[0]!.bottom = 24;
		const sulfur = (water: number) =>
			advise(
				{ ...deep, irrigation: { ...irrigation, water: { unit: 'ppm', so4: water } } },
				library,
				'2026-11-29'
			).rates.find(({ method }) => method.startsWith('sulfur-credits'))!.rate!;
		expect(sulfur(0)).toBeGreaterThan(10);
		// 12 in of 12 ppm sulfate: 2.72 x 12 x 0.334 lb S/ac.
		expect(sulfur(0) - sulfur(12)).toBeCloseTo(10.9, 0);
	});
});
