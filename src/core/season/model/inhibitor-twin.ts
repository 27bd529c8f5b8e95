import type { Pass } from '../../schema-types';
import type { Alternative } from '../propose/alternatives';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';

/** A plan with or without its inhibitors, to set their price against their chance. */
export interface InhibitorTwin extends Alternative {
	/** The twin is the one with inhibitors; else the plan itself has them. */
	guarded: boolean;
}

/** Less ammonium and urea than this is not worth guarding, lb N/ac: judgement. */
const LEAST_LB = 40;

/**
 * The plan without its inhibitors or, where it has none, with a nitrification inhibitor in each pass with enough ammonium or urea.
 * @returns undefined where there is nothing to guard
 */
export function inhibitorTwin(passes: readonly Pass[], { products }: PlanContext): InhibitorTwin | undefined {
	if (passes.some(({ additive }) => additive)) {
		const bare = passes.map(({ additive: _off, ...pass }) => pass);
		return { name: 'This plan, no inhibitor', passes: bare, guarded: false };
	}
	const isWorth = (pass: Pass) => {
		const product = productOf(pass, products);
		const { ammonium = 0, urea = 0 } = product.nitrogenForms ?? {};
		return !product.slowRelease && (passNutrient(pass, product, 'N') * (ammonium + urea)) / 100 >= LEAST_LB;
	};
	if (!passes.some(isWorth)) return undefined;
	const guarded = passes.map((pass) =>
		isWorth(pass) ? { ...pass, additive: 'nitrification inhibitor' as const } : pass
	);
	return { name: 'This plan, nitrification inhibitor', passes: guarded, guarded: true };
}
