import type { Choice, Chosen } from '../../../../core/rates/choose';
import { passNutrient } from '../../../../core/season/plan/pass/pass-nutrients';
import type { LossAction, Pass, Product } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { formatNumber } from '../../../../core/units/display';
import type { BookedPass } from '../../../../core/season/propose/nitrogen-programme';

/**
 * What frost or hail leaves: the expected crop and every planned pass of nitrogen after it, each less the share that was lost, or less
 * still where the guide wants less for the crop that is left; and the nitrogen settled on, as what the passes then bring.
 * @param guideN what the guide gives for the crop that is left, lb/ac; undefined where none does
 */
export function afterLoss(
	{ date, lostPercent }: LossAction,
	yieldGoal: number,
	passes: readonly BookedPass[],
	products: readonly Product[],
	chosen: readonly Chosen[],
	guideN: number | undefined
): { label: string; yieldGoal: number; passes: Pass[]; choice?: Choice } {
	const left = 1 - lostPercent / 100;
	const nitrogenOf = (pass: Pass) => {
		const product = products.find(({ id }) => id === pass.product);
		return product ? passNutrient(pass, product, 'N') : 0;
	};
	const toCome = passes
		.filter(({ plan, doneOn }) => doneOn === null && plan.date > date && nitrogenOf(plan) > 0)
		.map(({ plan }) => plan);
	const sum = (some: readonly Pass[]) => some.reduce((all, pass) => all + nitrogenOf(pass), 0);
	const open = sum(toCome);
	const given = sum(passes.map(({ plan }) => plan)) - open;
	const share = open > 0 && guideN !== undefined ? Math.min(left, Math.max(0, guideN - given) / open) : left;
	const cut = toCome.map((plan) => ({
		...plan,
		rate: plan.rate * share,
		reason: `${plan.reason} Less after the loss.`.trim()
	}));
	const lost = `${formatNumber(lostPercent, '%')} % of the crop`;
	const before = chosen.find(({ nutrient }) => nutrient === 'N')?.rate;
	const supplied = given + sum(cut);
	return {
		label: `Lost ${lost} on ${longDate(date)}`,
		yieldGoal: yieldGoal * left,
		passes: cut,
		...(before && cut.length > 0
			? {
					choice: {
						nutrient: 'N' as const,
						ownRate: supplied,
						reason: `Lost ${lost} on ${longDate(date)}; before it ${formatNumber(before.value, 'lb/ac')} lb/ac.`
					}
				}
			: {})
	};
}
