import type { Database } from 'better-sqlite3';
import { withSeen, type Choice } from '../../../../core/rates/choose';
import { programmeAfter, type ProgrammeChange } from '../../../../core/season/propose/programme-after';
import type { Rate } from '../../../../core/schema-types';
import { formatQuantity } from '../../../../core/units/display';
import { inSystem, unitInSystem, valueInSystem, type UnitSystem } from '../../../../core/units/rate-units';
import { ActionError } from '../../book/action-error';
import { adviceFrom, type Advice, type FieldYear } from '../field-year';
import { recordsOf } from '../field-request';
import type { Library } from '../../knowledge';
import { listCurves } from '../../stores/response-curves';
import { listCropTests, type CropTest, type CropTestKind } from '../../stores/tests/crop-tests';
import { longDate } from '../../../../core/units/day-text';

/** What a test in the crop changes: the rate of nitrogen, the passes, and in words why. */
export interface AfterTest {
	choices: Choice[];
	change: ProgrammeChange;
	/** The event's label. */
	why: string;
}

/**
 * The season by a test in the crop.
 * @throws ActionError where a newer test of its kind is in use, or the test gives no rate, with the reason
 */
export function afterTest(
	db: Database,
	library: Library,
	fieldYear: FieldYear,
	advice: Advice,
	test: CropTest,
	today: string,
	units: UnitSystem
): AfterTest {
	const newest = listCropTests(db, advice.goal.id).find(({ kind }) => kind === test.kind);
	if (newest?.id !== test.id) {
		throw new ActionError(
			`A newer test${newest?.found.date === undefined ? '' : ` of ${longDate(newest.found.date)}`} is in use; take that one back first.`
		);
	}
	const rate = rateByTest(advice, library, test.kind);
	if (!rate?.worksheet.applies) throw new ActionError(rate?.reason ?? 'No guide gives a rate by this test here.');
	const testedOn = test.found.date!;
	const records = recordsOf(db, fieldYear.field, advice.goal, fieldYear.samples, fieldYear.prices, listCurves(db));
	const choices: Choice[] = rate.stands === 'from now on' ? [{ nutrient: 'N', method: rate.method }] : [];
	const others = records.choices.filter(({ nutrient }) => !choices.some((choice) => choice.nutrient === nutrient));
	const { context, chosen } = adviceFrom(library, { ...records, choices: [...others, ...choices] }, today);
	const why = whyText(rate, test, advice, units);
	return {
		choices: withSeen(choices, chosen),
		change: programmeAfter(context, records.passes, testedOn, `${why}.`),
		why
	};
}

/** The rate of the first guide that goes by a test of this kind; one that applies before one that does not. */
export function rateByTest({ answer }: Advice, { packs }: Library, kind: CropTestKind): Rate | undefined {
	const methods = packs.rules.filter((rule) => rule.kind.test === kind).map(({ method }) => method);
	const rates = answer.rates.filter(({ method }) => methods.includes(method));
	return rates.find(({ applies }) => applies) ?? rates[0];
}

function whyText(rate: Rate, test: CropTest, { context }: Advice, units: UnitSystem): string {
	const amount = (answer: Rate['worksheet']) => {
		const shown = inSystem(answer, units);
		return shown.applies && shown.value > 0 ? formatQuantity(shown.value, shown.unit) : 'none';
	};
	const day = test.found.date!;
	const now = amount(rate.worksheet);
	if (test.kind === 'tillers') return `Tillering nitrogen ${now} by the count of ${longDate(day)} (${countText(rate)})`;
	const name =
		test.kind === 'nitrate'
			? `nitrate test of ${longDate(day)} (${test.found.nitratePpm} ppm)`
			: `strips of ${longDate(day)}`;
	const before = context.chosen.N;
	const was = before === undefined ? '' : `, was ${formatQuantity(...shownPounds(before, units))} for the season`;
	const total = rate.seasonTotal ? `, ${amount(rate.seasonTotal)} with what was applied` : '';
	return `Nitrogen ${now} from now on by the ${name}${total}${was}`;
}

function countText({ worksheet }: Rate): string {
	const count = worksheet.applies ? worksheet.inputs[0] : undefined;
	return count ? formatQuantity(count.value, count.unit) : '';
}

function shownPounds(pounds: number, units: UnitSystem): [number, string] {
	return [valueInSystem(pounds, 'lb/ac', units), unitInSystem('lb/ac', units)];
}
