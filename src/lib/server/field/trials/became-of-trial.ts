import type { Database } from 'better-sqlite3';
import { listGuides } from '../../stores/guides';
import { listCurves } from '../../stores/response-curves';
import { listOwnLeafRanges } from '../../stores/tests/own-leaf-ranges';
import type { BookTrial } from '../../stores/trials';

/** Something that names a trial as its source. */
interface Became {
	text: string;
	href: string;
}

/** What a trial is called where it is a source: "Crow Acre 2026, N rates". */
export function sourceName({ field, year, plan }: Pick<BookTrial, 'field' | 'year' | 'plan'>): string {
	return `${field} ${year}, ${plan.name}`;
}

/** What was made of a trial: curves, rules of own guides and own leaf ranges that name it as a source. */
export function becameOfTrial(book: Database, trial: BookTrial): Became[] {
	// A table of sites parts its columns by commas, so that names in it have none.
	const plain = (text: string) => text.replaceAll(',', '');
	const name = plain(sourceName(trial));
	const names = (source: unknown) => plain(JSON.stringify(source)).includes(name);
	return [
		...listCurves(book)
			.filter(({ source }) => names(source))
			.map(({ id, title }) => ({ text: `curve “${title}”`, href: `/curves?curve=${id}` })),
		...listGuides(book).flatMap(({ document }) =>
			document.rules.filter(names).map((rule) => ({
				text: `rule “${rule.title}” of “${document.title}”`,
				href: `/guides/${document.id}`
			}))
		),
		...listOwnLeafRanges(book)
			.filter(({ ranges }) => names(ranges))
			.map(({ ranges }) => ({ text: `leaf ranges of ${ranges.part}`, href: '/leaf-ranges' }))
	];
}
