import type { NitrificationModel } from '../../schema-types';

/** A rate at a temperature by its Q10: rate20 x q10^((C - 20)/10), none at or below freezing. */
export function byQ10(rateAt20: number, q10: number, celsius: number): number {
	return celsius <= 0 ? 0 : rateAt20 * q10 ** ((celsius - 20) / 10);
}

/**
 * Nitrification against its rate at 16 C: ((C - least)/(16 - least))^power, none below the least; slow below 10 C and near
 * nothing below 4 C.
 */
export function nitrificationAgainst16({ leastC, power, mostC }: NitrificationModel, celsius: number): number {
	const warm = Math.min(celsius, mostC) - leastC;
	return warm <= 0 ? 0 : (warm / (16 - leastC)) ** power;
}

/** Percent of the nitrate that a saturated day takes, straight between the points; the ends held. */
export function denitrifiedPercent(points: readonly (readonly number[])[], celsius: number): number {
	const above = points.findIndex(([at]) => celsius < at!);
	if (above === 0) return points[0]![1]!;
	if (above < 0) return points.at(-1)![1]!;
	const [left, right] = [points[above - 1]!, points[above]!];
	return left[1]! + ((right[1]! - left[1]!) * (celsius - left[0]!)) / (right[0]! - left[0]!);
}
