import { amountText } from '../../../units/amount-text';
import type { Nutrient } from '../../../schema-types';
import { NUTRIENTS } from '../../plan/pass/pass-nutrients';
import { carried } from '../../propose/propose-programme';
import type { SeasonCheck } from '../check';
import { byCropOfYear } from '../second-crop';
import { RULES } from '../season-rules';

const { slackLb, slackMicroLb } = RULES['totals'];
const MICRONUTRIENTS: ReadonlySet<Nutrient> = new Set(['B', 'Zn', 'Mn', 'Cu']);

/** What the passes put on against what was chosen; the nitrogen of a second crop is not chosen here, its P and K may be. */
export const totalsCheck: SeasonCheck = (passes, context) =>
	NUTRIENTS.flatMap((nutrient) => {
		const wanted = context.chosen[nutrient];
		if (wanted === undefined) return [];
		const counted = nutrient === 'N' ? byCropOfYear(passes, context).first : passes;
		const given = carried(counted, nutrient, context);
		if (Math.abs(given - wanted) <= (MICRONUTRIENTS.has(nutrient) ? slackMicroLb : slackLb)) return [];
		const say = amountText(context.units);
		const side = given > wanted ? 'over' : 'short of';
		return [
			{
				rule: 'totals',
				severity: 'mind' as const,
				text: `${nutrient}: the passes supply ${say(given)}, ${say(Math.abs(given - wanted))} ${side} the chosen ${say(wanted)}.`,
				basis: 'adviser' as const,
				remedies: []
			}
		];
	});
