import { planningYear } from '../../field/planning-year';
import { listRoster } from '../../stores/roster';
import type { Desk } from '../../desk';

/** The fields of the map of the whole book. */
export function mapPage({ book, today }: Desk) {
	const year = planningYear(today);
	return {
		title: 'Map',
		year,
		fields: listRoster(book, year).map(({ id, name, grower, areaAc, crop }) => ({
			id,
			name,
			grower,
			areaAc,
			crop
		}))
	};
}
