import { InputError } from '../../../../core/check/problem';
import { leafRangeProblems } from '../../../../core/reading/leaf/check-leaf-ranges';
import type { LeafRangeBook, LeafRangeList, LeafRanges } from '../../../../core/schema-types';
import { cropIds, theLibrary, type Library } from '../../knowledge';
import { listOwnLeafRanges, removeOwnLeafRanges, saveOwnLeafRanges } from '../../stores/tests/own-leaf-ranges';
import { json, operation } from '../operation';

export const leafRangeOperations = [
	operation('GET /api/leaf-ranges', {
		summary: 'Lists what leaf tests are read against: the program’s ranges and the adviser’s own',
		answer: json<LeafRangeBook>('answers#/definitions/LeafRangeBook'),
		run: ({ desk }) => ({ shipped: [...theLibrary().leafRanges], own: listOwnLeafRanges(desk.book) })
	}),
	operation('POST /api/leaf-ranges', {
		summary: 'Saves leaf ranges of the adviser’s own; those of the same crop, leaves, time and age are replaced',
		body: json<LeafRanges>('leaf-ranges#/definitions/LeafRanges'),
		example: {
			crop: 'corn-grain',
			part: 'whole plant',
			when: 'V4 to V6',
			basis: 'adviser' as const,
			ranges: { N: { low: 3.5, high: 5 } }
		},
		run: ({ desk }, ranges) => {
			check([ranges], desk.library, '');
			saveOwnLeafRanges(desk.book, [ranges], `Saved the leaf ranges of ${ranges.part}`);
		}
	}),
	operation('POST /api/leaf-ranges/file', {
		summary: 'Imports leaf ranges of the adviser’s own from a file: all of them, or none',
		body: json<LeafRangeList>('leaf-ranges'),
		example: {
			ranges: [
				{
					crop: 'soybean',
					part: 'petiole',
					when: 'full bloom',
					basis: 'adviser' as const,
					ranges: { K: { low: 3, high: 5 } }
				}
			]
		},
		run: ({ desk }, { ranges }) => {
			check(ranges, desk.library, '/ranges');
			saveOwnLeafRanges(desk.book, ranges, `Imported ${ranges.length} leaf ranges`);
		}
	}),
	operation('DELETE /api/leaf-ranges/{ranges}', {
		summary: 'Deletes leaf ranges of the adviser’s own; the program’s stand again',
		run: ({ params, desk }) => removeOwnLeafRanges(desk.book, params.ranges)
	})
] as const;

/** @throws InputError for what the schema cannot see */
function check(all: readonly LeafRanges[], library: Library, at: string): void {
	const problems = leafRangeProblems(all, cropIds(library), at);
	if (problems.length > 0) throw new InputError(problems);
}
