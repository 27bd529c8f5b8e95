import { fromJson } from '../from-json';
import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { Choice } from '../../../core/rates/choose';
import type {
	BlockYear,
	CropId,
	GoalAction,
	NitrogenTerms,
	Pass,
	PhScale,
	PreviousCropId,
	RateNutrient
} from '../../../core/schema-types';
import type { BookedPass } from '../../../core/season/propose/nitrogen-programme';
import { standingApplications, type RecordedPass } from '../../../core/season/applied/recorded-pass';
import { appliedOf, whatHappened } from '../../../core/season/applied/what-happened';
import { RECORDED_PASS, recordedPass, type RecordedPassRow } from './plan/applications';
import { planText, writeChoices, writeSeason } from './plan/write-season';
import { act } from '../book/act';
import { ActionError } from '../book/action-error';

export interface FieldYearRow {
	id: string;
	field_id: string;
	year: number;
	crop: CropId;
	yield_goal: number;
	previous_crop: PreviousCropId | null;
	planting_date: string | null;
	row_spacing_in: number | null;
	target_ph: number | null;
	harvested_yield: number | null;
	residue_removed_percent: number | null;
	starter_p2o5: number | null;
	target_ph_scale: PhScale | null;
	liming_product: string | null;
	lime_depth_in: number | null;
	lime_placement: 'incorporated' | 'surface' | null;
	next_crop: CropId | null;
	next_yield_goal: number | null;
	/** NitrogenTerms as JSON. */
	nitrogen: string | null;
	/** BlockYear as JSON. */
	block_year: string | null;
	irrigation: string | null;
	/** Followed as JSON: the house programme that it was planned by. */
	followed: string | null;
	/** CatchCrop as JSON: what is sown after the harvest. */
	catch_crop: string | null;
	/** SecondCrop as JSON: what is planted after the harvest of the same year. */
	second_crop: string | null;
}

export function findFieldYear(db: Database, fieldId: string, year: number): FieldYearRow | undefined {
	return db
		.prepare<[string, number], FieldYearRow>('SELECT * FROM field_year WHERE field_id = ? AND year = ?')
		.get(fieldId, year);
}

export function listFieldYears(db: Database, fieldId: string): FieldYearRow[] {
	return db
		.prepare<[string], FieldYearRow>('SELECT * FROM field_year WHERE field_id = ? ORDER BY year DESC')
		.all(fieldId);
}

/** The goal of a year: what an adviser sets before asking for rates. */
export type Goal = Pick<
	FieldYearRow,
	'crop' | 'yield_goal' | 'previous_crop' | 'planting_date' | 'row_spacing_in' | 'target_ph'
> &
	Partial<Pick<FieldYearRow, 'target_ph_scale' | 'residue_removed_percent' | 'starter_p2o5'>>;

/** The columns of a goal as it is told: what is not told is not known. */
export function goalColumns(goal: Omit<GoalAction, 'seen'>): Goal {
	return {
		crop: goal.crop,
		yield_goal: goal.yieldGoal,
		previous_crop: goal.previousCrop ?? null,
		planting_date: goal.plantingDate ?? null,
		row_spacing_in: goal.rowSpacingIn ?? null,
		target_ph: goal.targetPh ?? null,
		target_ph_scale: goal.targetPhScale ?? null,
		residue_removed_percent: goal.residueRemovedPercent ?? null,
		starter_p2o5: goal.starterP2O5 ?? null
	};
}

export function setGoal(db: Database, fieldId: string, year: number, goal: Goal): void {
	act(db, { label: `Set the goal for ${year}`, fieldId }, (writer) => {
		const now = findFieldYear(db, fieldId, year);
		if (now) writer.update('field_year', now.id, { ...goal });
		else writer.insert('field_year', { id: randomUUID(), field_id: fieldId, year, harvested_yield: null, ...goal });
	});
}

/** How the field is limed this year; what is left out is as usual. */
export type LimingChoice = Pick<FieldYearRow, 'liming_product' | 'lime_depth_in' | 'lime_placement'>;

export function setLiming(db: Database, fieldYear: FieldYearRow, liming: LimingChoice): void {
	act(db, { label: 'Changed how the field is limed', fieldYear }, (writer) =>
		writer.update('field_year', fieldYear.id, { ...liming })
	);
}

/**
 * What holds of a block in a year: its days, its leaf test, how it bears.
 * @param moved passes that move along with its days
 */
export function setBlockYear(
	db: Database,
	fieldYear: FieldYearRow,
	blockYear: BlockYear,
	moved: readonly Pass[]
): void {
	const along = moved.length === 0 ? '' : `; ${moved.length} ${moved.length === 1 ? 'pass' : 'passes'} moved along`;
	act(db, { label: `Changed what holds of the block in ${fieldYear.year}${along}`, fieldYear }, (writer) => {
		writer.update('field_year', fieldYear.id, { block_year: JSON.stringify(blockYear) });
		for (const pass of moved) writer.update('pass', pass.id, { plan: planText(pass) });
	});
}

/** Frost or hail: the expected crop falls, and with it the passes still to come and the nitrogen settled on. */
export function cutCrop(
	db: Database,
	fieldYear: FieldYearRow,
	{ label, yieldGoal, passes, choice }: { label: string; yieldGoal: number; passes: readonly Pass[]; choice?: Choice }
): void {
	act(db, { label, fieldYear }, (writer) => {
		writer.update('field_year', fieldYear.id, { yield_goal: yieldGoal });
		for (const pass of passes) {
			// Nothing of it is wanted any more.
			if (pass.rate === 0) writer.remove('pass', pass.id);
			else writer.update('pass', pass.id, { plan: planText(pass) });
		}
		if (choice) writeChoices(writer, fieldYear, [choice]);
	});
}

