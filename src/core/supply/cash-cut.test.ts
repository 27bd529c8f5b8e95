import { describe, expect, it } from 'vitest';
import { figure, notApplicable, type Answer } from '../figure/figure';
import { cashCut, type CutLine } from './cash-cut';

const dollars = (value: number): Answer => figure({ label: 'cost', value, unit: '$/ac', basis: 'adviser' });
const out = (value: number) => figure({ label: 'removed', value, unit: 'lb/ac', basis: 'memory' });
const line = (product: string, cost: Answer, N: number, K2O: number): CutLine => ({
	product,
	cost,
	brings: { N, P2O5: 0, K2O, S: 0, Mg: 0 }
});
const plan = [line('ammonium-sulfate', dollars(40), 65, 0), line('potash', dollars(60), 0, 120)];
const removed = { N: out(64.7), K2O: out(99.4) };

describe('a plan cut for cash flow, beside the balanced one', () => {
	it('half of the potash: what it saves, and the K2O that is not replaced', () => {
		const { saved, nutrients } = cashCut(plan, removed, 'potash', 0.5);
		expect(saved).toMatchObject({ value: 30, unit: '$/ac' });
		const [n, k] = nutrients;
		expect(n).toMatchObject({ plan: { value: 65 }, cut: { value: 65 }, unreplaced: { value: 0 } });
		expect(k).toMatchObject({ plan: { value: 120 }, cut: { value: 60 } });
		expect(k!.unreplaced.value).toBeCloseTo(39.4, 9);
	});
	it('all alike', () => {
		const { saved, nutrients } = cashCut(plan, removed, undefined, 0.25);
		expect(saved).toMatchObject({ value: 25 });
		expect(nutrients.map(({ cut }) => cut.value)).toEqual([48.75, 90]);
	});
	it('without a price says so, and still says what is unreplaced', () => {
		const unpriced = [plan[0]!, line('potash', notApplicable('cost', 'no price', 'Enter it.'), 0, 120)];
		const { saved, nutrients } = cashCut(unpriced, removed, 'potash', 1);
		expect(saved).toMatchObject({ applies: false, reason: 'no price' });
		expect(nutrients[1]!.unreplaced.value).toBeCloseTo(99.4, 9);
	});
	it('leaves out a nutrient whose removal is not known', () => {
		expect(cashCut(plan, { N: out(1) }, 'potash', 1).nutrients.map(({ nutrient }) => nutrient)).toEqual(['N']);
	});
});
