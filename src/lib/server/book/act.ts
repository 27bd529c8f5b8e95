import { fromJson } from '../from-json';
import type { Database } from 'better-sqlite3';
import { ActionError } from './action-error';
import { columnsOf, NUMBER, writeRow } from './tables';
import { cutBetween, isAsLeft, LONG_TEXT, withoutCut, type TextCut } from './text-cut';
import { assertProductStands } from './products-stand';
import { reachOf, type Row } from './reach';
import { touchedFields } from './touched-fields';

/** The tables that actions may change; the event log and issued sheets are not among them. */
export type BookTable =
	| 'grower'
	| 'field'
	| 'sample'
	| 'bag'
	| 'field_year'
	| 'choice'
	| 'pass'
	| 'application'
	| 'price'
	| 'lab_mapping'
	| 'lab_import'
	| 'lab_import_row'
	| 'setting'
	| 'guide'
	| 'guide_version'
	| 'crop_test'
	| 'spread_check'
	| 'leaf_test'
	| 'own_leaf_ranges'
	| 'water_source'
	| 'water_report'
	| 'response_curve'
	| 'station'
	| 'own_product'
	| 'ground_layer'
	| 'zone'
	| 'prescription'
	| 'as_applied'
	| 'trial'
	| 'decision'
	| 'kept_plan'
	| 'house_programme'
	| 'house_programme_version';

/** One row as an action found and left it; null where there was or is none, else the columns that changed. */
interface Change {
	table: BookTable;
	id: string;
	before: Row | null;
	after: Row | null;
	/** Of the columns that changed, those that hold long texts; they are in neither of the two above. */
	cuts?: Record<string, TextCut>;
	/** Of a row that was removed under an older layout, its number among those of its table, which the row itself has since. */
	place?: number;
}

/** The writes open to an action. Each is kept in the event, so that it can be undone. */
export interface Writer {
	insert(table: BookTable, row: Row & { id: string }): void;
	/** Changes the named columns; does nothing where they already hold these values. */
	update(table: BookTable, id: string, columns: Row): void;
	/** Writes the row whether or not it is there. */
	put(table: BookTable, row: Row & { id: string }): void;
	remove(table: BookTable, id: string): void;
}

interface Action {
	/** What the adviser did, in the past tense: it stands on the undo button. */
	label: string;
	/** The field it is on; rows of other fields are then out of its reach. */
	fieldId?: string;
	/** Or the year of a field; rows of other years are out of its reach too. */
	fieldYear?: { id: string; field_id: string };
}

/**
 * Runs one user action: all of its writes and its event, or nothing.
 * @returns what `work` returns
 */
export function act<T>(db: Database, { label, fieldYear, ...on }: Action, work: (writer: Writer) => T): T {
	const fieldId = fieldYear?.field_id ?? on.fieldId;
	return db
		.transaction(() => {
			const changes: Change[] = [];
			const touched = touchedFields(db);
			const reach = reachOf(db, fieldId, fieldYear?.id);
			const result = work(
				writerOn(db, changes, (row, table) => {
					reach(row);
					touched.note(row, table);
				})
			);
			checkProducts(db, changes);
			const many = fieldId === undefined ? touched.fields() : [];
			if (changes.length > 0) record(db, label, fieldId ?? null, changes, null, many);
			return result;
		})
		.immediate();
}

/** Writes that are no user action and cannot be undone: filling an empty book. All or nothing. */
export function fill(db: Database, work: (writer: Writer) => void): void {
	db.transaction(() => work(writerOn(db, [], () => undefined))).immediate();
}

/** SQL: an event is about a field (named twice), alone or among others. */
export const ON_FIELD = '(field_id = ? OR id IN (SELECT event_id FROM event_field WHERE field_id = ?))';

/** The newest action that can be undone, on one field (alone or among others) or at all. */
export function undoable(db: Database, fieldId?: string): { id: number; label: string } | undefined {
	return db
		.prepare<unknown[], { id: number; label: string }>(
			`SELECT id, label FROM event
			WHERE undoes IS NULL AND id NOT IN (SELECT undoes FROM event WHERE undoes IS NOT NULL)
			${fieldId === undefined ? '' : `AND ${ON_FIELD}`}
			ORDER BY id DESC LIMIT 1`
		)
		.get(...(fieldId === undefined ? [] : [fieldId, fieldId]));
}

/**
 * Takes an action back by putting every row it touched to what it was.
 * @throws ActionError where a later action has changed one of those rows: that one has to go first
 */
export function undo(db: Database, eventId: number): void {
	db.transaction(() => {
		const event = db
			.prepare<[number], { label: string; field_id: string | null; changes: string; done: number }>(
				'SELECT label, field_id, changes, (SELECT count(*) FROM event WHERE undoes = e.id) AS done FROM event e WHERE id = ?'
			)
			.get(eventId);
		if (!event) throw new ActionError('There is no such change in the book.');
		if (event.done > 0) throw new ActionError(`“${event.label}” was already undone.`);
		const changes = fromJson<Change[]>(event.changes);
		const undone = changes.reverse().map((change) => takeBack(db, change, event.label));
		checkProducts(db, undone);
		const many = db
			.prepare<[number], { field_id: string }>('SELECT field_id FROM event_field WHERE event_id = ?')
			.all(eventId);
		record(
			db,
			`Undid: ${event.label}`,
			event.field_id,
			undone,
			eventId,
			many.map(({ field_id }) => field_id)
		);
	}).immediate();
}

