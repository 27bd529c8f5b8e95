// Nitrogen of a legume cover crop. The worked example, a vetch of 18 in that covers all of the ground and holds 4 % N, is that of Managing
// Cover Crops Profitably (SARE 2007), from memory: 3,800 lb of dry matter, 152 lb of N, half of it where tilled, a quarter where left on top.
import { describe, expect, it } from 'vitest';
import type { LegumeCover } from '../../schema-types';
import { cornRequest, library } from '../../testing.test-help';
import { advise } from '../advise';
import { coverNitrogen } from './cover-nitrogen';

const vetch: LegumeCover = { heightIn: 18, groundCoverPercent: 100, nitrogenPercent: 4, left: 'incorporated' };
const creditOf = (change: LegumeCover) => coverNitrogen({ ...vetch, ...change }, library.coverCrops);
const poundsOf = (change: LegumeCover) => {
	const credit = creditOf(change);
	return credit.applies ? credit.value : credit.reason;
};

describe('nitrogen of a legume cover', () => {
	it('is what the published example works out', () => {
		const tilled = creditOf({});
		expect(tilled.applies && tilled.inputs[0]!.value).toBe(3800);
		expect(poundsOf({})).toBeCloseTo(76, 9);
		expect(poundsOf({ left: 'surface' })).toBeCloseTo(38, 9);
	});
	it.each<[string, LegumeCover, number]>([
		['half the ground covered', { groundCoverPercent: 50 }, 38],
		['weighed, whatever its height', { dryMatterLbAc: 2000 }, 40],
		// 3,800 x 3.5 % x 50 %, and 3 % in flower.
		['of usual content', { nitrogenPercent: undefined }, 66.5],
		['in flower', { nitrogenPercent: undefined, inFlower: true }, 57],
		['among as much rye', { legumePercent: 50 }, 38],
		['by a share of the adviser’s own', { availablePercent: 30 }, 45.6],
		['that lies unless said', { left: undefined }, 38]
	])('%s', (_, change, expected) => {
		expect(poundsOf(change)).toBeCloseTo(expected, 9);
	});
	it.each([
		[{ heightIn: undefined }, 'neither its dry matter nor its height is known'],
		[{ heightIn: 3 }, 'not judged by a height of 3 in'],
		[{ heightIn: 49 }, 'not judged by a height of 49 in']
	])('says for %j why there is none', (change, said) => {
		expect(poundsOf(change)).toContain(said);
	});
});

describe('guides', () => {
	const byYieldGoal = (legumeCover?: LegumeCover) => {
		const answer = advise({ ...cornRequest(), nitrogen: legumeCover && { legumeCover } }, library, '2026-11-20');
		const found = answer.rates.filter(({ nutrient, worksheet }) => nutrient === 'N' && worksheet.applies);
		return new Map(found.map(({ method, worksheet }) => [method, worksheet]));
	};
	it('that allow it take it off, the economic optimum does not', () => {
		const [without, taken] = [byYieldGoal(), byYieldGoal(vetch)];
		const off = [...without].flatMap(([method, before]) => {
			const after = taken.get(method);
			return before.applies && after?.applies ? [[method, before.value - after.value] as const] : [];
		});
		expect(Object.fromEntries(off)).toMatchObject({ 'tri-state-1995/nitrogen': expect.closeTo(76, 6) as number });
		expect(Object.fromEntries(off)['tri-state-2020/nitrogen'] ?? 0).toBe(0);
	});
	it('say why one whose stand nobody looked at is not credited', () => {
		expect(JSON.stringify(byYieldGoal({}).get('tri-state-1995/nitrogen'))).toContain(
			'The legume cover crop is not credited: neither its dry matter nor its height is known.'
		);
	});
});
