import { addMonths, differenceInCalendarDays, format, parseISO } from 'date-fns';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { RULES } from '../season-rules';

const { basis, leastDays, monthsBefore } = RULES['lime-lead'];

/** Lime that comes too late to work for this crop. */
export const limeLeadCheck: SeasonCheck = (passes, { products, plantingDate, crop }) => {
	if (crop.perennial) return [];
	return passes.flatMap((pass) => {
		const days = differenceInCalendarDays(parseISO(plantingDate), parseISO(pass.date));
		if (!productOf(pass, products).lime || days < 0 || days >= leastDays) return [];
		const early = format(addMonths(parseISO(plantingDate), -monthsBefore), 'yyyy-MM-dd');
		return [
			{
				rule: 'lime-lead',
				severity: 'mind' as const,
				pass: pass.id,
				text: `Lime ${days} days before planting: it needs three to six months, so this crop sees little of it.`,
				basis,
				remedies: [movedTo(pass, early, 'four months before')]
			}
		];
	});
};
