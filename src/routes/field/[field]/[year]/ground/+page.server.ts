import type { Setback } from '$core/schema-types';
import { currentLibrary } from '$lib/server/current-library';
import { boundaryOf } from '$lib/server/field-param';
import { listZones } from '$lib/server/stores/ground-maps';
import { fieldYearOf } from '$lib/server/params';
import { listFieldYears } from '$lib/server/stores/field-years';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
	const { field, samples, year } = fieldYearOf(params);
	const { crops } = currentLibrary();
	const zones = listZones(theBook(), field.id);
	return {
		field,
		boundary: boundaryOf(field),
		zones: zones.map(({ name, shape }, at) => ({ name, shape, share: (0.8 * at) / Math.max(1, zones.length - 1) })),
		year,
		setbacks: (field.setbacks === null ? [] : JSON.parse(field.setbacks)) as Setback[],
		samples: samples.map(({ id, lab, labNumber, report }) => ({
			id,
			lab,
			labNumber,
			date: report.date,
			layers: report.layers
		})),
		history: listFieldYears(theBook(), field.id).map((row) => {
			const crop = crops.find(({ id }) => id === row.crop);
			return {
				year: row.year,
				crop: crop?.name ?? row.crop,
				unit: crop?.yieldUnit ?? '',
				goal: row.yield_goal,
				harvested: row.harvested_yield
			};
		})
	};
};
