import type { Answer } from '../../../core/figure/figure';
import { MM_PER_IN } from '../../../core/units/factors';
import { inEachSystem } from '../../../core/units/rate-units';
import { broughtByMonth, broughtInYear, inchesOfYear, monthName } from '../../../core/water/irrigation';
import type { Desk } from '../desk';
import type { FieldYear } from '../field/field-year';
import { bookedIrrigation, irrigationOf, listWaterSources } from '../stores/water/water-sources';

/**
 * The irrigation of a field in a year with what its water brings by month; undefined where the year has no crop yet, or the field is
 * neither irrigated nor said to be.
 */
export function irrigationOfField({ book }: Desk, { field, goal }: FieldYear) {
	if (!goal || (field.irrigated !== 1 && goal.irrigation === null)) return undefined;
	const sources = listWaterSources(book);
	const irrigation = irrigationOf(goal, sources);
	const unit = field.units === 'metric' ? ('mm' as const) : ('in' as const);
	const water = (inches: number) => (unit === 'mm' ? Math.round(inches * MM_PER_IN) : Number(inches.toFixed(2)));
	const line = (name: string, inches: number, brought: Record<string, Answer>) => ({
		name,
		water: water(inches),
		brought: inEachSystem(brought, field.units)
	});
	return {
		unit,
		booked: bookedIrrigation(goal),
		sources: sources.map(({ id, name }) => ({ id, name })),
		source: irrigation?.source,
		brought: irrigation
			? [
					...broughtByMonth(irrigation).map(({ month, brought }) =>
						line(monthName(month), irrigation.inchesByMonth[month]!, brought)
					),
					line('Year', inchesOfYear(irrigation).value, broughtInYear(irrigation))
				]
			: []
	};
}
