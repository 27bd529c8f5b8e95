import { fieldYearOf } from '$lib/server/params';
import { theBook } from '$lib/server/the-book';
import { readSettings } from '$lib/server/stores/settings';
import { listSheets } from '$lib/server/stores/sheets';
import { workLine } from '$lib/server/work-line';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ params }) => {
	const fieldYear = fieldYearOf(params);
	const { field, advice, year } = fieldYear;
	const sheets = fieldYear.goal ? listSheets(theBook(), fieldYear.goal.id) : [];
	const severe = [...(advice?.answer.findings ?? []), ...(advice?.checks ?? [])].filter(
		({ severity }) => severity !== 'note'
	);
	return {
		title: `${field.name} ${year}`,
		fieldTitle: `${field.name} · ${field.grower}`,
		openCautions: severe.length,
		// The season's checks are what can still be changed; else what the report lacks.
		cautionsAt: advice?.checks.some(({ severity }) => severity !== 'note') ? 'season' : 'reading',
		hasSample: fieldYear.sample !== undefined,
		work: workLine(fieldYear, sheets, readSettings(theBook()).units)
	};
};
