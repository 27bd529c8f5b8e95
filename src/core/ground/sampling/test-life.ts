import plausibility from '../../../../packs/reference/plausibility.json';
import type { Analyte } from '../../schema-types';
import { longDate } from '../../units/day-text';
import { analyteName } from '../analyte-names';
import { samplingDay } from './sample-age';

/** Years that a result serves by analyte; 0: the next crop alone. Common practice. */
const SERVES_YEARS: Partial<Record<Analyte, number>> & { other: number } = plausibility.servesYears;
/** A crop's own nitrate test is taken between the harvest before it and its own; usual days, common practice. */
const AFTER_LAST_HARVEST = '07-01';
const BEFORE_HARVEST = '08-31';
/** Beyond this age a result moves no rate at all where its analyte moves with water. */
const MOVES_WITH_WATER: ReadonlySet<Analyte> = new Set(['NO3-N', 'NH4-N', 'SO4-S']);

/** Years that a result of an analyte serves; 0: the next crop alone. */
export function servesYears(analyte: Analyte): number {
	return SERVES_YEARS[analyte] ?? SERVES_YEARS.other;
}

/**
 * Why a result says nothing of a crop any more: nitrate and ammonium serve one crop, sulfate one year. Common practice.
 * @param sampledOn YYYY-MM-DD
 * @param cropYear the year in which the crop is harvested; undefined where it is not known, then the day it is asked on counts
 * @param on YYYY-MM-DD
 * @returns undefined where it still serves, or was measured on something that stays where it is
 */
export function spentBecause(
	analyte: Analyte,
	sampledOn: string,
	cropYear: number | undefined,
	on: string
): string | undefined {
	if (!MOVES_WITH_WATER.has(analyte)) return undefined;
	const test = `the ${analyteName(analyte)} test of ${longDate(sampledOn)}`;
	const years = servesYears(analyte);
	if (cropYear === undefined) {
		const oldest = `${Number(on.slice(0, 4)) - 1}${on.slice(4)}`;
		return sampledOn < oldest ? `${test} is over a year old` : undefined;
	}
	if (years > 0) {
		return sampledOn < samplingDay(cropYear - years) ? `${test} is too old for the ${cropYear} crop` : undefined;
	}
	if (sampledOn > `${cropYear}-${BEFORE_HARVEST}`) return `${test} was taken after the ${cropYear} crop`;
	const year = Number(sampledOn.slice(0, 4));
	const served = sampledOn >= `${year}-${AFTER_LAST_HARVEST}` ? year + 1 : year;
	return served < cropYear ? `${test} served the ${served} crop` : undefined;
}
