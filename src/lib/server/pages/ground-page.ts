import { fromJson } from '../from-json';
import type { Setback } from '../../../core/schema-types';
import { factsOf } from '../api/standing';
import { boundaryOf } from '../field/zones/boundary-of';
import { listZones } from '../stores/ground-maps';
import { listFieldYears } from '../stores/field-years';
import type { Desk, FieldAddress } from '../desk';

/** The page of the ground: the field, its samples and its years. */
export function groundPage(desk: Desk, address: FieldAddress) {
	const { field, samples, year } = desk.fieldYear(address);
	const { crops } = desk.library;
	const zones = listZones(desk.book, field.id);
	return {
		field,
		/** The facts as they are sent, to say what a change starts from. */
		facts: factsOf(field),
		boundary: boundaryOf(field),
		zones: zones.map(({ name, shape }, at) => ({ name, shape, share: (0.8 * at) / Math.max(1, zones.length - 1) })),
		year,
		setbacks: field.setbacks === null ? [] : fromJson<Setback[]>(field.setbacks),
		samples: samples.map(({ id, lab, labNumber, report }) => ({
			id,
			lab,
			labNumber,
			date: report.date,
			layers: report.layers
		})),
		history: listFieldYears(desk.book, field.id).map((row) => {
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
}
