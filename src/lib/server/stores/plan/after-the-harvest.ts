import type { Database } from 'better-sqlite3';
import type { CatchCrop, CropId, SecondCrop } from '../../../../core/schema-types';
import { act } from '../../book/act';
import { fromJson } from '../../from-json';
import type { FieldYearRow } from '../field-years';

/** Names the crop of the year after, or takes it back. */
export function setNextCrop(
	db: Database,
	fieldYear: FieldYearRow,
	next: Pick<FieldYearRow, 'next_crop' | 'next_yield_goal'>
): void {
	const label = next.next_crop ? `Named ${next.next_crop.replace('-', ' ')} as next crop` : 'Cleared the next crop';
	act(db, { label, fieldYear }, (writer) => writer.update('field_year', fieldYear.id, { ...next }));
}

/** Sows a catch crop after the harvest of a year, or takes that back. */
export function setCatchCrop(db: Database, fieldYear: FieldYearRow, catchCrop: CatchCrop | null): void {
	const label = catchCrop
		? `Set ${catchCrop.crop.replace('-', ' ')} after the ${fieldYear.year} harvest`
		: `Removed the catch crop after the ${fieldYear.year} harvest`;
	const catch_crop = catchCrop && JSON.stringify(catchCrop);
	act(db, { label, fieldYear }, (writer) => writer.update('field_year', fieldYear.id, { catch_crop }));
}

export function catchCropOf({ catch_crop }: Pick<FieldYearRow, 'catch_crop'>): CatchCrop | undefined {
	return catch_crop === null ? undefined : fromJson<CatchCrop>(catch_crop);
}

/** Plants a second crop after the harvest of a year, or takes that back. */
export function setSecondCrop(db: Database, fieldYear: FieldYearRow, second: SecondCrop | null): void {
	const { year } = fieldYear;
	const label = second
		? `Set ${second.id.replace('-', ' ')} as second crop of ${year}`
		: `Removed the second crop of ${year}`;
	const second_crop = second && JSON.stringify(second);
	act(db, { label, fieldYear }, (writer) => writer.update('field_year', fieldYear.id, { second_crop }));
}

export function secondCropOf({ second_crop }: Pick<FieldYearRow, 'second_crop'>): SecondCrop | undefined {
	return second_crop === null ? undefined : fromJson<SecondCrop>(second_crop);
}

/** The crop that stood last in a year. */
export function lastCropOf({ crop, second_crop }: Pick<FieldYearRow, 'crop' | 'second_crop'>): CropId {
	return secondCropOf({ second_crop })?.id ?? crop;
}
