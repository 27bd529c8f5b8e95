import { quantityIn } from '../../../units/amount-text';
import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns';
import { depthOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, safeDepthIn, safeDays, safeOffsetIn } = RULES['ammonia-near-seed'];

/** Ammonia too shallow and too soon before the seed comes near it. */
export const ammoniaNearSeedCheck: SeasonCheck = (passes, { products, plantingDate, units }) =>
	passes.flatMap((pass) => {
		if (!productOf(pass, products).hazards.includes('ammonia')) return [];
		const days = differenceInCalendarDays(parseISO(plantingDate), parseISO(pass.date));
		const depth = depthOf(pass, true);
		if ((pass.offsetIn ?? 0) >= safeOffsetIn) return [];
		if (days < 0 || (depth >= safeDepthIn && days >= safeDays) || days > 2 * safeDays) return [];
		const inches = (one: number) => quantityIn(units, one, 'in');
		const early = format(addDays(parseISO(plantingDate), -safeDays), 'yyyy-MM-dd');
		const safe = { ...pass, depthIn: safeDepthIn, date: pass.date < early ? pass.date : early };
		return [
			{
				rule: 'ammonia-near-seed',
				severity: 'stop' as const,
				pass: pass.id,
				text: `Ammonia ${inches(depth)} deep, ${days} days before planting, burns seed and roots: ${inches(safeDepthIn)} and ${safeDays} days, or off the row (${inches(4)} and 2 days has cost a tenth of the crop’s margin).`,
				basis,
				remedies: [
					{ label: `${inches(safeDepthIn)} deep on ${longDate(safe.date)}`, passes: [safe] },
					{ label: `Place it ${inches(safeOffsetIn)} off the row`, passes: [{ ...pass, offsetIn: safeOffsetIn }] }
				]
			}
		];
	});
