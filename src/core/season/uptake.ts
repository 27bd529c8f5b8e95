import type { Uptake } from '../schema-types';

/**
 * Nitrogen in the crop by a day, lb/ac: lbPerYield x goal / (1 + exp(-perDay x (day - halfwayDays))), a logistic.
 * @param yieldGoal in the crop's unit
 * @param day days from planting
 */
export function uptakeBy({ lbPerYield, halfwayDays, perDay }: Uptake, yieldGoal: number, day: number): number {
	return (lbPerYield * yieldGoal) / (1 + Math.exp(-perDay * (day - halfwayDays)));
}