export function blockYearOf({ block_year }: Pick<FieldYearRow, 'block_year'>): BlockYear {
	return block_year === null ? {} : fromJson<BlockYear>(block_year);
}

/** What the adviser wants of nitrogen this year, and what else brings some. */
export function setNitrogenTerms(db: Database, fieldYear: FieldYearRow, terms: NitrogenTerms): void {
	act(db, { label: 'Changed the terms of nitrogen', fieldYear }, (writer) =>
		writer.update('field_year', fieldYear.id, { nitrogen: JSON.stringify(terms) })
	);
}

export function listChoices(db: Database, fieldYearId: string): Choice[] {
	return db
		.prepare<
			[string],
			{
				nutrient: RateNutrient;
				method: string | null;
				own_rate: number | null;
				reason: string | null;
				both_years: number;
				seen: number | null;
			}
		>('SELECT nutrient, method, own_rate, reason, both_years, seen FROM choice WHERE field_year_id = ?')
		.all(fieldYearId)
		.map(({ nutrient, method, own_rate, reason, both_years, seen }) =>
			method === null
				? { nutrient, ownRate: own_rate!, reason: reason! }
				: {
						nutrient,
						method,
						...(both_years === 1 ? { bothYears: true as const } : {}),
						...(seen === null ? {} : { seen })
					}
		);
}

/**
 * Settles nutrients of a year at once.
 * @param terms of nitrogen that go with them; as they are where left out
 */
export function choose(
	db: Database,
	fieldYear: FieldYearRow,
	choices: readonly Choice[],
	label: string,
	terms?: NitrogenTerms
): void {
	act(db, { label, fieldYear }, (writer) => {
		if (terms) writer.update('field_year', fieldYear.id, { nitrogen: JSON.stringify(terms) });
		writeChoices(writer, fieldYear, choices);
	});
}

export function unchoose(db: Database, fieldYear: FieldYearRow, nutrient: RateNutrient): void {
	act(db, { label: `Left ${nutrient} open`, fieldYear }, (writer) =>
		writer.remove('choice', `${fieldYear.id}:${nutrient}`)
	);
}

/** Passes in order of date, as they are planned, with what is recorded on them. */
export function listPasses(db: Database, fieldYearId: string): RecordedPass[] {
	return db
		.prepare<[string], RecordedPassRow>(
			`SELECT ${RECORDED_PASS} FROM pass p WHERE p.field_year_id = ? ORDER BY p.date, p.seq`
		)
		.all(fieldYearId)
		.map(recordedPass);
}

/** The season as it went and is planned on: what was applied, part by part, and what is left to apply. */
export function seasonSoFar(db: Database, fieldYearId: string): BookedPass[] {
	return whatHappened(listPasses(db, fieldYearId));
}

/** What was applied, part by part. */
export function appliedPasses(db: Database, fieldYearId: string): Pass[] {
	return appliedOf(seasonSoFar(db, fieldYearId));
}

/** Passes of the two years before a year on a field, with how many years ago that was. */
export function listEarlierPasses(db: Database, fieldId: string, year: number): { plan: Pass; yearsAgo: number }[] {
	return db
		.prepare<[number, string, number, number], RecordedPassRow & { years_ago: number }>(
			`SELECT ${RECORDED_PASS}, ? - y.year AS years_ago FROM pass p JOIN field_year y ON y.id = p.field_year_id
			WHERE y.field_id = ? AND y.year BETWEEN ? AND ?`
		)
		.all(year, fieldId, year - 2, year - 1)
		.flatMap(({ years_ago, ...row }) =>
			whatHappened([recordedPass(row)]).map(({ plan }) => ({ plan, yearsAgo: years_ago }))
		);
}

/**
 * Replaces some passes by others in one action. Passes without a row of their own get one.
 * @param removed ids of the passes to go
 */
export function changePasses(
	db: Database,
	fieldYear: FieldYearRow,
	label: string,
	removed: readonly string[],
	added: readonly Pass[]
): void {
	changeSeason(db, fieldYear, label, [], removed, added);
}

/** Settles rates and replaces passes in one action. */
export function changeSeason(
	db: Database,
	fieldYear: FieldYearRow,
	label: string,
	choices: readonly Choice[],
	removed: readonly string[],
	added: readonly Pass[]
): void {
	act(db, { label, fieldYear }, (writer) =>
		writeSeason(writer, fieldYear, listPasses(db, fieldYear.id), { choices, removed, added })
	);
}

/**
 * Records a pass as applied as planned, or takes that back.
 * @throws ActionError for a pass with entries of its own, which say what was applied
 */
export function markDone(
	db: Database,
	fieldYear: FieldYearRow,
	{ id, label: pass }: Pass,
	doneOn: string | null
): void {
	const recorded = listPasses(db, fieldYear.id).find(({ plan }) => plan.id === id);
	if (recorded && standingApplications(recorded.applications).length > 0) {
		throw new ActionError(
			`What was applied of ${pass} is recorded load by load: record the rest so too, or correct an entry, under Scouting and records.`
		);
	}
	const label = doneOn ? `Recorded ${pass} as applied` : `Undid that ${pass} was applied`;
	act(db, { label, fieldYear }, (writer) => writer.update('pass', id, { done_on: doneOn }));
}

export function bookHarvest(db: Database, fieldYear: FieldYearRow, harvested: number | null): void {
	act(db, { label: `Recorded the ${fieldYear.year} harvest`, fieldYear }, (writer) =>
		writer.update('field_year', fieldYear.id, { harvested_yield: harvested })
	);
}
