import { addDays, format, parseISO } from 'date-fns';
import type { Pass, Remedy } from '../../../schema-types';
import { hasTrait } from '../../plan/crop-traits';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, feltDays } = RULES['spring-knife'];
const INSTEAD: readonly { placement: Pass['placement']; words: string }[] = [
	{ placement: 'side band', words: 'Side band at seeding' },
	{ placement: 'mid-row band', words: 'Mid-row band at seeding' }
];

/** A knife pass shortly before a small-seeded crop dries its seedbed. */
export const springKnifeCheck: SeasonCheck = (passes, { crop, products, plantingDate }) => {
	if (!hasTrait(crop, 'small-seeded')) return [];
	const felt = format(addDays(parseISO(plantingDate), -feltDays), 'yyyy-MM-dd');
	return passes.flatMap((pass) => {
		if (pass.placement !== 'injected' || pass.date < felt || pass.date >= plantingDate) return [];
		const { placements } = productOf(pass, products);
		const remedies: Remedy[] = INSTEAD.filter(({ placement }) => placements.includes(placement)).map(
			({ placement, words }) => ({ label: words, passes: [{ ...pass, placement, date: plantingDate }] })
		);
		return [
			{
				rule: 'spring-knife',
				severity: 'mind' as const,
				pass: pass.id,
				text: `Knives on ${longDate(pass.date)} dry and open a seedbed that has one chance: side band, mid-row band, broadcast or in the crop instead.`,
				basis,
				remedies
			}
		];
	});
};
