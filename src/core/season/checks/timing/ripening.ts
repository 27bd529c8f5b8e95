import { productOf } from '../../plan/plan-context';
import { usualStages } from '../../stages/stage-dates';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';

/** Nothing goes on while soft fruit ripens. */
export const ripeningCheck: SeasonCheck = (passes, { stages, plantingDate, station, products, crop, plantAge }) => {
	const ripening = stages?.ripening;
	// A planting that does not bear yet ripens nothing.
	if (!ripening || (plantAge !== undefined && plantAge < (ripening.fromAge ?? 1))) return [];
	const year = (date: string) => `${date.slice(0, 4)}${plantingDate.slice(4)}`;
	return passes.flatMap((pass) => {
		const dates = usualStages({ stages, plantingDate: year(pass.date), station });
		const on = (name: string) => dates.find((stage) => stage.name === name)?.date ?? '';
		const [from, to] = [on(ripening.from), on(ripening.to)];
		if (pass.date < from || pass.date > to || productOf(pass, products).lime) return [];
		return [
			{
				rule: 'ripening',
				severity: 'stop' as const,
				pass: pass.id,
				text: `${crop.name} ripens from about ${longDate(from)} to ${longDate(to)}: nothing goes on then.`,
				basis: 'practice' as const,
				remedies: [movedTo(pass, shiftDate(to, 1), 'after harvest')]
			}
		];
	});
};
