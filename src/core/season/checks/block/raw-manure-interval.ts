import { longDate } from '../../../units/day-text';
import { productOf } from '../../plan/plan-context';
import { anchorDay } from '../../stages/anchored-stages';
import { shiftDate } from '../../weather/season-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { RULES } from '../season-rules';

const { basis, days } = RULES['raw-manure-interval'];

/** Raw manure too near to the harvest of what is eaten from the tree or the cane. */
export const rawManureIntervalCheck: SeasonCheck = (passes, context) => {
	const [ripe, picked] = [anchorDay(context, 'firstRipe'), anchorDay(context, 'lastPicking')];
	if (!context.crop.perennial || !ripe) return [];
	const last = shiftDate(ripe, -days);
	const until = picked ?? ripe;
	return passes
		.filter((pass) => productOf(pass, context.products).hazards.includes('raw-manure'))
		.filter(({ date }) => date > last && date <= until)
		.map((pass) => ({
			rule: 'raw-manure-interval',
			severity: 'stop' as const,
			pass: pass.id,
			text: `Raw manure on ${longDate(pass.date)} comes less than ${days} days before the harvest (about ${longDate(ripe)}); 120 days where fruit touches the soil. Local law goes first.`,
			basis,
			remedies: [movedTo(pass, last, 'the last day'), movedTo(pass, shiftDate(until, 1), 'after harvest')]
		}));
};
