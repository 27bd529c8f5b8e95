import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { CropId, SeasonRequest } from '../../../schema-types';
import { library } from '../../../testing.test-help';
import { answerSeason } from '../../answer-season';
import { forSowing } from '../../schedule/for-sowing';
import { cropGrowth } from './crop-growth';

const shipped = () => JSON.parse(readFileSync('demo/requests/almond-season.json', 'utf8')) as SeasonRequest;
const almond = (change: Partial<SeasonRequest['crop']> = {}): SeasonRequest => {
	const request = shipped();
	return { ...request, crop: { ...request.crop, ...change } };
};
const still = () => ({ minC: 10, maxC: 20 });
const takenBy = (request: SeasonRequest, date: string) => cropGrowth(request, library).uptake(still)(date);
const usual = (change: Partial<SeasonRequest['crop']> = {}) => almond({ blockYear: undefined, ...change });

describe('the demand of a block over its season', () => {
	// The shares 20, 30, 30, 20 % of almond: University of California guidance, as the trade gives it.
	it('has the shares of its schedule by the days of its stages', () => {
		const { harvest, established, uptake } = cropGrowth(almond(), library);
		expect(established).toBe(true);
		expect(uptake(still)('2027-03-16')).toBe(0);
		expect(uptake(still)('2027-04-21')).toBeCloseTo(47.6, 1);
		expect(uptake(still)('2027-05-31')).toBeCloseTo(118.9, 1);
		expect(uptake(still)(harvest)).toBeCloseTo(237.8, 6);
	});

	it('moves with bud break', () => {
		expect(cropGrowth(usual(), library).planting).toBe('2027-03-10');
		expect(takenBy(usual(), '2027-04-15')).toBeCloseTo(takenBy(almond(), '2027-04-21'), 6);
	});

	it('takes up after bud break what was given before it', () => {
		const canes = usual({
			id: 'blackberry',
			nitrogenLbAc: 60,
			block: { plantedYear: 2021, water: 'drip' }
		});
		// By drip 15 and 10 lb up to bud break on 15 March, 10 each on 1 and 15 April: common practice.
		expect(takenBy(canes, '2027-03-15')).toBe(0);
		expect(takenBy(canes, '2027-04-01')).toBeCloseTo(25, 6);
		expect(takenBy(canes, '2027-04-15')).toBeCloseTo(35, 6);
	});

	it('is of the schedule for its age', () => {
		const young = usual({ id: 'blackberry', nitrogenLbAc: 30, block: { plantedYear: 2027 } });
		expect(takenBy(young, '2027-05-10')).toBe(0);
		expect(takenBy({ ...young, crop: { ...young.crop, block: { plantedYear: 2022 } } }, '2027-05-10')).toBeGreaterThan(
			9
		);
	});
});

describe('crops of the field', () => {
	const season = (id: CropId, yieldGoal: number, passes: SeasonRequest['passes'] = []) =>
		answerSeason(
			{
				station: { id: library.stations[0]!.id, kind: 'normal' },
				soil: {},
				crop: { id, yieldGoal, year: 2027 },
				passes
			},
			library
		);
	it.each([
		['barley', 80, '07-05', '07-31'],
		['oats', 90, '07-05', '08-05'],
		['sorghum', 100, '08-20', '10-10'],
		['flax', 25, '07-15', '08-25']
	] as const)('%s takes up what it wants, most of it before it heads, and ripens in season', (id, goal, from, to) => {
		const { balance, stages, days } = season(id, goal);
		expect(balance.wanted).toBeCloseTo(
			library.schedules.find(({ crop }) => crop === id)!.uptake!.lbPerYield * goal,
			-1
		);
		expect(balance.takenUp).toBeGreaterThan(20);
		const ripe = stages.at(-1)!;
		expect(ripe).toMatchObject({ name: 'ripe' });
		expect(ripe.date > `2027-${from}` && ripe.date < `2027-${to}`).toBe(true);
		const half = days.find(({ wanted }) => wanted > balance.wanted / 2)!.date;
		expect(half < stages.at(-2)!.date).toBe(true);
	});
	it.each([
		['soybean', 55],
		['alfalfa', 6]
	] as const)('%s fixes its own: its season has rules, stages and the ground, and no want', (id, goal) => {
		const urea = {
			id: 'u',
			date: '2027-05-10',
			label: 'Urea',
			product: 'urea',
			rate: 50,
			unit: 'lb/ac' as const,
			placement: 'seed row' as const,
			reason: ''
		};
		const { balance, checks, stages, assumed } = season(id, goal, [urea]);
		expect(balance).toMatchObject({ wanted: 0, takenUp: 0, shortDays: 0, yieldShare: 1 });
		expect(balance.applied).toBeCloseTo(23, 6);
		expect(stages.length).toBeGreaterThan(3);
		expect(checks.map(({ rule }) => rule)).toContain('seed-row');
		expect(assumed).toContain('left out, because the crop fixes its own: the nitrogen that it takes up');
	});
});

describe('canola', () => {
	const canola = (plantingDate: string): SeasonRequest => ({
		soil: {},
		crop: { id: 'canola', yieldGoal: 2500, plantingDate },
		passes: []
	});
	// Winter canola of the southern corn belt flowers from late April and is cut about the first days of July: common practice.
	it('sown in autumn lives over winter, and grows in spring', () => {
		const winter = canola('2026-09-10');
		expect(cropGrowth(winter, library).harvest).toBe('2027-07-07');
		const { stages } = answerSeason({ ...winter, station: { id: library.stations[0]!.id, kind: 'normal' } }, library);
		const bolting = stages.find(({ name }) => name === 'bolting')!.date;
		expect(bolting > '2027-03-20' && bolting < '2027-04-15').toBe(true);
		expect(stages.at(-1)!.date > '2027-06-10').toBe(true);
	});
	it('sown in spring grows from its planting', () => {
		expect(cropGrowth(canola('2027-04-25'), library).harvest).toBe('2027-08-18');
		expect(forSowing(library.stages, 'canola', '2027-04-25')).not.toHaveProperty('sown');
		expect(forSowing(library.stages, 'canola', undefined)).not.toHaveProperty('sown');
	});
});

describe('the season of a block on the command line', () => {
	it('is held to the rules of its floor, its age and its stages', () => {
		const fabric = almond({ id: 'blackberry', block: { plantedYear: 2021, floor: 'landscape fabric', water: 'drip' } });
		const spread = { ...fabric, passes: [{ ...fabric.passes[0]!, placement: 'broadcast' as const }] };
		expect(answerSeason(spread, library).checks.map(({ rule }) => rule)).toContain('fabric-floor');
		expect(answerSeason(fabric, library).checks.map(({ rule }) => rule)).not.toContain('fabric-floor');
	});

	it('says what the passes lack of its nitrogen, in the units that are asked for', () => {
		const three = { ...shipped(), units: 'metric' as const, passes: shipped().passes.slice(0, 3) };
		const totals = answerSeason(three, library).checks.find(({ rule }) => rule === 'totals');
		expect(totals?.text).toBe('N: the passes supply 213.2 kg, 53.3 kg short of the chosen 266.5 kg.');
	});

	it('roots stand before the season, so that nothing waits for them', () => {
		const { balance } = answerSeason(shipped(), library);
		expect(balance.shortDays).toBe(0);
		expect(balance.takenUp).toBeCloseTo(balance.wanted, 6);
	});
});