function checkProducts(db: Database, changes: readonly Change[]): void {
	for (const { table, id, before } of changes) if (table === 'own_product') assertProductStands(db, id, before);
}

function takeBack(db: Database, { table, id, before, after, place, cuts = {} }: Change, label: string): Change {
	const now = readRow(db, table, id) ?? null;
	const long = (key: string) => String(now?.[key] ?? '');
	const intact =
		after === null
			? now === null
			: now !== null &&
				Object.keys(after).every((key) => now[key] === after[key]) &&
				Object.entries(cuts).every(([key, cut]) => isAsLeft(long(key), cut));
	if (!intact)
		throw new ActionError(
			`“${label}” cannot be undone, because it was changed again since. Undo the later change first.`
		);
	try {
		if (before === null) db.prepare(`DELETE FROM ${table} WHERE id = ?`).run(id);
		else if (after === null)
			writeRow(db, table, place === undefined ? before : { ...before, ...numbered(db, table, place) });
		else {
			const texts = Object.entries(cuts).map(([key, cut]) => [key, withoutCut(long(key), cut)] as const);
			updateRow(db, table, id, { ...before, ...Object.fromEntries(texts) });
			return { table, id, before: after, after: before, ...reversed(texts, long) };
		}
	} catch (error) {
		if (!isReference(error)) throw error;
		throw new ActionError(`“${label}” cannot be undone, because later work stands on it. Undo that first.`);
	}
	return { table, id, before: after, after: before };
}

function writerOn(db: Database, changes: Change[], reach: (row: Row, table: BookTable) => void): Writer {
	const writer: Writer = {
		insert(table, row) {
			reach(row, table);
			try {
				writeRow(db, table, row);
			} catch (error) {
				if (!isReference(error)) throw error;
				// While a file was read, say, somebody removed what it is for.
				throw new ActionError('What this belongs to was removed meanwhile. Reload the page.');
			}
			changes.push({ table, id: row.id, before: null, after: row });
		},
		update(table, id, columns) {
			const now = readRow(db, table, id);
			if (!now) throw new ActionError('This was removed meanwhile. Reload the page.');
			reach(now, table);
			const changed = Object.keys(columns).filter((key) => now[key] !== columns[key]);
			if (changed.length === 0) return;
			updateRow(db, table, id, picked(columns, changed));
			const long = changed.filter((key) => isLong(now[key]) && isLong(columns[key]));
			const short = changed.filter((key) => !long.includes(key));
			const cuts = long.map((key) => [key, cutBetween(String(now[key]), String(columns[key]))]);
			changes.push({
				table,
				id,
				before: picked(now, short),
				after: picked(columns, short),
				...(cuts.length > 0 ? { cuts: Object.fromEntries(cuts) as Record<string, TextCut> } : {})
			});
		},
		put(table, row) {
			const { id, ...columns } = row;
			if (readRow(db, table, id)) writer.update(table, id, columns);
			else writer.insert(table, row);
		},
		remove(table, id) {
			const now = readRow(db, table, id);
			if (!now) throw new ActionError('This was removed meanwhile. Reload the page.');
			reach(now, table);
			db.prepare(`DELETE FROM ${table} WHERE id = ?`).run(id);
			changes.push({ table, id, before: now, after: null });
		}
	};
	return writer;
}

/** Whether a write failed because a row that it refers to, or that refers to it, is in the way. */
function isReference(error: unknown): boolean {
	return error instanceof Error && error.message.includes('FOREIGN KEY');
}

function record(
	db: Database,
	label: string,
	fieldId: string | null,
	changes: Change[],
	undoes: number | null,
	many: readonly string[]
): void {
	const { lastInsertRowid } = db
		.prepare('INSERT INTO event (at, label, field_id, changes, undoes) VALUES (?, ?, ?, ?, ?)')
		.run(new Date().toISOString(), label, fieldId, JSON.stringify(changes), undoes);
	const insert = db.prepare('INSERT INTO event_field (event_id, field_id) VALUES (?, ?)');
	for (const field of many) insert.run(lastInsertRowid, field);
}

function readRow(db: Database, table: BookTable, id: string): Row | undefined {
	return db.prepare<[string], Row>(`SELECT ${columnsOf(db, table).join(', ')} FROM ${table} WHERE id = ?`).get(id);
}

const isLong = (value: Row[string] | undefined) => typeof value === 'string' && value.length >= LONG_TEXT;

function picked(row: Row, keys: readonly string[]): Row {
	return Object.fromEntries(keys.map((key) => [key, row[key] ?? null]));
}

/** The cuts of an undo: from the texts as they were to those that it put back. */
function reversed(texts: readonly (readonly [string, string])[], now: (key: string) => string): Pick<Change, 'cuts'> {
	if (texts.length === 0) return {};
	return { cuts: Object.fromEntries(texts.map(([key, text]) => [key, cutBetween(now(key), text)])) };
}

function numbered(db: Database, table: BookTable, place: number): Row {
	return columnsOf(db, table).includes(NUMBER) ? { [NUMBER]: place } : {};
}

function updateRow(db: Database, table: BookTable, id: string, columns: Row): void {
	const sets = Object.keys(columns).map((name) => `${name} = @${name}`);
	db.prepare(`UPDATE ${table} SET ${sets.join(', ')} WHERE id = @id`).run({ ...columns, id });
}
