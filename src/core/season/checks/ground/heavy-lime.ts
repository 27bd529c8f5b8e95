import { addYears, format, parseISO } from 'date-fns';
import { formatNumber } from '../../../units/display';
import type { SeasonCheck } from '../check';
import { RULES } from '../season-rules';

const { basis, mostAtOnceTons } = RULES['heavy-lime'];

/** Very heavy lime in one go does not mix and overshoots in streaks. */
export const heavyLimeCheck: SeasonCheck = (passes, { liming }) =>
	passes.flatMap((pass) => {
		if (liming.placement === 'surface' || pass.unit !== 'short ton/ac' || pass.rate <= mostAtOnceTons) return [];
		const half = { ...pass, rate: pass.rate / 2 };
		const next = format(addYears(parseISO(pass.date), 1), 'yyyy-MM-dd');
		return [
			{
				rule: 'heavy-lime',
				severity: 'mind' as const,
				pass: pass.id,
				text: `${formatNumber(pass.rate, pass.unit)} short tons of lime at once is over ${mostAtOnceTons}; half now and half next season mixes better.`,
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
