import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns';
import { formatNumber } from '../../../units/display';
import { depthOf } from '../../plan/placement-facts';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';

/** Safe before planting: this deep, and so many days; guidance, common practice. */
const SAFE_DEPTH_IN = 8;
const SAFE_DAYS = 7;
/** Off the row by so much the seed never meets the band, in: judgement. */
const SAFE_OFFSET_IN = 6;

/** Ammonia too shallow and too soon before the seed comes near it. */
export const ammoniaNearSeedCheck: SeasonCheck = (passes, { products, plantingDate }) =>
	passes.flatMap((pass) => {
		if (!productOf(pass, products).hazards.includes('ammonia')) return [];
		const days = differenceInCalendarDays(parseISO(plantingDate), parseISO(pass.date));
		const depth = depthOf(pass, true);
		if ((pass.offsetIn ?? 0) >= SAFE_OFFSET_IN) return [];
		if (days < 0 || (depth >= SAFE_DEPTH_IN && days >= SAFE_DAYS) || days > 2 * SAFE_DAYS) return [];
		const early = format(addDays(parseISO(plantingDate), -SAFE_DAYS), 'yyyy-MM-dd');
		const safe = { ...pass, depthIn: SAFE_DEPTH_IN, date: pass.date < early ? pass.date : early };
		return [
			{
				rule: 'ammonia-near-seed',
				severity: 'stop' as const,
				pass: pass.id,
				text: `Ammonia ${formatNumber(depth, 'in')} in deep, ${days} days before planting, burns seed and roots: ${SAFE_DEPTH_IN} in and ${SAFE_DAYS} days, or off the row (4 in and 2 days has cost a tenth of the crop’s margin).`,
				basis: 'practice' as const,
				remedies: [
					{ label: `${SAFE_DEPTH_IN} in deep on ${longDate(safe.date)}`, passes: [safe] },
					{ label: `Keep it ${SAFE_OFFSET_IN} in off the row`, passes: [{ ...pass, offsetIn: SAFE_OFFSET_IN }] }
				]
			}
		];
	});
