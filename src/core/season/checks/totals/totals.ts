import { amountText } from '../../../units/amount-text';
import type { Nutrient, Pass } from '../../../schema-types';
import { carried } from '../../plan/pass/carried';
import { cupLbAc, isCupped } from '../../plan/pass/palm-cups';
import { NUTRIENTS, passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../../plan/plan-context';
import type { PassCheck, SeasonCheck } from '../check';
import { byCropOfYear, secondContext } from '../../schedule/second-crop';
import { RULES } from '../season-rules';

const { slackLb, slackMicroLb } = RULES['totals'];
const MICRONUTRIENTS: ReadonlySet<Nutrient> = new Set(['B', 'Zn', 'Mn', 'Cu']);

/**
 * What the passes put on against what was chosen, of nitrogen crop by crop: phosphate and potash of a second crop may be chosen with those
 * of the first.
 */
export const totalsCheck: SeasonCheck = (passes, context) => {
	const second = secondContext(context);
	const { then } = byCropOfYear(passes, context);
	return [
		...totalsOf(passes, context),
		...(second ? totalsOf(then, second, ` for ${second.crop.name.toLowerCase()}`) : [])
	];
};

/** Half a cup to each palm: what whole cups cannot avoid, lb/ac of a nutrient. */
function cupSlack(passes: readonly Pass[], nutrient: Nutrient, context: PlanContext): number {
	const cup = cupLbAc(context) ?? 0;
	const shares = passes.map((pass) => {
		const product = productOf(pass, context.products);
		return isCupped(pass, product) && pass.rate > 0 ? passNutrient(pass, product, nutrient) / pass.rate : 0;
	});
	return (Math.max(0, ...shares) * cup) / 2;
}

const totalsOf = (passes: readonly Pass[], context: PlanContext, forCrop = ''): PassCheck[] =>
	NUTRIENTS.flatMap((nutrient) => {
		const wanted = context.chosen[nutrient];
		if (wanted === undefined) return [];
		const counted = nutrient === 'N' ? byCropOfYear(passes, context).first : passes;
		const given = carried(counted, nutrient, context);
		const slack = MICRONUTRIENTS.has(nutrient) ? slackMicroLb : slackLb;
		if (Math.abs(given - wanted) <= Math.max(slack, cupSlack(passes, nutrient, context))) return [];
		const say = amountText(context.units);
		const side = given > wanted ? 'over' : 'short of';
		return [
			{
				rule: 'totals',
				severity: 'mind' as const,
				text: `${nutrient}${forCrop}: the passes supply ${say(given)}, ${say(Math.abs(given - wanted))} ${side} the chosen ${say(wanted)}.`,
				basis: 'adviser' as const,
				remedies: []
			}
		];
	});
