import { valueIfKnown } from '../../../core/figure/figure';
import { plantAge } from '../../../core/ground/block/block-age';
import { answerLeaf } from '../../../core/reading/leaf/answer-leaf';
import type { LeafAnswer, LeafLogEntry, LeafRequest, Sample, SheetLeafTest } from '../../../core/schema-types';
import { longDate } from '../../../core/units/day-text';
import type { Database } from 'better-sqlite3';
import type { Library } from '../knowledge';
import { blockOf, listSamples, type FieldRow } from '../stores/fields';
import { listLeafTests } from '../stores/tests/leaf-tests';

const SPOTS = { whole: 'whole field', good: 'good spot', bad: 'bad spot' } as const;

/** A leaf test of the log with what it says. */
export interface LeafReading {
	test: ReturnType<typeof listLeafTests>[number];
	/** "9 Jul 2025, soybean at first bloom, bad spot". */
	title: string;
	answer: LeafAnswer;
}

/** The leaf tests of a field up to a year, the newest first, each read where part and stage allow; a bad spot beside its good one. */
export function readLeafTests(
	book: Database,
	library: Pick<Library, 'crops' | 'leafRanges' | 'packs'>,
	field: FieldRow,
	year: number
): LeafReading[] {
	const tests = listLeafTests(book, field.id)
		.filter(({ takenOn }) => yearIn(takenOn) <= year)
		// Of one day the bad spot stands before the good one.
		.sort((a, b) => b.takenOn.localeCompare(a.takenOn) || a.spot.localeCompare(b.spot));
	const soils = listSamples(book, field.id).map(({ report }) => report);
	const block = blockOf(field);
	return tests.map((test) => {
		const age = block && valueIfKnown(plantAge(block, yearIn(test.takenOn)));
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
		const crop = library.crops.find(({ id }) => id === test.crop)?.name ?? test.crop;
		return {
			test,
			title: `${longDate(test.takenOn)}, ${crop.toLowerCase()} at ${test.stage}, ${SPOTS[test.spot]}`,
			answer: answerLeaf(request, library)
		};
	});
}

/** What the leaf tests of a year and the one before it found, for sheet and rates; without those that found nothing. */
export function leafFindings(
	book: Database,
	library: Pick<Library, 'crops' | 'leafRanges' | 'packs'>,
	field: FieldRow,
	year: number
): SheetLeafTest[] {
	return readLeafTests(book, library, field, year)
		.filter(({ test, answer }) => yearIn(test.takenOn) >= year - 1 && answer.findings.length > 0)
		.map(({ title, answer }) => ({
			title,
			findings: answer.findings.map(({ severity, text, remedy }) => ({ severity, text: `${text} ${remedy}` }))
		}));
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

function yearIn(day: string): number {
	return Number(day.slice(0, 4));
}

/** The good spot that was picked with a bad one. */
function goodBeside(other: LeafLogEntry, bad: LeafLogEntry): boolean {
	return other.spot === 'good' && other.takenOn === bad.takenOn && other.crop === bad.crop && other.stage === bad.stage;
}
