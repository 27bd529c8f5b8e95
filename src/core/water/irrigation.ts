import { figure, type Answer, type Figure } from '../figure/figure';
import type { FieldIrrigation } from '../schema-types';
import { delivered } from './delivered';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** The months in which water is put on, 1 to 12, in their order. */
export function monthsOf({
	inchesByMonth
}: Pick<FieldIrrigation, 'inchesByMonth'>): { month: number; inches: number }[] {
	return Object.entries(inchesByMonth)
		.map(([month, inches]) => ({ month: Number(month), inches }))
		.filter(({ inches }) => inches > 0)
		.sort((a, b) => a.month - b.month);
}

export function monthName(month: number): string {
	return MONTHS[month - 1]!;
}

/** Inches of the year, the sum of its months. */
export function inchesOfYear(irrigation: Pick<FieldIrrigation, 'inchesByMonth'>): Figure {
	const months = monthsOf(irrigation).map(({ month, inches }) =>
		figure({ label: monthName(month), value: inches, unit: 'in of water', basis: 'adviser' })
	);
	return figure({
		label: 'water applied',
		value: months.reduce((sum, { value }) => sum + value, 0),
		unit: 'in of water',
		formula: 'sum of the months',
		inputs: months,
		basis: 'adviser'
	});
}

/** What the water of a year brings to a field, lb/ac by nutrient; does not apply where the report does not give it. */
export function broughtInYear(irrigation: FieldIrrigation): Record<string, Answer> {
	return delivered(irrigation.water, inchesOfYear(irrigation));
}

/** What the water of each month brings. */
export function broughtByMonth(irrigation: FieldIrrigation): { month: number; brought: Record<string, Answer> }[] {
	return monthsOf(irrigation).map(({ month, inches }) => ({
		month,
		brought: broughtInYear({ ...irrigation, inchesByMonth: { [month]: inches } })
	}));
}
