// A pass that was applied in loads: each counts by its own rate on its own ground, checked by hand.
import { describe, expect, it } from 'vitest';
import type { Application, Applied, Pass } from '../../schema-types';
import { library } from '../../testing.test-help';
import { passCost } from '../plan/pass/pass-cost';
import { passNutrient, passNutrientFigure, poundsPerAcre } from '../plan/pass/pass-nutrients';
import { endOf, shareOf, standingApplications, type RecordedPass } from './recorded-pass';
import { partText } from './part-text';
import {
	appliedOf,
	asTheGroundMeets,
	isUnderWay,
	onTheirDays,
	passOfPart,
	whatHappened,
	wholePass
} from './what-happened';

const urea = library.products.find(({ id }) => id === 'urea')!;
const plan: Pass = {
	id: 'p',
	date: '2027-04-20',
	label: 'Urea before planting',
	product: 'urea',
	rate: 200,
	unit: 'lb/ac',
	placement: 'broadcast',
	additive: 'urease inhibitor',
	reason: ''
};
const entry = (id: string, applied: Partial<Applied> | undefined, more: Partial<Application> = {}) => ({
	id,
	content: {
		recordedAt: '2027-04-21T08:00:00Z',
		fieldAcres: 80,
		...(applied
			? { applied: { appliedOn: '2027-04-20', product: 'urea', rate: 210, unit: 'lb/ac' as const, ...applied } }
			: {}),
		...more
	}
});
const recorded = (...applications: ReturnType<typeof entry>[]): RecordedPass => ({
	plan,
	doneOn: endOf(applications),
	applications
});

describe('entries on a pass', () => {
	const first = entry('a', { acres: 30 });
	const second = entry('b', { acres: 50, appliedOn: '2027-04-18' });
	it('hold unless a later one stands in their place, in the order of their days', () => {
		const right = entry('c', { acres: 35 }, { corrects: 'a', because: 'typed wrong' });
		expect(standingApplications([first, second, right]).map(({ id }) => id)).toEqual(['b', 'c']);
		expect(standingApplications([first, entry('d', undefined, { corrects: 'a', because: 'other field' })])).toEqual([]);
	});
	it('end a pass when they cover the field, or one says so', () => {
		expect(endOf([first])).toBeNull();
		expect(endOf([first, second])).toBe('2027-04-20');
		// 78.4 of 80 acres are a field: headlands are never measured to the acre.
		expect(endOf([entry('a', { acres: 78.4 })])).toBe('2027-04-20');
		expect(endOf([entry('a', { acres: 78.3 })])).toBeNull();
		expect(endOf([entry('a', { acres: 30, ended: true })])).toBe('2027-04-20');
		expect(endOf([entry('a', {}, { corrects: 'x' }), entry('b', undefined, { corrects: 'a' })])).toBeNull();
	});
	it('are about the whole field where no acres are told', () => {
		expect(shareOf(first.content)).toBe(30 / 80);
		expect(shareOf(entry('a', {}).content)).toBe(1);
		expect(shareOf({ ...first.content, fieldAcres: undefined } as unknown as Application)).toBe(1);
	});
});

describe('a season as it went', () => {
	const load = recorded(entry('a', { acres: 30 }));
	it('is its loads and the rest, which together are the mean over the field', () => {
		const [on, rest] = whatHappened([load]);
		expect(
			onTheirDays([
				{ plan, doneOn: '2027-04-22' },
				{ plan, doneOn: null }
			]).map(({ date }) => date)
		).toEqual(['2027-04-22', plan.date]);
		expect(on).toMatchObject({ doneOn: '2027-04-20', plan: { id: 'p/1', rate: 210, share: 0.375 } });
		expect(rest).toMatchObject({ doneOn: null, plan: { id: 'p', rate: 200, share: 0.625 } });
		// 210 lb on 30 acres and 200 lb on 50: 16,300 lb over 80 acres, 46 % of it nitrogen.
		const together = [on!, rest!].reduce((sum, { plan: part }) => sum + passNutrient(part, urea, 'N'), 0);
		expect(together).toBeCloseTo(((210 * 30 + 200 * 50) / 80) * 0.46, 9);
		expect(appliedOf([on!, rest!]).map(({ id }) => id)).toEqual(['p/1']);
		expect([isUnderWay(on!.plan), isUnderWay(rest!.plan), isUnderWay(plan)]).toEqual([false, true, false]);
		expect(passOfPart(on!.plan.id)).toBe('p');
	});
	it('keeps the product and unit of each load, and an inhibitor with its product alone', () => {
		const uan = entry('b', { acres: 50, product: 'uan-28', rate: 30, unit: 'gal/ac' });
		const parts = whatHappened([recorded(entry('a', { acres: 30 }), uan)]).map((part) => part.plan);
		expect(parts.map(({ product, unit, additive }) => [product, unit, additive])).toEqual([
			['urea', 'lb/ac', 'urease inhibitor'],
			['uan-28', 'gal/ac', undefined]
		]);
	});
	it('leaves nothing open once the pass ended, and passes without entries as they are', () => {
		const ended = recorded(entry('a', { acres: 30, ended: true }));
		expect(whatHappened([ended]).map((part) => part.plan.share)).toEqual([0.375]);
		const taken = recorded(entry('a', { acres: 30 }), entry('b', undefined, { corrects: 'a', because: 'wrong field' }));
		expect(whatHappened([taken])).toEqual([{ plan, doneOn: null }]);
		expect(whatHappened([{ plan, doneOn: '2027-04-22', applications: [] }])).toEqual([{ plan, doneOn: '2027-04-22' }]);
	});
	it('meets the ground at its full rate where rules ask what seed and soil bear', () => {
		const parts = whatHappened([load]).map((part) => part.plan);
		expect(asTheGroundMeets(parts)).toEqual([plan]);
		const done = whatHappened([recorded(entry('a', { acres: 30 }), entry('b', { acres: 50 }))]).map(
			(part) => part.plan
		);
		expect(asTheGroundMeets(done)).toEqual(done);
		expect(wholePass(parts[1]!)).toEqual(plan);
	});
});

describe('a pass on a part of the field', () => {
	const part = { ...plan, share: 0.25 };
	it('counts for the field as its mean, with the step on the worksheet', () => {
		expect(poundsPerAcre(part, urea)).toBe(50);
		const worksheet = passNutrientFigure(part, urea, 'N');
		expect(worksheet.value).toBeCloseTo(23, 9);
		expect(worksheet.inputs[0]).toMatchObject({ value: 50, formula: 'rate x part of the field' });
	});
	it('costs its part of product and inhibitor', () => {
		// 200 lb at $600 a ton are $60, the inhibitor $8: a quarter of $68.
		const prices: Record<string, number> = { 'product:urea': 600, 'additive:urease inhibitor': 8 };
		expect(passCost(part, urea, (item) => prices[item])).toMatchObject({ value: 17 });
		const lime = library.products.find(({ id }) => id === 'aglime')!;
		const tons: Pass = { ...part, product: 'aglime', rate: 2, unit: 'short ton/ac', additive: undefined };
		expect(passCost(tons, lime, () => 30)).toMatchObject({ value: 15 });
	});
	it('is told in acres, or in percent where the area is not known', () => {
		expect(partText(part, 80, 'us')).toBe('on 20 ac');
		expect(partText(part, 80, 'metric')).toBe('on 8.1 ha');
		expect(partText(part, undefined, 'us')).toBe('on 25 % of the field');
		expect(partText(plan, 80, 'us')).toBeUndefined();
	});
});
