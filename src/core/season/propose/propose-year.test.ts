import { describe, expect, it } from 'vitest';
import { library } from '../../testing.test-help';
import { checkSeason } from '../checks/check-season';
import { carrying } from '../checks/rule-cases.test-help';
import type { PlanContext } from '../plan/plan-context';
import { planContext } from '../plan/plan-context.test-help';
import { daysBetween } from '../weather/season-weather';
import { byCropOfYear } from '../schedule/second-crop';
import { alternativesTo } from './alternatives';
import { carried } from '../plan/pass/carried';
import { proposeProgramme } from './propose-programme';
import { proposeYear } from './propose-year';

const second = (cropId: string, plantingDate: string, nitrogen: number | undefined): PlanContext['second'] => ({
	crop: library.crops.find(({ id }) => id === cropId)!,
	yieldGoal: 110,
	plantingDate,
	schedule: library.schedules.find(({ crop }) => crop === cropId),
	stages: library.stages.find(({ crop }) => crop === cropId),
	nitrogen
});
const wheat = (change: Partial<PlanContext>) =>
	planContext({ cropId: 'winter-wheat', yieldGoal: 85, chosen: { N: 80 }, ...change });

describe('a proposal for two crops of a year', () => {
	const context = wheat({ second: second('corn-grain', '2027-07-05', 90) });
	const { passes } = proposeYear(context);
	const first = proposeProgramme(wheat({})).passes;

	it('has the passes of the first as without it, and those of the second by its own days', () => {
		expect(passes.slice(0, first.length)).toEqual(first);
		const then = passes.slice(first.length);
		expect(then.map(({ id }) => id)).toEqual(['second-side-dress-v6']);
		expect(then[0]!.label).toMatch(/, corn$/);
		expect(checkSeason(passes, context).filter(({ rule }) => rule === 'totals')).toEqual([]);
	});
	it('goes by how far along the second is: in the heat of July it stands there sooner than after a planting in May', () => {
		const days = daysBetween('2027-07-05', passes.at(-1)!.date);
		// The schedule has 38 days after 1 May.
		expect(days).toBeLessThan(36);
		expect(days).toBeGreaterThan(15);
		expect(checkSeason(passes, context).filter(({ rule }) => rule === 'late-side-dress')).toEqual([]);
		// Planted on its usual day it keeps the schedule's days.
		const asUsual = proposeYear(wheat({ second: second('corn-grain', '2027-05-01', 90) })).passes;
		expect(daysBetween('2027-05-01', asUsual.find(({ id }) => id.startsWith('second'))!.date)).toBe(38);
	});
	it('takes off what was put on for the second, and what was for the first only of that', () => {
		const july = carrying('N', 'urea', 50, { id: 'july', date: '2027-07-06' });
		const pounds = (applied: PlanContext['applied']) =>
			proposeYear({ ...context, applied }).passes.map(({ id, rate }) => [id, rate] as const);
		const [none, some] = [new Map(pounds([])), new Map(pounds([july]))];
		expect(some.get('second-side-dress-v6')! / none.get('second-side-dress-v6')!).toBeCloseTo(40 / 90, 6);
		some.delete('second-side-dress-v6');
		none.delete('second-side-dress-v6');
		expect(some).toEqual(none);
	});
	it('plans nothing for a second crop without a nitrogen rate, and says why where its crop has no pass', () => {
		expect(proposeYear(wheat({ second: second('corn-grain', '2027-07-05', undefined) })).passes).toEqual(first);
		const beans = proposeYear(wheat({ second: second('soybean', '2027-07-05', 30) }));
		expect(beans.passes).toEqual(first);
		expect(beans.notes.at(-1)).toBe(
			'For the second crop: Soybean is planned without nitrogen passes; add one by hand if it needs one.'
		);
	});
	it('leaves the second’s passes where they are in every other way to put on the nitrogen of the first', () => {
		const then = passes.filter(({ id }) => id.startsWith('second-'));
		const others = alternativesTo(passes, context);
		expect(others.length).toBeGreaterThan(2);
		for (const other of others) {
			expect(other.passes).toEqual(expect.arrayContaining(then));
			expect(carried(byCropOfYear(other.passes, context).first, 'N', context)).toBeCloseTo(80, 6);
		}
	});
});
