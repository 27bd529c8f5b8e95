import { error } from '@sveltejs/kit';
import type { Desk } from '../desk';
import { listBags, type BagRecord } from '../stores/sampling/bags';

/** The bags that an address asks for by their codes, in the order in which one walks them: by grower, field and running number. */
export function bagsAsked({ book }: Desk, query: URLSearchParams): BagRecord[] {
	const codes = query.getAll('bag');
	if (codes.length === 0) error(400, 'Say which bags: ?bag=27-0001-45, and again for each.');
	const known = new Map(listBags(book).map((one) => [one.code, one]));
	const asked = codes.map((code) => known.get(code) ?? error(404, `There is no bag ${code} in this book.`));
	return asked.sort(
		(a, b) => a.grower.localeCompare(b.grower) || a.field.localeCompare(b.field) || a.code.localeCompare(b.code)
	);
}
