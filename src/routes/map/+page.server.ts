import { planningYear } from '$lib/server/field/planning-year';
import { listRoster } from '$lib/server/stores/roster';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => {
	const year = planningYear(today());
	return {
		title: 'Map',
		year,
		fields: listRoster(theBook(), year).map(({ id, name, grower, areaAc, crop }) => ({
			id,
			name,
			grower,
			areaAc,
			crop
		}))
	};
};
