import { usualMethod } from '../../../ground/lab-file/lab-methods';
import { figure, notApplicable, type Answer, type Figure } from '../../../figure/figure';
import { usualLbPerPpm, usualTest, type PhosphateOrPotash } from '../../../rates/outlook/lb-per-ppm';
import type { SampledSoil } from '../../../reading/soil/sampled-soil';
import { TEST_SCATTER } from '../../../reading/soil/test-scatter';
import type { Trend } from '../../../reading/soil/trends';
import type { LabMethod } from '../../../schema-types';
import { quantityIn } from '../../../units/amount-text';
import type { UnitSystem } from '../../../units/rate-units';
import type { YearBalance } from './nutrient-balance';

/** How a soil test went between two samples, and what the balance of the years between says of it. */
export interface TestMove {
	nutrient: PhosphateOrPotash;
	/** "phosphorus, Bray P1, 0-8 in" */
	label: string;
	/** Days of the samples, YYYY-MM-DD. */
	from: string;
	to: string;
	/** ppm. */
	before: number;
	after: number;
	/** lb/ac of the crop years between the samples, together. */
	balance: Answer;
	/** ppm that this balance moves the test by, on this soil. */
	expected: Answer;
	/** In a sentence; undefined where the balance is not known. */
	said: string | undefined;
}

const OXIDE: Partial<Record<Trend['analyte'], PhosphateOrPotash>> = { P: 'P2O5', K: 'K2O' };

/** From September on the crop of the year is taken as off the field: common practice. */
const HARVESTED_FROM_MONTH = 9;

/**
 * Whether the soil tests for P and K followed what went on less what came off: each move of the topmost layer between two samples, beside
 * the balance of the crop years between them and what that balance should have done.
 * @param trends by one method and depth each
 * @param years of the field, in any order
 * @param soil of the newest sample, for what moves its K by a ppm
 * @param units of the reader, for the sentence alone
 * @returns the newest first; empty where P and K were not tested twice
 */
export function testMoves(
	trends: readonly Trend[],
	years: readonly YearBalance[],
	soil: SampledSoil,
	units: UnitSystem
): TestMove[] {
	return trends
		.flatMap((trend) => {
			const nutrient = OXIDE[trend.analyte];
			if (nutrient === undefined || trend.topIn > 0) return [];
			return trend.points
				.slice(1)
				.map((point, at) => moveOf(trend, nutrient, trend.points[at]!, point, years, soil, units));
		})
		.sort((a, b) => b.to.localeCompare(a.to) || a.label.localeCompare(b.label));
}

type Point = Trend['points'][number];

function moveOf(
	{ analyte, label, method }: Trend,
	nutrient: PhosphateOrPotash,
	first: Point,
	last: Point,
	years: readonly YearBalance[],
	soil: SampledSoil,
	units: UnitSystem
): TestMove {
	const balance = between(nutrient, first.date, last.date, years);
	const expected = expectedMove(nutrient, method ?? usualMethod(analyte), balance, soil);
	const move = { nutrient, label, from: first.date, to: last.date, before: first.value, after: last.value };
	return { ...move, balance, expected, said: balance.applies ? sentence(move, balance, expected, units) : undefined };
}

/** The last crop year that was harvested before a sample. */
function cropYearBefore(date: string): number {
	const [year = 0, month = 0] = date.split('-').map(Number);
	return month >= HARVESTED_FROM_MONTH ? year : year - 1;
}

function between(nutrient: PhosphateOrPotash, from: string, to: string, years: readonly YearBalance[]): Answer {
	const [first, last] = [cropYearBefore(from) + 1, cropYearBefore(to)];
	const label = first === last ? `${nutrient} of ${first}` : `${nutrient} of ${first} to ${last}`;
	if (first > last) return notApplicable(label, 'no harvest lies between the samples', 'Sample again after a harvest.');
	const parts: Figure[] = [];
	for (let year = first; year <= last; year++) {
		const of = years.find((one) => one.year === year)?.nutrients[nutrient].ofYear;
		if (!of) return notApplicable(label, `${year} is not in the book`, `Add its crop, harvest and passes.`);
		if (!of.applies) return { ...of, label };
		parts.push(of);
	}
	return figure({
		label,
		value: parts.reduce((sum, { value }) => sum + value, 0),
		unit: 'lb/ac',
		formula: 'sum of the years',
		inputs: parts,
		basis: parts[0]!.basis
	});
}

function expectedMove(
	nutrient: PhosphateOrPotash,
	method: LabMethod | undefined,
	balance: Answer,
	soil: SampledSoil
): Answer {
	const label = 'by the balance';
	if (!balance.applies) return { ...balance, label };
	if (method !== usualTest(nutrient)) {
		return notApplicable(
			label,
			'how much moves this test by 1 ppm is not known',
			'Compare the signs: did both go the same way?'
		);
	}
	const perPpm = usualLbPerPpm(nutrient, soil);
	if (!perPpm.applies) return { ...perPpm, label };
	return figure({
		label,
		value: balance.value / perPpm.value,
		unit: 'ppm',
		formula: 'balance / lb for each ppm',
		inputs: [balance, perPpm],
		basis: perPpm.basis,
		citation: perPpm.citation
	});
}

function sentence(
	{ before, after }: Pick<TestMove, 'before' | 'after'>,
	balance: Figure,
	expected: Answer,
	units: UnitSystem
): string {
	const moved = after - before;
	const scatter = TEST_SCATTER * Math.max(before, after);
	const unmoved = Math.abs(moved) <= scatter;
	if (expected.applies && Math.abs(moved - expected.value) <= scatter) {
		return unmoved ? 'Hardly moved, as the balance says.' : `${word(moved)} as the balance says.`;
	}
	const amount = quantityIn(units, Math.abs(Math.round(balance.value)), 'lb/ac');
	const surplus = `${amount} ${balance.value < 0 ? 'short' : 'over'}`;
	if (unmoved) {
		const why = balance.value < 0 ? 'the ground gave it from its reserve' : 'the ground tied it up, or it was lost';
		return expected.applies
			? `Hardly moved though the balance is ${surplus}: ${why}.`
			: 'Moved no more than samples scatter.';
	}
	if (Math.sign(moved) !== Math.sign(balance.value)) {
		return `${word(moved)} though the balance is ${surplus}: look at depth and month of sampling, and at rates that were not recorded, before the programme is changed.`;
	}
	if (!expected.applies) return `${word(moved)} with the balance.`;
	return `${word(moved)} with the balance, by ${Math.abs(moved) > Math.abs(expected.value) ? 'more' : 'less'} than it says.`;
}

const word = (moved: number) => (moved > 0 ? 'Rose' : 'Fell');
