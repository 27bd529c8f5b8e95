import { KG_PER_LB } from '../../../units/factors';
import { CUP_KG, cupLbAc, cupsOf, isCupped } from '../../plan/pass/palm-cups';
import { productOf } from '../../plan/plan-context';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis } = RULES['palm-cups'];

/** Palms are fed by the cup: a dose between two cups is measured by nobody, and plan and purchase part from what goes on. */
export const palmCupsCheck: SeasonCheck = (passes, { crop, plantsPerAc, products }) => {
	const cup = cupLbAc({ crop, plantsPerAc });
	if (cup === undefined || plantsPerAc === undefined) return [];
	return passes.flatMap((pass) => {
		if (!isCupped(pass, productOf(pass, products))) return [];
		const { cups, whole } = cupsOf(pass.rate, cup);
		if (whole) return [];
		const kg = ((pass.rate / plantsPerAc) * KG_PER_LB).toFixed(2);
		const counts = [...new Set([Math.max(1, Math.round(cups)), Math.max(1, Math.floor(cups)), Math.ceil(cups)])];
		return [
			{
				rule: 'palm-cups',
				severity: 'mind' as const,
				pass: pass.id,
				text: `${kg} kg to a palm is no whole cup of ${CUP_KG} kg.`,
				basis,
				remedies: counts.map((count) => ({
					label: `Give ${count * CUP_KG} kg to each palm`,
					passes: [{ ...pass, rate: count * cup }]
				}))
			}
		];
	});
};
