import { inSystem, unitInSystem } from '$core/units/rate-units';
import { goalPage } from '$lib/server/goal-page';
import { fieldYearOf } from '$lib/server/params';
import { readSettings } from '$lib/server/stores/settings';
import { theBook } from '$lib/server/the-book';
import { SCHOOL_ORDER, schoolName } from '$lib/school-names';
import type { PageServerLoad } from './$types';

const ROWS = [
	{ nutrient: 'N', name: 'Nitrogen', unit: 'lb/ac' },
	{ nutrient: 'P2O5', name: 'Phosphate', unit: 'lb/ac' },
	{ nutrient: 'K2O', name: 'Potash', unit: 'lb/ac' },
	{ nutrient: 'S', name: 'Sulfur', unit: 'lb/ac' },
	{ nutrient: 'lime', name: 'Lime', unit: 'short ton/ac' }
] as const;

export const load: PageServerLoad = ({ params }) => {
	const fieldYear = fieldYearOf(params);
	const { advice } = fieldYear;
	const { units } = readSettings(theBook());
	const rows = ROWS.map(({ nutrient, name, unit }) => {
		const choice = advice?.choices.find((one) => one.nutrient === nutrient);
		const chosen = advice?.chosen.find((one) => one.nutrient === nutrient);
		return {
			nutrient,
			name,
			unit: unitInSystem(unit, units),
			ownUnit: unit,
			choice,
			lapsed: advice?.lapsed.some((one) => one.nutrient === nutrient) ?? false,
			own: choice?.ownRate !== undefined && chosen ? inSystem(chosen.rate, units) : undefined,
			opinions: (advice?.answer.rates ?? [])
				.filter((rate) => rate.nutrient === nutrient)
				.sort((a, b) => SCHOOL_ORDER.indexOf(a.school) - SCHOOL_ORDER.indexOf(b.school))
				.map((rate) => ({
					method: rate.method,
					school: schoolName(rate.school),
					guide: rate.packTitle,
					answer: inSystem(rate.worksheet, units),
					cost: rate.cost,
					none: rate.applies && rate.rate === 0 ? rate.reason : undefined
				}))
		};
	});
	const guides = (advice?.answer.rates ?? []).filter(({ applies }) => applies).map(({ packTitle }) => packTitle);
	return {
		goalPage: goalPage(fieldYear),
		rows,
		guides: [...new Set(guides)],
		hasPasses: (advice?.passes.length ?? 0) > 0,
		units
	};
};
