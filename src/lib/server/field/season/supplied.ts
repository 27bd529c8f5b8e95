import { onTheirDays } from '../../../../core/season/applied/what-happened';
import { seasonTotals } from '../../../../core/season/plan/season-totals';
import { byCropOfYear } from '../../../../core/season/schedule/second-crop';
import { inSystem, type UnitSystem } from '../../../../core/units/rate-units';
import type { Advice } from '../field-year';

/** What was chosen and what the passes bring, the nitrogen of a second crop apart from that of the first. */
export function supplied({ chosen, totals, secondNitrogen, passes, context }: Advice, units: UnitSystem) {
	const { second } = context;
	const { first, then } = byCropOfYear(onTheirDays(passes), context);
	const nitrogenOf = (some: typeof first) => seasonTotals(some, context).filter(({ label }) => label === 'N');
	const ofFirst = [...nitrogenOf(first), ...totals.filter(({ label }) => label !== 'N')];
	const [carried] = nitrogenOf(then);
	const wanted = secondNitrogen?.rate;
	return {
		chosen: chosen.map(({ nutrient, rate }) => ({ nutrient, rate: inSystem(rate, units) })),
		totals: ofFirst.map((total) => inSystem(total, units)),
		secondN:
			second && (wanted || carried)
				? {
						name: `N for ${second.crop.name.toLowerCase()}`,
						wanted: wanted && { rate: inSystem(wanted, units) },
						carried: carried && inSystem(carried, units)
					}
				: undefined
	};
}
