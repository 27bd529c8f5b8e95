import { advise } from '../../../../core/rates/advise';
import { advisedThen } from '../../../../core/season/plan/balance/advised-then';
import { BALANCED, type Balanced, type YearBalance } from '../../../../core/season/plan/balance/nutrient-balance';
import type { School } from '../../../../core/schema-types';
import { inSystem } from '../../../../core/units/rate-units';
import { SCHOOL_ORDER, schoolName } from '../../../school-names';
import type { Desk } from '../../desk';
import type { FieldYearRow } from '../../stores/field-years';
import { listFieldSamples, type FieldRow } from '../../stores/fields';
import { pricesOn } from '../../stores/prices';
import { listCurves } from '../../stores/response-curves';
import { fieldRequest, plantingDateOf, recordsOf } from '../field-request';

/**
 * What every approach would have advised for a year that is over: on the newest sample from before planting, the goal of then and the
 * prices at its end; in the units of the field. Without such a sample there is nothing to say.
 */
export function advisedThenOf(
	{ book, library, today }: Desk,
	field: FieldRow,
	goal: FieldYearRow,
	balance: YearBalance
) {
	const planted = plantingDateOf(goal, library);
	const samples = listFieldSamples(book, field.id).filter(
		({ report: { date } }) => date !== undefined && date < planted
	);
	if (samples.length === 0) return { sampledOn: undefined, rows: [] };
	const end = `${goal.year}-12-31`;
	const records = recordsOf(book, field, goal, samples, pricesOn(book, end < today ? end : today), listCurves(book));
	// What was settled on and applied then is what is held against the approaches, not what they go by.
	const answer = advise(fieldRequest(library, { ...records, choices: [], passes: [] }, planted), library, planted);
	const rows = advisedThen(answer, balance)
		.map(({ nutrient, rate, ...amounts }) => ({
			nutrient,
			method: rate.method,
			school: rate.school,
			name: `${rate.packTitle}: ${rate.title}`,
			schoolName: schoolName(rate.school),
			advised: inSystem(amounts.advised, field.units),
			applied: inSystem(amounts.applied, field.units),
			balance: inSystem(amounts.balance, field.units)
		}))
		.sort((a, b) => order(a) - order(b));
	return { sampledOn: samples[0]!.report.date, rows };
}

/** By nutrient, within it as the approaches stand on the page of rates. */
function order({ nutrient, school }: { nutrient: Balanced; school: School }): number {
	return BALANCED.indexOf(nutrient) * SCHOOL_ORDER.length + SCHOOL_ORDER.indexOf(school);
}
