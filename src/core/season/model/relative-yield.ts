import type { SeasonModel } from '../../schema-types';

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
