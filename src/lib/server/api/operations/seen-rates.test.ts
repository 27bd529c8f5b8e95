import { beforeEach, describe, expect, it } from 'vitest';
import { rateRow } from '../../pages/rate-row';
import { listChoices } from '../../stores/field-years';
import { World } from '../api.test-help';

const YEAR = '/api/fields/{field}/{year}';
const TRI_STATE = 'tri-state-1995/nitrogen';
const EARLY_S = 'sulfur-practice/with-nitrogen-early';
let world: World;
beforeEach(async () => {
	world = await World.make();
	await world.call(`PUT ${YEAR}/goal`, world.own, { crop: 'corn-grain', yieldGoal: 150, previousCrop: 'corn-grain' });
});

const advice = () => world.desk().fieldYear({ field: world.own.field!, year: world.own.year! }).advice!;
const chosen = (nutrient: string) => advice().chosen.find((one) => one.nutrient === nutrient);
const choose = (...choices: { nutrient: string; method: string }[]) =>
	world.call(`POST ${YEAR}/choices`, world.own, { choices });
const goal = (yieldGoal: number) =>
	world.call(`PUT ${YEAR}/goal`, world.own, { crop: 'corn-grain', yieldGoal, previousCrop: 'corn-grain' });
const asks = () =>
	advice()
		.checks()
		.filter(({ rule, text }) => rule === 'chosen-rate' && text.includes('was chosen'));

describe('a chosen rate', () => {
	it('stays the number that was seen when the goal changes, and the row asks', async () => {
		await choose({ nutrient: 'N', method: TRI_STATE });
		const seen = chosen('N')!.rate.value;
		await goal(190);
		const after = chosen('N')!;
		expect(after.rate.value).toBe(seen);
		expect(after.now!.value).toBeGreaterThan(seen + 20);
		expect(advice().context.chosen.N).toBe(seen);
		const row = rateRow(
			{ nutrient: 'N', name: 'N', unit: 'lb/ac', always: true },
			advice(),
			'us',
			world.desk().library
		);
		expect(row.moved!.now).toMatchObject({ applies: true, value: after.now!.value });
		expect(asks()).toHaveLength(1);
		await choose({ nutrient: 'N', method: TRI_STATE });
		expect(chosen('N')!.rate.value).toBe(after.now!.value);
		expect(chosen('N')!.now).toBeUndefined();
		expect(asks()).toEqual([]);
	});
	it('asks nothing for a difference that no spreader can tell', async () => {
		await choose({ nutrient: 'N', method: TRI_STATE });
		await goal(150.4);
		expect(chosen('N')!.rate.value).not.toBe(chosen('N')!.rate.inputs[0]!.value);
		expect(chosen('N')!.now).toBeUndefined();
	});
	it('of sulfur with the nitrogen does not move when passes are proposed', async () => {
		await choose({ nutrient: 'N', method: TRI_STATE }, { nutrient: 'S', method: EARLY_S });
		const seen = chosen('S')!.rate.value;
		await world.call(`POST ${YEAR}/programme`, world.own, {});
		expect(chosen('S')!.rate.value).toBe(seen);
		expect(Math.abs(chosen('S')!.now!.value - seen)).toBeGreaterThan(1);
		expect(listChoices(world.book, advice().goal.id)).toContainEqual({ nutrient: 'S', method: EARLY_S, seen });
	});
	it('of a book from before the numbers were kept follows its method', async () => {
		await choose({ nutrient: 'N', method: TRI_STATE });
		const seen = chosen('N')!.rate.value;
		world.book.exec('UPDATE choice SET seen = NULL');
		await goal(190);
		expect(chosen('N')!.rate.value).toBeGreaterThan(seen + 20);
		expect(chosen('N')!.now).toBeUndefined();
	});
	it('that its method gives no more is refused', async () => {
		const refused = await choose({ nutrient: 'N', method: 'in-season-nitrogen/strips' });
		expect(refused.status).toBe(409);
	});
	it('of a second crop stays as well', async () => {
		const second = { id: 'winter-wheat', yieldGoal: 60, plantingDate: '2027-10-01', nitrogen: { method: TRI_STATE } };
		await world.call(`PUT ${YEAR}/second-crop`, world.own, { secondCrop: second });
		const seen = advice().secondNitrogen!.rate.value;
		const stored = JSON.parse(advice().goal.second_crop!) as { nitrogen: { seenRate: number }; yieldGoal: number };
		expect(stored.nitrogen.seenRate).toBe(seen);
		const kept = { ...second, yieldGoal: 90, nitrogen: stored.nitrogen };
		await world.call(`PUT ${YEAR}/second-crop`, world.own, { secondCrop: kept });
		expect(advice().secondNitrogen).toMatchObject({
			rate: { value: seen },
			now: { value: expect.any(Number) as number }
		});
		await world.call(`PUT ${YEAR}/second-crop`, world.own, { secondCrop: { ...second, yieldGoal: 90 } });
		expect(advice().secondNitrogen!.rate.value).toBeGreaterThan(seen);
	});
});
