import { addYears, format, parseISO } from 'date-fns';
import { formatNumber } from '../../../units/display';
import { LB_PER_SHORT_TON } from '../../../units/factors';
import { poundsPerAcre } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, mostAtOnceTons } = RULES['heavy-lime'];

/** Very heavy lime in one go does not mix and overshoots in streaks. */
export const heavyLimeCheck: SeasonCheck = (passes, { liming, products }) =>
	passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (liming.placement === 'surface' || !product.lime) return [];
		const tons = poundsPerAcre(pass, product) / LB_PER_SHORT_TON;
		if (tons <= mostAtOnceTons) return [];
		const half = { ...pass, rate: pass.rate / 2 };
		const next = format(addYears(parseISO(pass.date), 1), 'yyyy-MM-dd');
		return [
			{
				rule: 'heavy-lime',
				severity: 'mind' as const,
				pass: pass.id,
				text: `${formatNumber(tons, 'short ton/ac')} short tons of lime at once is over ${mostAtOnceTons}; half now and half next season mixes better.`,
				basis,
				remedies: [
					{
						label: 'Half now, half next season',
						passes: [half, { ...half, id: `${pass.id}-2`, label: `${pass.label}, second half`, date: next }]
					}
				]
			}
		];
	});
