import { rainText } from '../../../units/weather-units';
import type { Pass } from '../../../schema-types';
import { isOnSurface } from '../../plan/placement-facts';
import { productOf, type PlanContext } from '../../plan/plan-context';
import { knownDays, sourceOfDays } from '../../weather/known-weather';
import { shiftDate } from '../../weather/season-weather';
import { usualSoilC } from '../../weather/usual-weather';
import type { SeasonCheck } from '../check';
import { movedTo } from '../moved';
import { longDate } from '../../../units/day-text';
import { RULES } from '../season-rules';

const { basis, followedDays, saturatingMm, searchDays, daysToDrain } = RULES['frozen-ground'];

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
				basis,
				remedies: [movedTo(pass, later)]
			}
		];
	});

function state(date: string, context: PlanContext): { words: string; later: string } | undefined {
	const { weather, limits, units } = context;
	const before = shiftDate(date, -followedDays);
	const known = knownDays(weather, before, followedDays);
	const rain = known?.reduce((sum, { rainMm }) => sum + rainMm, 0) ?? 0;
	if (rain > saturatingMm) {
		const words = `${rainText(rain, units)} of rain in the ${followedDays} days before ${longDate(date)} ${sourceOfDays(weather, before, followedDays)}`;
		return { words, later: shiftDate(date, daysToDrain + followedDays) };
	}
	const frozen = (day: string) => groundC(day, context) < limits.winter.frozenBelowC;
	if (!frozen(date)) return undefined;
	const wait = Array.from({ length: searchDays }, (_, at) => shiftDate(date, at + 1)).find((day) => !frozen(day));
	return { words: `The ground is ${known ? 'frozen' : 'usually frozen'} on ${longDate(date)}`, later: wait ?? date };
}

/** The mean of the last days where they are known, else the usual of the station. */
function groundC(date: Pass['date'], { weather, station }: PlanContext): number {
	const known = knownDays(weather, shiftDate(date, -followedDays), followedDays);
	if (!known) return usualSoilC(station, date);
	return known.reduce((sum, { minC, maxC }) => sum + (minC + maxC) / 2, 0) / followedDays;
}
