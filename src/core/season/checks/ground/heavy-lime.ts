import { quantityIn } from '../../../units/amount-text';
import { addYears, format, parseISO } from 'date-fns';
import { limeApplications } from '../../../rates/lime/lime-applications';
import { LB_PER_SHORT_TON } from '../../../units/factors';
import { poundsPerAcre } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, mostAtOnceTons } = RULES['heavy-lime'];

/** Very heavy lime in one go does not mix and overshoots in streaks. */
export const heavyLimeCheck: SeasonCheck = (passes, { liming, products, units }) =>
	passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (liming.placement === 'surface' || !product.lime) return [];
		const tons = poundsPerAcre(pass, product) / LB_PER_SHORT_TON;
		if (tons <= mostAtOnceTons) return [];
		const { applications } = limeApplications(tons, 'incorporated', units);
		const part = { ...pass, rate: pass.rate / applications.length };
		return [
			{
				rule: 'heavy-lime',
				severity: 'mind' as const,
				pass: pass.id,
				text: `${quantityIn(units, tons, 'short ton/ac')} of lime at once is over ${quantityIn(units, mostAtOnceTons, 'short ton/ac')}. Spread over ${applications.length} seasons it mixes better.`,
				basis,
				remedies: [
					{
						label: `Spread it over ${applications.length} seasons`,
						passes: applications.map(({ season }) => ({
							...part,
							id: season === 0 ? pass.id : `${pass.id}-${season + 1}`,
							label: season === 0 ? pass.label : `${pass.label}, part ${season + 1}`,
							date: format(addYears(parseISO(pass.date), season), 'yyyy-MM-dd')
						}))
					}
				]
			}
		];
	});
