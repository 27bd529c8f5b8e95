import { describe, expect, it } from 'vitest';
import { library } from '../../testing.test-help';
import type { PlanContext } from '../plan/plan-context';
import { stageText } from '../stages/stage-dates';
import { stagesOfYear } from '../stages/stages-of-year';
import { planContext } from '../plan/plan-context.test-help';
import { checkSeason } from './check-season';
import { carrying } from './rule-cases.test-help';
import { byCropOfYear } from '../schedule/second-crop';

const corn = (plantingDate: string): PlanContext['second'] => ({
	crop: library.crops.find(({ id }) => id === 'corn-grain')!,
	yieldGoal: 90,
	plantingDate,
	schedule: library.schedules.find(({ crop }) => crop === 'corn-grain'),
	stages: library.stages.find(({ crop }) => crop === 'corn-grain'),
	nitrogen: undefined
});
const wheat = (change: Partial<PlanContext>) => planContext({ cropId: 'winter-wheat', yieldGoal: 85, ...change });
const july = carrying('N', 'urea', 60, { id: 'july', date: '2027-07-20' });
const spring = carrying('N', 'urea', 80, { id: 'spring', date: '2027-03-20', placement: 'top-dress' });
const rulesOf = (context: PlanContext, passes = [spring, july]) =>
	checkSeason(passes, context).map(({ rule, pass }) => `${rule} ${pass ?? ''}`.trim());

describe('the passes of a second crop', () => {
	it('go by its days, not by the harvest of the first', () => {
		expect(rulesOf(wheat({}))).toContain('after-harvest july');
		expect(rulesOf(wheat({ second: corn('2027-07-15') }))).not.toContain('after-harvest july');
		// So late that the corn is off again.
		const late = { ...july, date: '2027-12-20' };
		expect(rulesOf(wheat({ second: corn('2027-07-15') }), [late])).toContain('after-harvest july');
	});
	it('begin a week before it is planted, and still meet what is forbidden', () => {
		const noGo = [{ from: '07-08', to: '07-12', what: 'nitrogen' as const, reason: 'fair' }];
		const context = wheat({ second: corn('2027-07-15'), houseRules: { noGo } });
		const before = { ...july, date: '2027-07-08' };
		expect(byCropOfYear([spring, before], context).then).toEqual([before]);
		expect(byCropOfYear([spring, { ...before, date: '2027-07-07' }], context).then).toEqual([]);
		expect(rulesOf(context, [before])).toContain('no-go july');
		expect(rulesOf(context)).not.toContain('no-go july');
	});
	it('are told their stage once', () => {
		const wheatStages = stagesOfYear(wheat({}));
		const feekes = wheatStages.find(({ name, feekes: scale }) => name === `Feekes ${scale}`)!;
		expect(stageText(wheatStages, feekes.date)).toBe(feekes.name);
	});
	it('have its stages beside their days, from a week before it is planted', () => {
		const stageAt = (context: PlanContext, date: string) => stageText(stagesOfYear(context), date);
		const second = corn('2027-07-15');
		const [alone, both] = [wheat({}), wheat({ second })];
		expect(stageAt(both, '2027-05-20')).toBe(stageAt(alone, '2027-05-20'));
		expect(stageAt(both, '2027-07-08')).toBe('corn planting');
		const first = planContext({ plantingDate: '2027-07-15' });
		expect(stageAt(both, '2027-08-20')).toBe(stageAt(first, '2027-08-20'));
		expect(stageAt(alone, '2027-08-20')).not.toBe(stageAt(both, '2027-08-20'));
	});
	it('bring no nitrogen to the account of the first, but their potash to that of both', () => {
		const chosen = { N: 80, K2O: 60 };
		const potash = carrying('K2O', 'potash', 60, { id: 'k', date: '2027-07-12' });
		const totals = (context: PlanContext) =>
			checkSeason([spring, july, potash], context).filter(({ rule }) => rule === 'totals');
		expect(totals(wheat({ chosen, second: corn('2027-07-15') }))).toEqual([]);
		expect(totals(wheat({ chosen })).map(({ text }) => text)).toEqual([
			'N: the passes supply 140 lb, 60 lb over the chosen 80 lb.'
		]);
	});
});
