import type { SeasonModel } from '../../schema-types';
import type { SeasonRun } from './season-run';

/**
 * Share of the yield goal by the share of the wanted nitrogen that the crop took up: the first pounds that are missing cost
 * little, because grain can be thinner in nitrogen. A screening curve, judgement.
 * @param takenUp @param wanted by harvest, in one unit
 * @returns 1 where nothing was wanted
 */
export function relativeYield(takenUp: number, wanted: number, { yieldResponse }: Pick<SeasonModel, 'yieldResponse'>) {
	if (wanted <= 0) return 1;
	const share = Math.min(1, Math.max(0, takenUp / wanted));
	return share * (1 + yieldResponse.bend * (1 - share));
}

/**
 * Share of the yield goal of a season: the smaller of what the nitrogen taken up by harvest allows, and of what the days allow on which
 * the crop grew. Each day counts by its part of the uptake of a crop that never wants, with the yield that its supply until then would
 * bring: who is hungry while it grows fastest does not make it up later. A screening rule, judgement; nothing in it is fitted.
 * @param last day of the run up to which the crop stands
 */
export function seasonYield(
	{ wanted, takenUp }: Pick<SeasonRun, 'wanted' | 'takenUp'>,
	last: number,
	model: Pick<SeasonModel, 'yieldResponse'>
): number {
	const all = wanted[last]!;
	const bySum = relativeYield(takenUp[last]!, all, model);
	if (all <= 0) return bySum;
	let byDays = 0;
	for (let day = 0; day <= last; day++) {
		const grown = wanted[day]! - (wanted[day - 1] ?? 0);
		if (grown > 0) byDays += (grown / all) * relativeYield(takenUp[day]!, wanted[day]!, model);
	}
	return Math.min(bySum, byDays);
}
