import { currentLibrary } from '$lib/server/current-library';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => {
	const { houseRules, seasonLimits } = currentLibrary();
	return { title: 'House rules', rules: houseRules, usual: seasonLimits.besideSeed };
};
