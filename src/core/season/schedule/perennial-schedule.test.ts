// Doses of perennials by their schedules. The splits are those of the guidance named at each check, from memory.
import { expect, it } from 'vitest';
import { figure } from '../../figure/figure';
import type { Block, BlockYear } from '../../schema-types';
import { library } from '../../testing.test-help';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { planContext } from '../plan/plan-context.test-help';
import { productOf, type PlanContext } from '../plan/plan-context';
import { checkSeason } from '../checks/check-season';
import { proposeProgramme } from '../propose/propose-programme';
import { anchoredStages } from '../stages/anchored-stages';
import { plannedShares } from './planned-shares';
import { scheduleFor } from './schedule-for';

interface Asked {
	crop: string;
	nitrogen: number;
	block?: Block;
	age?: number;
	blockYear?: BlockYear;
	holds?: number;
}

function planOf({ crop, nitrogen, block, age, blockYear = {}, holds = 160 }: Asked): PlanContext {
	const limit = figure({ label: 'holding limit', value: holds, unit: 'lb/ac', basis: 'practice' });
	const stages = library.stages.find((one) => one.crop === crop)!;
	return planContext({
		cropId: crop,
		chosen: { N: nitrogen },
		holdingLimit: limit,
		holdingRoom: limit,
		schedule: scheduleFor(library.schedules, crop, block, age, blockYear.budBreak),
		stages: anchoredStages(stages, blockYear, 2027),
		plantingDate: blockYear.budBreak ?? '2027-03-15',
		block,
		plantAge: age
	});
}

/** Day and lb N/ac of each pass. */
function doses(asked: Asked): [string, number][] {
	const plan = planOf(asked);
	return proposeProgramme(plan).passes.map((pass) => [
		pass.date.slice(5),
		Math.round(10 * passNutrient(pass, productOf(pass, plan.products), 'N')) / 10
	]);
}

const drip: Block = { plantedYear: 2023, water: 'drip', floor: 'landscape fabric' };

// University of California almond guidance: 20, 30, 30, 20 % of 237.8 lb.
it('almond: leaf-out, fruit growth, kernel fill, early after harvest', () => {
	expect(doses({ crop: 'almond', nitrogen: 237.77, block: { plantedYear: 2012, water: 'drip' } })).toEqual([
		['03-10', 47.6],
		['04-15', 71.3],
		['05-25', 71.3],
		['09-14', 47.6]
	]);
});

// Common practice: 60 lb is 25, 25, 10; 80 lb is 35, 35, 10.
it.each([
	[60, [25, 25, 10]],
	[80, [35, 35, 10]]
])('blackberry, banded: %s lb N', (nitrogen, expected) => {
	const own = doses({ crop: 'blackberry', nitrogen, block: { plantedYear: 2020 }, age: 8 });
	expect(own.map(([, pounds]) => pounds)).toEqual(expected);
	expect(own.map(([date]) => date)).toEqual(['03-15', '04-28', '08-12']);
});

// Common practice: 60 lb by drip is 15 on 1 March, 10 on the 15th, 1 April, 15 April, 5 in early May, 10 after harvest.
it('blackberry by drip: 60 lb N, and other totals in proportion', () => {
	expect(doses({ crop: 'blackberry', nitrogen: 60, block: drip, age: 5 })).toEqual([
		['03-01', 15],
		['03-15', 10],
		['04-01', 10],
		['04-15', 10],
		['05-05', 5],
		['08-12', 10]
	]);
	const eighty = doses({ crop: 'blackberry', nitrogen: 80, block: drip, age: 5 });
	expect(eighty.map(([, pounds]) => pounds)).toEqual([20, 13.3, 13.3, 13.3, 6.7, 13.3]);
});

// Common practice: nothing before planting, 12 to 15 lb in May, June and July of the planting year.
it('blackberry in its planting year: three doses from two months after bud break to July', () => {
	const young = doses({ crop: 'blackberry', nitrogen: 40, block: { ...drip, plantedYear: 2027 }, age: 1 });
	expect(young.map(([date]) => Number(date.slice(0, 2)))).toEqual([5, 6, 7]);
	for (const [, pounds] of young) expect(pounds).toBeCloseTo(13.3, 1);
});

it('young canes get phosphate, potash and lime worked in before planting, and none of it brings nitrogen', () => {
	const fabric = planOf({ crop: 'blackberry', nitrogen: 40, block: { ...drip, plantedYear: 2027 }, age: 1 });
	const plan = { ...fabric, block: { plantedYear: 2027 } };
	const chosen = { N: 40, P2O5: 50, K2O: 100, lime: 1 };
	const { passes } = proposeProgramme({ ...plan, chosen });
	const before = passes.filter(({ date }) => date < plan.plantingDate);
	expect(before.map(({ product }) => product).sort()).toEqual(['aglime', 'potassium-sulfate', 'triple-superphosphate']);
	for (const pass of before) expect(pass.placement).toBe('incorporated');
	expect(checkSeason(passes, { ...plan, chosen }).filter(({ severity }) => severity !== 'note')).toEqual([]);
	// The fabric is laid when the canes are planted.
	const stops = checkSeason(passes, { ...fabric, chosen }).filter(({ rule }) => rule === 'fabric-floor');
	expect(stops.some(({ pass }) => before.some(({ id }) => id === pass))).toBe(false);
	expect(stops.length).toBeGreaterThan(0);
});

it('moving bud break moves every dose to the next day that is set', () => {
	const usual = doses({ crop: 'almond', nitrogen: 200 });
	const late = doses({ crop: 'almond', nitrogen: 200, blockYear: { budBreak: '2027-03-20' } });
	expect(usual.map(([date]) => date)).toEqual(['03-10', '04-15', '05-25', '09-14']);
	expect(late.map(([date]) => date)).toEqual(['03-20', '04-25', '06-04', '09-24']);
	const set = doses({ crop: 'almond', nitrogen: 200, blockYear: { budBreak: '2027-03-20', firstRipe: '2027-08-20' } });
	expect(set.map(([date]) => date)).toEqual(['03-20', '04-25', '06-04', '09-09']);
	expect(late.map(([, pounds]) => pounds)).toEqual(usual.map(([, pounds]) => pounds));
});

it('a dose is held to what the soil can hold: more and smaller ones between take the rest, or it is said', () => {
	const plan = (holds: number) => planOf({ crop: 'almond', nitrogen: 200, holds });
	const held = proposeProgramme(plan(50));
	const pounds = held.passes.map((pass) => passNutrient(pass, productOf(pass, plan(50).products), 'N'));
	// A nitrification inhibitor makes a tenth of the limit more.
	expect(Math.max(...pounds)).toBeLessThanOrEqual(55 + 1e-6);
	expect(pounds.length).toBeGreaterThanOrEqual(4);
	expect(pounds.reduce((sum, one) => sum + one, 0)).toBeCloseTo(200, 6);
	expect(held.notes).toEqual([]);
	expect(proposeProgramme(plan(15)).notes[0]).toMatch(/lb N\/ac short/);
});

it('shares what is left by the weights of what is left, pounds of their own first', () => {
	expect(plannedShares(60, [{ shareN: 1 }, { shareN: 1 }, { ownN: 10 }])).toEqual([25, 25, 10]);
	expect(plannedShares(8, [{ shareN: 1 }, { ownN: 10 }])).toEqual([0, 8]);
	expect(plannedShares(30, [{ ownN: 10 }, { ownN: 5 }])).toEqual([20, 10]);
	expect(plannedShares(30, [{}, {}])).toBeUndefined();
});
