import { currentLibrary } from '$lib/server/current-library';
import { guidesOff, listGuides } from '$lib/server/stores/guides';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => {
	const own = new Map(listGuides(theBook()).map(({ document, savedAt }) => [document.id, savedAt]));
	const off = guidesOff(theBook());
	const guides = currentLibrary().packs.packs.map(({ id, title, version, region, edition, rules }) => ({
		id,
		title,
		version,
		region,
		edition,
		gives: [...new Set(rules.filter(({ school }) => school).map(({ gives }) => gives))],
		own: own.has(id),
		off: off.has(id)
	}));
	return { title: 'Guides', guides: guides.sort((a, b) => Number(b.own) - Number(a.own)) };
};
