import type { Choice, Chosen } from '../../../../core/rates/choose';
import { passNutrient } from '../../../../core/season/plan/pass/pass-nutrients';
import type { LossAction, Pass, Product } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { formatNumber } from '../../../../core/units/display';
import type { BookedPass } from '../../../../core/season/propose/nitrogen-programme';

/**
 * What frost or hail leaves: the expected crop and every planned pass of nitrogen after it, each less the share that was lost; and
 * the nitrogen settled on, as what the passes then bring.
 */
export function afterLoss(
	{ date, lostPercent }: LossAction,
	yieldGoal: number,
	passes: readonly BookedPass[],
	products: readonly Product[],
	chosen: readonly Chosen[]
): { label: string; yieldGoal: number; passes: Pass[]; choice?: Choice } {
	const left = 1 - lostPercent / 100;
	const nitrogenOf = (pass: Pass) => {
		const product = products.find(({ id }) => id === pass.product);
		return product ? passNutrient(pass, product, 'N') : 0;
	};
	const cut = passes
		.filter(({ plan, doneOn }) => doneOn === null && plan.date > date && nitrogenOf(plan) > 0)
		.map(({ plan }) => ({ ...plan, rate: plan.rate * left, reason: `${plan.reason} Less after the loss.`.trim() }));
	const share = `${formatNumber(lostPercent, '%')} % of the crop`;
	const before = chosen.find(({ nutrient }) => nutrient === 'N')?.rate;
	const now = (plan: Pass) => cut.find(({ id }) => id === plan.id) ?? plan;
	const supplied = passes.reduce((sum, { plan }) => sum + nitrogenOf(now(plan)), 0);
	return {
		label: `Lost ${share} on ${longDate(date)}`,
		yieldGoal: yieldGoal * left,
		passes: cut,
		...(before && cut.length > 0
			? {
					choice: {
						nutrient: 'N' as const,
						ownRate: supplied,
						reason: `Lost ${share} on ${longDate(date)}; before it ${formatNumber(before.value, 'lb/ac')} lb/ac.`
					}
				}
			: {})
	};
}
