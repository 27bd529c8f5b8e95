import { expect, it } from 'vitest';
import type { Chosen } from '../../../../core/rates/choose';
import { figure } from '../../../../core/figure/figure';
import type { Pass } from '../../../../core/schema-types';
import { library } from '../../../../core/testing.test-help';
import type { BookedPass } from '../../../../core/season/propose/nitrogen-programme';
import type { FieldYearRow } from '../../stores/field-years';
import { afterLoss } from './after-loss';
import { movedAlong } from './moved-along';

const goal = { crop: 'blackberry', year: 2027, planting_date: null, block_year: null } as FieldYearRow;

function pass(id: string, date: string, change: Partial<Pass> = {}, doneOn: string | null = null): BookedPass {
	const plan: Pass = {
		id,
		date,
		label: id,
		product: 'uan-32',
		rate: 100,
		unit: 'lb/ac',
		placement: 'drip',
		reason: 'Why.'
	};
	return { plan: { ...plan, ...change }, doneOn };
}

it('passes move with the stage they hang on, also where they were moved by hand; applied ones stay', () => {
	const passes = [
		pass('bud', '2027-03-15', { fromStage: 'bud break' }),
		pass('by hand', '2027-03-20', { fromStage: 'bud break' }),
		pass('own', '2027-04-01'),
		pass('done', '2027-03-15', { fromStage: 'bud break' }, '2027-03-16'),
		pass('after', '2027-08-12', { fromStage: 'harvest ends' })
	];
	const days = (next: Parameters<typeof movedAlong>[2]) =>
		movedAlong(library, goal, next, passes, library.station).map(({ id, date }) => [id, date]);
	expect(days({ budBreak: '2027-03-25' })).toEqual([
		['bud', '2027-03-25'],
		['by hand', '2027-03-30'],
		['after', '2027-08-22']
	]);
	expect(days({ lastPicking: '2027-08-01' })).toEqual([['after', '2027-08-08']]);
	expect(days({})).toEqual([]);
});

it('a loss halves goal and later nitrogen, leaves other passes, and settles on what the passes then bring', () => {
	const passes = [
		pass('before', '2027-03-15'),
		pass('after', '2027-05-05'),
		pass('potash', '2027-06-01', { product: 'potash' }),
		pass('done', '2027-05-10', {}, '2027-05-10')
	];
	const rate = figure({ label: 'N', value: 96, unit: 'lb/ac', basis: 'adviser' });
	const chosen = [{ nutrient: 'N', rate, by: 'own', why: '' }] as unknown as Chosen[];
	const left = afterLoss({ date: '2027-04-10', lostPercent: 50 }, 10_000, passes, library.products, chosen, undefined);
	expect(left.yieldGoal).toBe(5000);
	expect(left.passes.map(({ id, rate: pounds }) => [id, pounds])).toEqual([['after', 50]]);
	// 32 % of 100, 50 and 100 lb.
	expect(left.choice?.ownRate).toBeCloseTo(80, 9);
	expect(left.choice?.reason).toBe('Lost 50 % of the crop on 10 Apr 2027; before it 96 lb/ac.');
	expect(
		afterLoss({ date: '2027-12-01', lostPercent: 50 }, 10_000, passes, library.products, chosen, undefined).choice
	).toBeUndefined();
	// 64 lb lie there or come before the loss: the guide's 70 for the half crop leaves 6 of the 32 lb to come.
	const guided = afterLoss({ date: '2027-04-10', lostPercent: 50 }, 10_000, passes, library.products, chosen, 70);
	expect(guided.passes[0]!.rate).toBeCloseTo((6 / 32) * 100, 9);
	expect(guided.choice?.ownRate).toBeCloseTo(70, 9);
});
