import type { Pass, Product, Schedule, ScheduleStep } from '../../schema-types';
import { passNutrient, productFor } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';
import { byCropOfYear } from '../schedule/second-crop';
import { dateOf } from '../schedule/step-date';
import { plainUrea } from '../plan/usual-source';
import { EARLY_SHARE } from '../plan/usual-values';

/** A plan, or another way to put on the same nitrogen. */
export interface Alternative {
	name: string;
	passes: Pass[];
}

/** Urea worked in before a spring crop; common practice. */
const BEFORE_PLANTING: Omit<ScheduleStep, 'label' | 'reason' | 'product'> = {
	id: 'early',
	daysFromPlanting: -7,
	placement: 'incorporated',
	basis: 'practice'
};

/**
 * The plan and three other ways to put the same nitrogen on: all before planting, split, and spoon-fed over every step of the schedule. Passes that carry other
 * nutrients, or go on for a second crop, stay as they are.
 * @returns the plan alone where its crop has no steps for nitrogen, or the plan carries none by itself
 */
export function alternativesTo(passes: readonly Pass[], context: PlanContext): Alternative[] {
	const plan: Alternative = { name: 'This plan', passes: [...passes] };
	const { schedule, products } = context;
	const { then } = byCropOfYear(passes, context);
	const kept = passes.filter((pass) => then.includes(pass) || !isNitrogenAlone(productOf(pass, products)));
	const pounds = passes
		.filter((pass) => !kept.includes(pass))
		.reduce((sum, pass) => sum + passNutrient(pass, productOf(pass, products), 'N'), 0);
	if (!schedule || schedule.nitrogen.length === 0 || pounds === 0) return [plan];
	const steps = [...schedule.nitrogen].sort((a, b) => a.daysFromPlanting - b.daysFromPlanting);
	const main = schedule.nitrogen[0]!;
	const early = earlyStep(schedule, steps, plainUrea(products)?.id ?? main.product);
	const first = steps[0]!;
	const put = (step: ScheduleStep, share: number) => passOf(step, pounds * share, context);
	const split =
		first === main
			? [put(early, EARLY_SHARE), put(main, 1 - EARLY_SHARE)]
			: [put(first, EARLY_SHARE), put(main, 1 - EARLY_SHARE)];
	return [
		plan,
		{
			name: schedule.usualPlanting.yearOffset < 0 ? 'All at once, early' : 'All before planting',
			passes: [...kept, put(early, 1)]
		},
		{ name: 'Split', passes: [...kept, ...split] },
		{ name: 'Spoon-fed', passes: [...kept, ...steps.map((step) => put(step, 1 / steps.length))] }
	];
}

function isNitrogenAlone({ analysis }: Product): boolean {
	return Object.keys(analysis).join() === 'N';
}

/** Before planting for spring crops; the first dressing of spring for those sown in autumn. */
function earlyStep({ usualPlanting }: Schedule, steps: readonly ScheduleStep[], product: string): ScheduleStep {
	if (usualPlanting.yearOffset < 0) return steps[0]!;
	return { ...BEFORE_PLANTING, product, label: 'All before planting', reason: 'One trip, before the crop needs it.' };
}

function passOf(step: ScheduleStep, pounds: number, context: PlanContext): Pass {
	const { id, label, product, placement, reason } = step;
	return {
		id,
		date: dateOf(step, context),
		label,
		product,
		rate: productFor(pounds, productOf(step, context.products), 'N'),
		unit: 'lb/ac',
		placement,
		reason
	};
}
