import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { sameLeaves } from '../../../../core/reading/leaf/leaf-range';
import type { LeafRanges, OwnLeafRanges } from '../../../../core/schema-types';
import { act } from '../../book/act';
import { fromJson } from '../../from-json';

/** The adviser's own ranges, by crop. */
export function listOwnLeafRanges(db: Database): OwnLeafRanges[] {
	return db
		.prepare<[], { id: string; ranges: string }>(
			"SELECT id, ranges FROM own_leaf_ranges ORDER BY ranges ->> '$.crop', ranges ->> '$.part', seq"
		)
		.all()
		.map(({ id, ranges }) => ({ id, ranges: fromJson<LeafRanges>(ranges) }));
}

/** Saves ranges, all in one action; those of the same crop, leaves, time and age are replaced. */
export function saveOwnLeafRanges(db: Database, all: readonly LeafRanges[], label: string): void {
	const known = listOwnLeafRanges(db);
	act(db, { label }, (writer) => {
		for (const ranges of all) {
			const id = known.find((one) => sameLeaves(one.ranges, ranges))?.id ?? randomUUID();
			writer.put('own_leaf_ranges', { id, ranges: JSON.stringify(ranges) });
		}
	});
}

export function removeOwnLeafRanges(db: Database, id: string): void {
	const { ranges } = listOwnLeafRanges(db).find((one) => one.id === id)!;
	act(db, { label: `Deleted the leaf ranges of ${ranges.part}` }, (writer) => writer.remove('own_leaf_ranges', id));
}
