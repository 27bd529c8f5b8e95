import { withoutEmpty } from '$core/check/typed-object';
import { deskOf } from '$lib/server/desk';
import { isOutOfDate } from '$lib/server/field/issue-sheet';
import { listSheets } from '$lib/server/stores/sheets';
import { workLine } from '$lib/server/pages/work-line';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ params, locals }) => {
	const desk = deskOf(locals);
	const fieldYear = desk.fieldYear(params);
	const { field, advice, year } = fieldYear;
	const sheets = fieldYear.goal ? listSheets(desk.book, fieldYear.goal.id) : [];
	const checks = advice?.checks() ?? [];
	const severe = [...(advice?.answer.findings ?? []), ...checks].filter(({ severity }) => severity !== 'note');
	return {
		title: `${field.name} ${year}`,
		fieldTitle: `${field.name} · ${field.grower}`,
		openCautions: severe.length,
		// The season's checks are what can still be changed; else what the report lacks.
		cautionsAt: checks.some(({ severity }) => severity !== 'note') ? 'season' : 'reading',
		hasSample: fieldYear.sample !== undefined,
		work: workLine(fieldYear, sheets, field.units, isOutOfDate(desk, fieldYear, sheets[0])),
		units: field.units,
		/** What the grower has of its own. */
		grower: withoutEmpty({ units: field.grower_units ?? undefined, station: field.grower_station ?? undefined })
	};
};
