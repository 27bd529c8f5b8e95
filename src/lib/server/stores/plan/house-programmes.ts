import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { Followed, HouseProgramme } from '../../../../core/schema-types';
import { act, type Writer } from '../../book/act';
import { ActionError } from '../../book/action-error';
import { fromJson } from '../../from-json';
import type { FieldYearRow } from '../field-years';

/** A house programme as it is in use. */
export interface HouseProgrammeRecord extends HouseProgramme {
	id: string;
	version: number;
}

/** In the order in which they are looked through for a field. */
export function listHouseProgrammes(db: Database): HouseProgrammeRecord[] {
	return db
		.prepare<[], { id: string; version: number; content: string }>(
			'SELECT id, version, content FROM house_programme ORDER BY place, seq'
		)
		.all()
		.map(({ id, version, content }) => ({ ...fromJson<HouseProgramme>(content), id, version }));
}

/** A version as it was saved, also of a programme that was removed since. */
export function findHouseProgramme(
	db: Database,
	{ programme, version }: Pick<Followed, 'programme' | 'version'>
): HouseProgramme | undefined {
	const row = db
		.prepare<[string, number], { content: string }>(
			'SELECT content FROM house_programme_version WHERE programme_id = ? AND version = ?'
		)
		.get(programme, version);
	return row && fromJson<HouseProgramme>(row.content);
}

export function addHouseProgramme(db: Database, programme: HouseProgramme, today: string): string {
	freeName(db, programme.name);
	const last = db.prepare<[], { place: number }>('SELECT ifnull(max(place), 0) AS place FROM house_programme').get()!;
	return act(db, { label: `Wrote the house programme ${programme.name}` }, (writer) =>
		writeHouseProgramme(writer, last.place + 1, programme, today)
	);
}

/** Saves a programme as its next version; one that says the same is not saved again. */
export function changeHouseProgramme(db: Database, id: string, programme: HouseProgramme, today: string): void {
	const content = JSON.stringify(programme);
	act(db, { label: `Changed the house programme ${programme.name}` }, (writer) => {
		freeName(db, programme.name, id);
		const { content: now } = db
			.prepare<[string], { content: string }>('SELECT content FROM house_programme WHERE id = ?')
			.get(id)!;
		if (now === content) return;
		const newest = db
			.prepare<[string], { version: number }>(
				'SELECT max(version) AS version FROM house_programme_version WHERE programme_id = ?'
			)
			.get(id)!;
		const version = newest.version + 1;
		writer.update('house_programme', id, { version, content });
		const row = { programme_id: id, version, saved_on: today, content };
		writer.insert('house_programme_version', { id: `${id}@${version}`, ...row });
	});
}

/** Takes a programme out of use; its versions stay, because fields follow them. */
export function removeHouseProgramme(db: Database, id: string): void {
	const found = listHouseProgrammes(db).find((one) => one.id === id);
	act(db, { label: `Removed the house programme ${found?.name ?? ''}` }, (writer) =>
		writer.remove('house_programme', id)
	);
}

export function followedOf({ followed }: Pick<FieldYearRow, 'followed'>): Followed | undefined {
	return followed === null ? undefined : fromJson<Followed>(followed);
}

/** The house programme that each field's year was planned by, by the field. */
export function listFollowed(db: Database, year: number): ReadonlyMap<string, Followed> {
	const rows = db
		.prepare<[number], { field_id: string; followed: string }>(
			'SELECT field_id, followed FROM field_year WHERE year = ? AND followed IS NOT NULL'
		)
		.all(year);
	return new Map(rows.map(({ field_id, followed }) => [field_id, fromJson<Followed>(followed)]));
}

function freeName(db: Database, name: string, id?: string): void {
	if (listHouseProgrammes(db).some((one) => one.name === name && one.id !== id)) {
		throw new ActionError(`There is a house programme named ${name} already; give this one another name.`);
	}
}

/** Writes a programme that the book does not have yet, as its first version. */
export function writeHouseProgramme(writer: Writer, place: number, programme: HouseProgramme, today: string): string {
	const id = randomUUID();
	const content = JSON.stringify(programme);
	writer.insert('house_programme', { id, place, version: 1, content });
	const version = { id: `${id}@1`, programme_id: id, version: 1, saved_on: today, content };
	writer.insert('house_programme_version', version);
	return id;
}
