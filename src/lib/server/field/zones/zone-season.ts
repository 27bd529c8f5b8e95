import type { Database } from 'better-sqlite3';
import { InputError } from '../../../../core/check/problem';
import type { ZoneFacts } from '../../../../core/schema-types';
import { seasonalFacts, type CropYear } from '../../../../core/zones/zone-seasons';
import { ActionError } from '../../book/action-error';
import { findFieldYear } from '../../stores/field-years';

/**
 * The season that goals, strips, canopy and own rates of zones are set for; undefined where none are given.
 * @throws InputError where they come without a year, ActionError where that year has no crop
 */
export function seasonOf(
	db: Database,
	fieldId: string,
	year: number | undefined,
	facts: readonly ZoneFacts[]
): CropYear | undefined {
	const goal = year === undefined ? undefined : findFieldYear(db, fieldId, year);
	if (goal) return { crop: goal.crop, year: goal.year };
	if (facts.every((one) => Object.keys(seasonalFacts(one)).length === 0)) return undefined;
	if (year === undefined) {
		const message = 'must be given: a goal, strip or own rate of a zone belongs to the crop of one year';
		throw new InputError([{ path: '/year', message }]);
	}
	throw new ActionError(`Set the crop of ${year} first: a goal, strip or own rate of a zone belongs to it.`);
}
