import { sampleDue, samplingDay } from '../../../../core/ground/sampling/sample-age';
import type { Choice } from '../../../../core/rates/choose';
import { poundsPerAcre } from '../../../../core/season/plan/pass/pass-nutrients';
import { productOf } from '../../../../core/season/plan/plan-context';
import { LB_PER_SHORT_TON } from '../../../../core/units/factors';
import { quantityIn } from '../../../../core/units/amount-text';
import type { Crop } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { listFieldSamples, type FieldRow } from '../../stores/fields';
import { listChoices, listEarlierPasses, seasonSoFar, type FieldYearRow } from '../../stores/field-years';
import { nitrogenOfEarlierManure } from '../field-request';
import type { WorkGround } from './work-ground';

/** What a year takes over from those before it. */
interface Carried {
	choices: Choice[];
	changes: string[];
	notes: string[];
}

/**
 * What the years before carry into a year: P and K that were put on for two crops, lime that went on after the newest sample, what
 * manure still gives, and whether a sample is due. Nutrients that are chosen already stay as they are.
 */
export function carriedInto(
	ground: WorkGround,
	field: FieldRow,
	before: FieldYearRow | undefined,
	now: FieldYearRow | undefined,
	crop: Pick<Crop, 'perennial'>
): Carried {
	const settled = now ? listChoices(ground.book, now.id) : [];
	const sampledOn = listFieldSamples(ground.book, field.id)[0]?.report.date;
	const found = [...(before ? twoYears(ground, before) : []), ...limeSince(ground, field, before, sampledOn)];
	const choices = found.filter(({ nutrient }) => !settled.some((choice) => choice.nutrient === nutrient));
	return {
		choices,
		changes: choices.map(({ nutrient, reason }) => `${nutrient} none: ${reason}`),
		notes: [...manureNote(ground, field), ...sampleNote(ground, field, crop, sampledOn)]
	};
}

function none(nutrient: Choice['nutrient'], reason: string): Choice & { reason: string } {
	return { nutrient, ownRate: 0, reason };
}

/** P and K of the year before that were chosen for its crop and this one in one pass. */
function twoYears({ book }: WorkGround, before: FieldYearRow): (Choice & { reason: string })[] {
	// With a second crop they are for the two crops of that year.
	if (before.second_crop !== null) return [];
	return listChoices(book, before.id)
		.filter(({ bothYears }) => bothYears)
		.map(({ nutrient }) => none(nutrient, `the rate of ${before.year} is for both years`));
}

/** Lime that went on after the newest sample: what the sample asks for is there already, and still acting. */
function limeSince(
	{ book, library }: WorkGround,
	{ units }: FieldRow,
	before: FieldYearRow | undefined,
	sampledOn: string | undefined
): (Choice & { reason: string })[] {
	if (!before || sampledOn === undefined) return [];
	const limed = seasonSoFar(book, before.id).filter(
		({ plan, doneOn }) => productOf(plan, library.products).lime !== undefined && doneOn !== null && doneOn > sampledOn
	);
	const last = limed.at(-1);
	if (!last) return [];
	const tons = limed.reduce(
		(sum, { plan }) => sum + poundsPerAcre(plan, productOf(plan, library.products)) / LB_PER_SHORT_TON,
		0
	);
	const what = quantityIn(units, tons, 'short ton/ac');
	return [
		none(
			'lime',
			`${what} went on on ${longDate(last.doneOn!)}, after the sample of ${longDate(sampledOn)}, and still acts: sample before liming again`
		)
	];
}

function manureNote({ book, library, year }: WorkGround, { id, units }: FieldRow): string[] {
	const pounds = nitrogenOfEarlierManure(listEarlierPasses(book, id, year), library.products);
	return pounds > 0 ? [`manure of earlier years still gives ${quantityIn(units, pounds, 'lb/ac')} N`] : [];
}

function sampleNote(
	{ year }: WorkGround,
	{ texture }: FieldRow,
	{ perennial }: Pick<Crop, 'perennial'>,
	sampledOn: string | undefined
): string[] {
	const due = sampleDue(sampledOn, { textureClass: texture ?? undefined, perennial }, samplingDay(year));
	return due === undefined ? [] : [`a sample is due: ${due}`];
}
