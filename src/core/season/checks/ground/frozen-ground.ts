import { MM_PER_IN } from '../../../units/factors';
import { formatNumber } from '../../../units/display';
import type { Pass } from '../../../schema-types';
import { isOnSurface } from '../../plan/placement-facts';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { knownDays, sourceOfDays } from '../../weather/known-weather';
import { shiftDate } from '../../weather/season-weather';
import { usualSoilC } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';

/** Days of weather that the ground follows; rain in them that fills it, mm: judgement. */
const DAYS = 5;
const SATURATING_MM = 60;
const SEARCH_DAYS = 150;
const DAYS_TO_DRAIN = 4;

/** Fertilizer on frozen, snow-covered or saturated ground runs off with the first water. Lime is let be. */
export const frozenGroundCheck: SeasonCheck = (passes, context) =>
	passes.flatMap((pass) => {
		if (!isOnSurface(pass) || productOf(pass, context.products).lime) return [];
		const found = state(pass.date, context);
		if (!found) return [];
		const { words, later } = found;
		return [
			{
				rule: 'frozen-ground',
				severity: 'stop' as const,
				pass: pass.id,
				text: `${words}: what lies on frozen, snow-covered or soaked ground runs off. Local law comes first.`,
				basis: 'practice' as const,
				remedies: [movedTo(pass, later)]
			}
		];
	});

function state(date: string, context: PlanContext): { words: string; later: string } | undefined {
	const { weather, limits } = context;
	const before = shiftDate(date, -DAYS);
	const known = knownDays(weather, before, DAYS);
	const rain = known?.reduce((sum, { rainMm }) => sum + rainMm, 0) ?? 0;
	if (rain > SATURATING_MM) {
		const inches = formatNumber(rain / MM_PER_IN, 'in');
		const words = `${inches} in of rain in the ${DAYS} days before ${longDate(date)} ${sourceOfDays(weather, before, DAYS)}`;
		return { words, later: shiftDate(date, DAYS_TO_DRAIN + DAYS) };
	}
	const frozen = (day: string) => groundC(day, context) < limits.winter.frozenBelowC;
	if (!frozen(date)) return undefined;
	const wait = Array.from({ length: SEARCH_DAYS }, (_, at) => shiftDate(date, at + 1)).find((day) => !frozen(day));
	return { words: `The ground is ${known ? 'frozen' : 'usually frozen'} on ${longDate(date)}`, later: wait ?? date };
}

/** The mean of the last days where they are known, else the usual of the station. */
function groundC(date: Pass['date'], { weather, station }: PlanContext): number {
	const known = knownDays(weather, shiftDate(date, -DAYS), DAYS);
	if (!known) return usualSoilC(station, date);
	return known.reduce((sum, { minC, maxC }) => sum + (minC + maxC) / 2, 0) / DAYS;
}
