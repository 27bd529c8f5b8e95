import { valueIfKnown } from '../../../core/figure/figure';
import { plantAge } from '../../../core/ground/block/block-age';
import { answerLeaf } from '../../../core/reading/leaf/answer-leaf';
import { leafVerdicts } from '../../../core/reading/leaf/read-leaf';
import { goesByAge, leafRangesFor } from '../../../core/reading/leaf/leaf-range';
import type { LeafLogEntry, LeafRequest, Sample } from '../../../core/schema-types';
import type { Desk } from '../desk';
import type { FieldYear } from '../field/field-year';
import { blockOf, listSamples } from '../stores/fields';
import { listLeafTests } from '../stores/tests/leaf-tests';

/** The leaf tests of a field up to a year, each read where part and stage allow; a bad spot beside the good one of its day. */
export function leafLog({ book, library, today }: Desk, { field, year, goal }: FieldYear) {
	const tests = listLeafTests(book, field.id)
		.filter(({ takenOn }) => Number(takenOn.slice(0, 4)) <= year)
		// Of one day the bad spot stands before the good one.
		.sort((a, b) => b.takenOn.localeCompare(a.takenOn) || a.spot.localeCompare(b.spot));
	const soils = listSamples(book, field.id).map(({ report }) => report);
	const block = blockOf(field);
	const crop = library.crops.find(({ id }) => id === goal?.crop);
	const usual = crop && leafRangesFor({ crop, block, cropYear: year }, library.leafRanges);
	return {
		fieldId: field.id,
		today,
		crop: crop && { id: crop.id, name: crop.name },
		usual: usual && { part: usual.part, when: usual.when, stage: goesByAge(usual) ? '' : usual.when },
		tests: tests.map((test) => {
			const age = block && valueIfKnown(plantAge(block, Number(test.takenOn.slice(0, 4))));
			const good = test.spot === 'bad' ? tests.find((other) => goodBeside(other, test)) : undefined;
			const soil = good && soilsOf(test, soils);
			const request: LeafRequest = {
				crop: test.crop,
				part: test.part,
				stage: test.stage,
				results: test.results,
				...(age === undefined ? {} : { age }),
				...(good ? { goodSpot: good.results } : {}),
				...(soil ? { soil } : {})
			};
			const answer = answerLeaf(request, library);
			return {
				...test,
				cropName: library.crops.find(({ id }) => id === test.crop)?.name ?? test.crop,
				answer,
				verdicts: answer.readable && answer.ranges ? leafVerdicts(test.results, answer.ranges) : []
			};
		})
	};
}

/** The soil of both spots, sampled in the year of the leaves: of each the day nearest to theirs. */
function soilsOf({ takenOn }: LeafLogEntry, samples: readonly Sample[]): LeafRequest['soil'] {
	const nearest = (spot: Sample['spot']) =>
		samples
			.filter((sample) => sample.spot === spot && sample.date?.slice(0, 4) === takenOn.slice(0, 4))
			.sort((a, b) => daysApart(a.date!, takenOn) - daysApart(b.date!, takenOn))[0];
	const [bad, good] = [nearest('bad'), nearest('good')];
	return bad && good && { bad, good };
}

function daysApart(a: string, b: string): number {
	return Math.abs(Date.parse(a) - Date.parse(b));
}

/** The good spot that was picked with a bad one. */
function goodBeside(other: LeafLogEntry, bad: LeafLogEntry): boolean {
	return other.spot === 'good' && other.takenOn === bad.takenOn && other.crop === bad.crop && other.stage === bad.stage;
}
