import { valueIfKnown } from '../../figure/figure';
import { amountText, quantityIn } from '../../units/amount-text';
import { broughtInYear, inchesOfYear } from '../../water/irrigation';
import { waterCautions } from '../../water/water-cautions';
import type { ReportCheck } from './finding';

/** Less sulfur than this in a year's water is not worth a word, lb/ac; common practice: a crop takes 10 to 30. */
const MUCH_SULFUR = 10;

/** What the water that a field is irrigated with does to soil and crop, and what it brings beside nitrogen. */
export const irrigationWater: ReportCheck = ({ site: { irrigation, units }, waterLimits }) => {
	if (!irrigation || !waterLimits) return [];
	const { source, water, sprinkled } = irrigation;
	const about = sprinkled === undefined ? { water } : { water, sprinkled };
	const sulfur = valueIfKnown(broughtInYear(irrigation).S!) ?? 0;
	return [
		...waterCautions(about, waterLimits)
			.filter(({ severity }) => severity !== 'note')
			.map(({ code, severity, text }) => ({
				code: `water-${code}`,
				severity,
				text: `Water of ${source}: ${text}`,
				remedy: 'Irrigation water, in the menu, shows its report with every number.'
			})),
		...(sulfur >= MUCH_SULFUR
			? [
					{
						code: 'water-sulfur',
						severity: 'note' as const,
						text: `${quantityIn(units, inchesOfYear(irrigation).value, 'in of water')} of ${source} bring ${amountText(units).ofArea(sulfur, 'S')} as sulfate.`,
						remedy: 'Take it off the sulfur rate; approaches that credit it do so by themselves.'
					}
				]
			: [])
	];
};
