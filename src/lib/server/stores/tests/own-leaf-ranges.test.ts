import { expect, it } from 'vitest';
import type { LeafRanges } from '../../../../core/schema-types';
import { library } from '../../../../core/testing.test-help';
import { undo, undoable } from '../../book/act';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { listOwnLeafRanges, removeOwnLeafRanges, saveOwnLeafRanges } from './own-leaf-ranges';

const ranges = (low: number, part = 'ear leaf'): LeafRanges => ({
	crop: 'corn-grain',
	part,
	when: 'initial silk',
	basis: 'adviser',
	ranges: { N: { low } }
});

it('own leaf ranges replace those of the same leaves, stand in the library at once, and can be undone', () => {
	const db = openBook(':memory:');
	const lowest = () =>
		libraryOf(db, library).leafRanges.filter(({ crop, part }) => crop === 'corn-grain' && part === 'ear leaf');
	const [shipped] = lowest();
	saveOwnLeafRanges(db, [ranges(2.5), ranges(4, 'whole plant')], 'Imported 2 leaf ranges');
	expect(lowest().map((one) => one.ranges.N!.low)).toEqual([2.5]);
	saveOwnLeafRanges(db, [ranges(2.7, 'Ear leaf')], 'Saved the leaf ranges of Ear leaf');
	expect(listOwnLeafRanges(db).map((one) => one.ranges.ranges.N!.low)).toEqual([2.7, 4]);
	undo(db, undoable(db)!.id);
	expect(lowest().map((one) => one.ranges.N!.low)).toEqual([2.5]);
	removeOwnLeafRanges(db, listOwnLeafRanges(db).find((one) => one.ranges.part === 'ear leaf')!.id);
	expect(lowest()).toEqual([shipped]);
	db.close();
});
