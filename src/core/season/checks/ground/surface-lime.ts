import { addYears, format, parseISO } from 'date-fns';
import { limeApplications } from '../../../rates/lime/lime-applications';
import { LB_PER_SHORT_TON } from '../../../units/factors';
import { poundsPerAcre } from '../../plan/pass/pass-nutrients';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';

/** Lime on the surface of ground that is not worked: little at a time, and again. */
export const surfaceLimeCheck: SeasonCheck = (passes, { products, liming, units }) =>
	passes.flatMap((pass) => {
		const product = productOf(pass, products);
		if (!product.lime || liming.placement !== 'surface') return [];
		const tons = poundsPerAcre(pass, product) / LB_PER_SHORT_TON;
		const { applications, why } = limeApplications(tons, 'surface', units);
		if (applications.length < 2) return [];
		return [
			{
				rule: 'surface-lime',
				severity: 'mind' as const,
				pass: pass.id,
				text: why,
				basis: 'practice' as const,
				remedies: [
					{
						label: `Spread it over ${applications.length} seasons`,
						passes: applications.map(({ season }) => ({
							...pass,
							id: season === 0 ? pass.id : `${pass.id}-${season + 1}`,
							rate: pass.rate / applications.length,
							label: season === 0 ? pass.label : `${pass.label}, part ${season + 1}`,
							date: format(addYears(parseISO(pass.date), season), 'yyyy-MM-dd')
						}))
					}
				]
			}
		];
	});
