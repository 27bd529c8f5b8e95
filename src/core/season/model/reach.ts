import type { SeasonModel } from '../../schema-types';
import { CM_PER_IN } from '../../units/factors';

/**
 * Days from planting until roots and a band that lies off the row have come together: roots spread sideways from emergence
 * on, and the band's nitrogen moves some way towards them. Judgement.
 * @param offsetIn inches from the row
 * @returns 0 where the band's own movement covers the distance
 */
export function daysToReach(offsetIn: number, { roots }: Pick<SeasonModel, 'roots'>): number {
	const cm = offsetIn * CM_PER_IN - roots.bandMovesCm;
	return cm <= 0 ? 0 : Math.round(roots.emergenceDays + cm / roots.sidewaysCmPerDay);
}
