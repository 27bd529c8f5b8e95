import { guidesOff, listGuides } from '../../stores/guides';
import type { Desk } from '../../desk';

/** The guides in use and set aside, the adviser’s own first. */
export function guidesPage({ book, library }: Desk) {
	const own = new Map(listGuides(book).map(({ document, savedAt }) => [document.id, savedAt]));
	const off = guidesOff(book);
	const guides = library.packs.packs.map(({ id, title, version, region, edition, rules }) => ({
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
}
