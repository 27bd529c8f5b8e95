import { valueIfKnown } from '../../../core/figure/figure';
import { plantAge } from '../../../core/ground/block/block-age';
import { leafVerdicts } from '../../../core/reading/leaf/read-leaf';
import { rangesKnown } from '../../../core/reading/leaf/leaf-range';
import type { Desk } from '../desk';
import type { FieldYear } from '../field/field-year';
import { readLeafTests } from '../field/leaf-readings';
import { blockOf } from '../stores/fields';

/** The leaf tests of a field up to a year with what they say, and what the next is picked for. */
export function leafLog({ book, library, today }: Desk, { field, year, goal }: FieldYear) {
	const block = blockOf(field);
	const crop = library.crops.find(({ id }) => id === goal?.crop);
	const age = block && valueIfKnown(plantAge(block, year));
	return {
		fieldId: field.id,
		today,
		crop: crop && { id: crop.id, name: crop.name },
		ranges: crop ? rangesKnown(crop.id, age, library.leafRanges) : [],
		tests: readLeafTests(book, library, field, year).map(({ test, title, answer }) => ({
			...test,
			title,
			answer,
			verdicts: answer.readable && answer.ranges ? leafVerdicts(test.results, answer.ranges) : []
		}))
	};
}
