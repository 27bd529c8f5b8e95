import type { Nutrient } from '../../../schema-types';
import { formatNumber } from '../../../units/display';
import { NUTRIENTS } from '../../plan/pass/pass-nutrients';
import { carried } from '../../propose/propose-programme';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { slackLb, slackMicroLb } = RULES['totals'];
const MICRONUTRIENTS: ReadonlySet<Nutrient> = new Set(['B', 'Zn', 'Mn', 'Cu']);

/** What the passes put on against what was chosen. */
export const totalsCheck: SeasonCheck = (passes, context) =>
	NUTRIENTS.flatMap((nutrient) => {
		const wanted = context.chosen[nutrient];
		if (wanted === undefined) return [];
		const given = carried(passes, nutrient, context);
		if (Math.abs(given - wanted) <= (MICRONUTRIENTS.has(nutrient) ? slackMicroLb : slackLb)) return [];
		const amount = `${formatNumber(Math.abs(given - wanted), 'lb/ac')} lb/ac`;
		const side = given > wanted ? 'over' : 'short of';
		return [
			{
				rule: 'totals',
				severity: 'mind' as const,
				text: `${nutrient}: the passes supply ${formatNumber(given, 'lb/ac')} lb/ac, ${amount} ${side} the chosen ${formatNumber(wanted, 'lb/ac')}.`,
				basis: 'adviser' as const,
				remedies: []
			}
		];
	});
