import { describe, expect, it } from 'vitest';
import type { CropId, Pass, SeasonRequest } from '../../schema-types';
import { library } from '../../testing.test-help';
import { alternativesTo } from './alternatives';
import { checkSeason } from '../checks/check-season';
import { compareProgrammes, nitrogenPasses } from './compare-programmes';
import { planContext } from '../plan/plan-context.test-help';
import { proposeProgramme } from './propose-programme';
import { usualPlantingDate } from '../schedule/usual-planting';
import { tripCount, tripOf } from '../plan/trips';
import { shiftDate } from '../weather/season-weather';

const CROPS: readonly [CropId, number, number][] = [
	['corn-grain', 180, 160],
	['corn-silage', 22, 160],
	['soybean', 55, 0],
	['winter-wheat', 80, 100],
	['spring-wheat', 60, 110],
	['canola', 2200, 110],
	['sunflower', 2200, 90],
	['alfalfa', 5, 0]
];

it.each(CROPS)('what the program proposes for %s passes every rule', (cropId, yieldGoal, N) => {
	const context = planContext({
		cropId,
		yieldGoal,
		chosen: { ...(N > 0 ? { N } : {}), P2O5: 40, K2O: 60, S: 15, lime: 2 },
		plantingDate: usualPlantingDate(
			library.schedules.find(({ crop }) => crop === cropId)!,
			2027
		)
	});
	const { passes } = proposeProgramme(context);
	expect(passes.length).toBeGreaterThan(2);
	for (const { reason } of passes) expect(reason).not.toBe('');
	expect(checkSeason(passes, context).filter(({ severity }) => severity !== 'note')).toEqual([]);
});

describe('programmes side by side', () => {
	const urea: Pass = {
		id: 'urea',
		date: '2027-05-20',
		label: 'Urea',
		product: 'urea',
		rate: 326,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: ''
	};
	const request: SeasonRequest = {
		station: { id: library.stations[0]!.id, kind: 'wet' },
		soil: { textureClass: 'sandy loam', drainage: 'well', organicMatterPercent: 2 },
		crop: { id: 'corn-grain', yieldGoal: 180, plantingDate: '2027-05-01' },
		passes: [urea]
	};
	const context = planContext({ sandy: true, cec: 7 });
	const compared = compareProgrammes(alternativesTo([urea], context), context, request, library, (item) =>
		item === 'product:urea' ? 500 : item === 'product:uan-28' ? 330 : undefined
	);
	const by = (name: string) => compared.find((one) => one.name === name)!;
	it('put on the same nitrogen, in more trips, each with its cost and what the rules say', () => {
		for (const { balance } of compared) expect(balance.applied).toBeCloseTo(150, 0);
		expect(compared.map(({ trips }) => trips)).toEqual([1, 1, 2, 4]);
		// 326 lb of urea at $500 a ton
		expect(by('This plan').cost).toMatchObject({ applies: true, value: 81.5 });
		expect(by('All before planting').minds).toBeGreaterThan(0);
		expect(by('Spoon-fed').minds).toBeLessThan(by('All before planting').minds + by('All before planting').stops);
	});
	it('split between the first trip that the crop has and its main one', () => {
		const split = (cropId: CropId) => {
			const of = planContext({ cropId });
			const [main] = of.schedule!.nitrogen;
			const plan = alternativesTo([{ ...urea, date: shiftDate(of.plantingDate, 20) }], of);
			const passes = plan.find(({ name }) => name === 'Split')!.passes;
			return { ids: passes.map(({ id }) => id), main: main!.id };
		};
		const corn = split('corn-grain');
		expect(corn.ids).toContain(corn.main);
		expect(new Set(corn.ids).size).toBe(2);
		// Where the main trip is the first one, a third goes on before it.
		const first = split('sunflower');
		expect(first.ids[1]).toBe(first.main);
		expect(first.ids[0]).not.toBe(first.main);
	});
	it('lose less when they wait for the crop, in a wet year on sandy ground', () => {
		const lost = (name: string) => {
			const { leached, denitrified, volatilised } = by(name).balance;
			return leached + denitrified + volatilised;
		};
		expect(lost('Split')).toBeLessThan(lost('All before planting'));
	});
});

it('passes of one trip count once and go together', () => {
	const passes = [{ id: 'a', trip: 'one' }, { id: 'b', trip: 'one' }, { id: 'c' }];
	expect(tripCount(passes)).toBe(2);
	expect(tripOf(passes[1]!, passes).map(({ id }) => id)).toEqual(['a', 'b']);
	expect(tripOf(passes[2]!, passes).map(({ id }) => id)).toEqual(['c']);
});

it('a pass that brings any nitrogen is one of the nitrogen passes, whatever it was bought for', () => {
	const pass = (product: string, rate: number): Pass => ({
		id: product,
		date: '2027-05-01',
		label: product,
		product,
		rate,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: ''
	});
	// 5 lb of MAP hold 0.55 lb N.
	const passes = [pass('map', 5), pass('potash', 100), pass('urea', 100)];
	expect(nitrogenPasses(passes, library.products).map(({ id }) => id)).toEqual(['map', 'urea']);
});
