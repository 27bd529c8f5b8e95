import { currentLibrary } from '$lib/server/current-library';
import { pricesOn } from '$lib/server/stores/prices';
import { listCurves } from '$lib/server/stores/response-curves';
import { theBook } from '$lib/server/the-book';
import { today } from '$lib/server/today';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ url }) => {
	const prices = pricesOn(theBook(), today());
	return {
		title: 'Fit a trial',
		from: listCurves(theBook()).find(({ id }) => id === url.searchParams.get('from')),
		nitrogenPrice: prices.get('nutrient:N'),
		crops: currentLibrary()
			.crops.filter(({ perennial }) => !perennial)
			.map(({ id, name, yieldUnit }) => ({ id, name, yieldUnit, price: prices.get(`grain:${id}`) }))
	};
};
