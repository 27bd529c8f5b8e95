import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { InSeason } from '../../../../core/schema-types';
import { act } from '../../book/act';
import type { FieldYearRow } from '../field-years';

/** What can be found in a standing crop. */
export type CropTestKind = keyof InSeason;

/** A test in the crop as it stands in the book. */
export type CropTest = { id: string } & {
	[K in CropTestKind]: { kind: K; found: NonNullable<InSeason[K]> };
}[CropTestKind];

const NAMES: Record<CropTestKind, string> = {
	nitrate: 'the nitrate test in the crop',
	tillers: 'the tiller count',
	strips: 'the N-rich and zero-N strips'
};

/** All tests of a year, the newest first. */
export function listCropTests(db: Database, fieldYearId: string): CropTest[] {
	return db
		.prepare<[string], { id: string; kind: CropTestKind; found: string }>(
			'SELECT id, kind, found FROM crop_test WHERE field_year_id = ? ORDER BY taken_on DESC, seq DESC'
		)
		.all(fieldYearId)
		.map(({ id, kind, found }) => ({ id, kind, found: JSON.parse(found) }));
}

/** The newest test of each kind: the ones in use. */
export function testsInUse(tests: readonly CropTest[]): InSeason {
	const newest = <K extends CropTestKind>(kind: K) =>
		tests.find((test): test is CropTest & { kind: K } => test.kind === kind)?.found as InSeason[K];
	const [nitrate, tillers, strips] = [newest('nitrate'), newest('tillers'), newest('strips')];
	return { ...(nitrate && { nitrate }), ...(tillers && { tillers }), ...(strips && { strips }) };
}

export function bookCropTest(db: Database, fieldYear: FieldYearRow, kind: CropTestKind, found: object): void {
	act(db, { label: `Recorded ${NAMES[kind]}`, fieldId: fieldYear.field_id }, (writer) =>
		writer.insert('crop_test', {
			id: randomUUID(),
			field_year_id: fieldYear.id,
			kind,
			found: JSON.stringify(found)
		})
	);
}

export function removeCropTest(db: Database, fieldYear: FieldYearRow, { id, kind }: CropTest): void {
	act(db, { label: `Deleted ${NAMES[kind]}`, fieldId: fieldYear.field_id }, (writer) => writer.remove('crop_test', id));
}
