import type { Pass, PassCheck, Remedy } from '../../../schema-types';
import { amountText } from '../../../units/amount-text';
import { longDate } from '../../../units/day-text';
import { placementName } from '../../../units/placement-name';
import { hasTrait } from '../../plan/crop-traits';
import { passNutrient } from '../../plan/pass/pass-nutrients';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { stageOn, usualStages } from '../../stages/stage-dates';
import { usualCornLeaves } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, leastLb, corn, wheat } = RULES['leaf-burn'];

/** What rounding makes of a rate. */
const SLACK_LB = 1e-6;

/** What a stage lets leaves stand of nitrogen in solution over the top, lb N/ac, and the stage's name. */
interface Stand {
	stage: string;
	mostLb: number;
}

/** Nitrogen solution sprayed over a crop that stands burns its leaves. Drops, a dribble at the row and injection do not. */
export const leafBurnCheck: SeasonCheck = (passes, context) =>
	passes.flatMap((pass): PassCheck[] => {
		const { products, crop, units, plantingDate } = context;
		const product = productOf(pass, products);
		const pounds = passNutrient(pass, product, 'N');
		const overTheTop = pass.placement === 'broadcast' || pass.placement === 'top-dress';
		if (product.state !== 'liquid' || !product.nitrogenForms || product.manure || !overTheTop) return [];
		if (pounds < leastLb || pass.date <= plantingDate) return [];
		const stand = standOf(pass.date, context);
		if (!stand || pounds <= stand.mostLb + SLACK_LB) return [];
		const most =
			stand.mostLb === 0
				? 'none goes over the top from then on'
				: `at most ${amountText(units)(stand.mostLb, 'whole')} N`;
		return [
			{
				rule: 'leaf-burn',
				severity: stand.mostLb === 0 || pounds > 2 * stand.mostLb ? 'stop' : 'mind',
				pass: pass.id,
				text: `${amountText(units)(pounds)} N as ${product.name} over ${crop.name.toLowerCase()} at about ${stand.stage} on ${longDate(pass.date)} burns the leaves: ${most}.`,
				basis,
				remedies: offTheLeaves(pass, product.placements, stand)
			}
		];
	});

/** Undefined where the crop has not come up, or what its leaves stand is not known. */
function standOf(date: string, { crop, stages, plantingDate, station }: PlanContext): Stand | undefined {
	if (hasTrait(crop, 'corn')) {
		const leaves = Math.floor(usualCornLeaves(station, plantingDate, date));
		const step = corn.find(({ throughLeaves }) => leaves <= throughLeaves);
		return leaves < 1 ? undefined : { stage: `V${leaves}`, mostLb: step?.mostLb ?? 0 };
	}
	if (!hasTrait(crop, 'wheat')) return undefined;
	const stage = stageOn(usualStages({ stages, plantingDate, station }), date);
	const feekes = stage?.feekes;
	const step = wheat.findLast(({ fromFeekes }) => (feekes ?? 0) >= fromFeekes);
	return stage && step && { stage: stage.name, mostLb: step.mostLb };
}

function offTheLeaves(pass: Pass, placements: readonly string[], { mostLb }: Stand): Remedy[] {
	return (['row-base stream', 'coulter mid-row'] as const)
		.filter((place) => placements.includes(place))
		.map((place) => ({ label: `Put it on as ${placementName(place)}`, passes: [{ ...pass, placement: place }] }))
		.slice(0, mostLb === 0 ? 2 : 1);
}
