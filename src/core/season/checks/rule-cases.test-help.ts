import { describe, expect, it } from 'vitest';
import type { Pass, PassCheck, WeatherDay } from '../../schema-types';
import { library } from '../../testing.test-help';
import type { PlanContext } from '../plan/plan-context';
import { planContext } from '../plan/plan-context.test-help';
import type { KnownWeather } from '../weather/known-weather';
import { shiftDate } from '../weather/season-weather';
import { checkSeason } from './check-season';

export const station = library.stations[0]!;

/** A pass of a product that carries so many pounds of a nutrient. */
export function carrying(
	nutrient: 'N' | 'P2O5' | 'K2O' | 'S' | 'B',
	product: string,
	pounds: number,
	change: Partial<Pass>
): Pass {
	return {
		id: 'one',
		date: '2027-04-10',
		label: 'The pass',
		product,
		rate: (100 * pounds) / library.products.find(({ id }) => id === product)!.analysis[nutrient]!,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: '',
		...change
	};
}

export const nitrogen = (product: string, pounds: number, change: Partial<Pass>) =>
	carrying('N', product, pounds, change);

export const ammonia = (date: string, change: Partial<Pass> = {}) =>
	nitrogen('ammonia', 150, { date, placement: 'injected', depthIn: 8, ...change });

/** Known days from one on by the rain of each, mm; mild unless said otherwise. */
export function rains(from: string, rainMm: readonly number[], celsius = 15): KnownWeather {
	const days = rainMm.map((rain, at): WeatherDay => {
		return { date: shiftDate(from, at), minC: celsius - 5, maxC: celsius + 5, rainMm: rain };
	});
	return { days: new Map(days.map((day) => [day.date, day])), outlookFrom: from, madeUp: false };
}

export const context = (change: Parameters<typeof planContext>[0] = {}) => planContext({ cec: 18, ...change });

/** Each rule: passes it complains of, some just beside them that it does not, and what its first remedy leaves. */
export interface RuleCase {
	rule: string;
	name: string;
	fires: Pass | readonly Pass[];
	severity: 'stop' | 'mind' | 'note';
	says: string;
	nearMiss: Pass | readonly Pass[];
	change?: Parameters<typeof planContext>[0];
	/** What the near miss has beside the change. */
	missChange?: Partial<PlanContext>;
	/** No button can clear it: local facts and the like. */
	noRemedy?: true;
}

export function describeRules(cases: readonly RuleCase[]): void {
	describe.each([...cases])(
		'$rule: $name',
		({ rule, fires, severity, says, nearMiss, change, missChange, noRemedy }) => {
			const list = (passes: Pass | readonly Pass[]) => [passes].flat() as Pass[];
			const own = (passes: readonly Pass[], more?: Partial<PlanContext>) =>
				checkSeason(passes, context({ ...change, ...more })).filter((check) => check.rule === rule);
			it('complains, with its reason', () => {
				const [check] = own(list(fires));
				expect(check).toMatchObject({ severity });
				expect(check?.text).toContain(says);
			});
			it('lets a near miss be', () => expect(own(list(nearMiss), missChange)).toEqual([]));
			it('is content with its first remedy, where it has one', () => {
				const [check] = own(list(fires));
				if (noRemedy) return void expect(check?.remedies).toEqual([]);
				const left = own(remedied(list(fires), check!));
				expect(left.filter((one) => severity === 'note' || one.severity !== 'note')).toEqual([]);
			});
		}
	);
}

/** The passes after a check's first remedy. */
function remedied(passes: readonly Pass[], { pass, remedies }: PassCheck): Pass[] {
	return [...passes.filter(({ id }) => id !== pass), ...remedies[0]!.passes];
}
