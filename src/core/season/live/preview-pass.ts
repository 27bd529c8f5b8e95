import type { Pass, PassCheck } from '../../schema-types';
import { amountText } from '../../units/amount-text';
import { checkSeason } from '../checks/check-season';
import { NUTRIENTS, passNutrient } from '../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../plan/plan-context';

/** A pass that is not saved yet, in the plan it is meant for. */
export interface PassPreview {
	/** "168 lb N/ac"; empty where it brings none. */
	brings: string;
	/** What the rules say of it. */
	checks: PassCheck[];
}

/** What a pass would bring, and what the rules say of it beside the others of the plan. */
export function previewPass(pass: Pass, plan: readonly Pass[], context: PlanContext): PassPreview {
	const product = productOf(pass, context.products);
	const pounds = amountText(context.units);
	const brings = NUTRIENTS.flatMap((nutrient) => {
		const amount = passNutrient(pass, product, nutrient);
		return amount > 0 ? [pounds.ofArea(amount, nutrient)] : [];
	}).join(', ');
	const others = plan.filter(({ id }) => id !== pass.id);
	return { brings, checks: checkSeason([...others, pass], context).filter((check) => check.pass === pass.id) };
}
