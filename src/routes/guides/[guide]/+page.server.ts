import { error } from '@sveltejs/kit';
import { currentLibrary } from '$lib/server/current-library';
import { removalTable } from '$core/rates/phosphorus-potassium/removal-compared';
import { listGuides, listGuideVersions } from '$lib/server/stores/guides';
import { theBook } from '$lib/server/the-book';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
	const guide = currentLibrary().packs.packs.find(({ id }) => id === params.guide);
	if (!guide) error(404, 'There is no such guide.');
	const own = listGuides(theBook()).some(({ document }) => document.id === guide.id);
	const versions = listGuideVersions(theBook(), guide.id).map(({ version, savedAt }) => ({ version, savedAt }));
	const crops = currentLibrary().crops.map(({ id, name }) => ({ id, name }));
	const { packs, crops: all } = currentLibrary();
	const removal = removalTable(packs, all, guide.id);
	return { removal, title: guide.title, guide, own, versions, crops };
};
