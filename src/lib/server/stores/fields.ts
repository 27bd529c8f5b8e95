import { fromJson } from '../from-json';
import { randomUUID } from 'node:crypto';
import { partText } from '../../../core/ground/sampling/part-text';
import type { Database } from 'better-sqlite3';
import type { UnitSystem } from '../../../core/units/rate-units';
import type { AdviseRequest, Block, GrowerAction, Sample, SampleAction } from '../../../core/schema-types';
import { act, type Writer } from '../book/act';
import { ActionError } from '../book/action-error';

export interface FieldRow {
	id: string;
	grower_id: string;
	grower: string;
	/** The units the grower was given; null: those of the book. */
	grower_units: UnitSystem | null;
	/** The station whose weather is the grower's; null: that of the book. */
	grower_station: string | null;
	/** The units this field is read in. */
	units: UnitSystem;
	name: string;
	area_ac: number | null;
	boundary: string | null;
	texture: string | null;
	drainage: string | null;
	slope_percent: number | null;
	irrigated: 0 | 1;
	note: string;
	tenure: NonNullable<AdviseRequest['field']['tenure']> | null;
	/** Setbacks as JSON. */
	setbacks: string | null;
	/** Block as JSON; null on arable ground. */
	block: string | null;
}

export interface SampleRecord {
	id: string;
	lab: string;
	labNumber: string;
	report: Sample;
}

/** SQL: the units of grower `g`, else of the book. */
export const UNITS_OF_GROWER = "coalesce(g.units, (SELECT value FROM setting WHERE id = 'units'), 'us')";

const SELECT_FIELD = `SELECT f.*, g.name AS grower, g.units AS grower_units, g.station AS grower_station, ${UNITS_OF_GROWER} AS units
	FROM field f JOIN grower g ON g.id = f.grower_id`;

export function listFields(db: Database): FieldRow[] {
	return db.prepare<[], FieldRow>(`${SELECT_FIELD} ORDER BY g.name COLLATE NOCASE, f.name COLLATE NOCASE`).all();
}

export function findField(db: Database, id: string): FieldRow | undefined {
	return db.prepare<[string], FieldRow>(`${SELECT_FIELD} WHERE f.id = ?`).get(id);
}

export function listGrowers(db: Database): { id: string; name: string }[] {
	return db.prepare<[], { id: string; name: string }>('SELECT id, name FROM grower ORDER BY name COLLATE NOCASE').all();
}

/** Says in which units and by which station the fields of a grower are read; what is left out is as in the book. */
export function setGrower(db: Database, { grower_id, grower }: FieldRow, { units, station }: GrowerAction): void {
	act(db, { label: `Changed units or station of ${grower}` }, (writer) =>
		writer.update('grower', grower_id, { units: units ?? null, station: station ?? null })
	);
}

/** SQL: what makes a sample one of its whole field. */
export const WHOLE_FIELD = "spot IS NULL AND zone IS NULL AND report ->> '$.point' IS NULL";

/** The same of a report. */
export function isOfWholeField({ spot, zone, point }: { spot?: unknown; zone?: unknown; point?: unknown }): boolean {
	return spot === undefined && zone === undefined && point === undefined;
}

/** Samples of a field as a whole, that its rates go by, the newest first; those without a date last. */
export function listFieldSamples(db: Database, fieldId: string): SampleRecord[] {
	return listSamples(db, fieldId).filter(({ report }) => isOfWholeField(report));
}

/** All samples of a field, those of a spot or a zone too, the newest first; those without a date last. */
export function listSamples(db: Database, fieldId: string): SampleRecord[] {
	return db
		.prepare<[string], { id: string; lab: string; lab_number: string; report: string }>(
			'SELECT id, lab, lab_number, report FROM sample WHERE field_id = ? ORDER BY taken_on DESC NULLS LAST, seq DESC'
		)
		.all(fieldId)
		.map(({ id, lab, lab_number, report }) => ({
			id,
			lab,
			labNumber: lab_number,
			report: fromJson<Sample>(report)
		}));
}

/** The newest report of every field that has one, by the field: the one that its rates stand on. */
export function newestReports(db: Database): Map<string, Sample> {
	const rows = db
		.prepare<[], { field_id: string; report: string }>(
			`SELECT field_id, report FROM (
				SELECT field_id, report, row_number() OVER (PARTITION BY field_id ORDER BY taken_on DESC NULLS LAST, seq DESC) AS place
				FROM sample WHERE ${WHOLE_FIELD}
			) WHERE place = 1`
		)
		.all();
	return new Map(rows.map(({ field_id, report }) => [field_id, fromJson<Sample>(report)]));
}

/** The fields that have a boundary, by id. */
export function fieldsOnTheMap(db: Database): Set<string> {
	const rows = db.prepare<[], { id: string }>('SELECT id FROM field WHERE boundary IS NOT NULL').all();
	return new Set(rows.map(({ id }) => id));
}

export interface NewField {
	name: string;
	grower: string;
	areaAcres: number | undefined;
}

/** Adds a field, and its grower where the name is new. */
export function addField(db: Database, field: NewField): string {
	return act(db, { label: `Added ${field.name}` }, (writer) => {
		if (fieldByName(db, field.grower, field.name)) {
			throw new ActionError(`${field.grower} already has a field named ${field.name}.`);
		}
		return writeNewField(db, writer, field);
	});
}

/** The same inside a larger action. */
export function writeNewField(db: Database, writer: Writer, { name, grower, areaAcres }: NewField): string {
	const known = db.prepare<[string], { id: string }>('SELECT id FROM grower WHERE name = ? COLLATE NOCASE').get(grower);
	const growerId = known?.id ?? randomUUID();
	if (!known) writer.insert('grower', { id: growerId, name: grower });
	const id = randomUUID();
	writer.insert('field', {
		id,
		grower_id: growerId,
		name,
		area_ac: areaAcres ?? null,
		boundary: null,
		texture: null,
		drainage: null,
		slope_percent: null,
		irrigated: 0,
		note: ''
	});
	return id;
}

export function fieldByName(db: Database, grower: string, name: string): { id: string } | undefined {
	return db
		.prepare<[string, string], { id: string }>(
			'SELECT f.id FROM field f JOIN grower g ON g.id = f.grower_id WHERE g.name = ? COLLATE NOCASE AND f.name = ? COLLATE NOCASE'
		)
		.get(grower, name);
}

/** What an adviser may change about a field. */
export type FieldFacts = Pick<
	FieldRow,
	'name' | 'area_ac' | 'texture' | 'drainage' | 'slope_percent' | 'irrigated' | 'note' | 'tenure'
>;

export function updateField(db: Database, id: string, facts: FieldFacts): void {
	act(db, { label: `Changed the facts of ${facts.name}`, fieldId: id }, (writer) =>
		writer.update('field', id, { ...facts })
	);
}

/** Describes the planting of a perennial; null where there is none. */
export function setBlock(db: Database, id: string, block: Block | null): void {
	act(db, { label: block ? 'Changed the block' : 'Deleted the block', fieldId: id }, (writer) =>
		writer.update('field', id, { block: block === null ? null : JSON.stringify(block) })
	);
}

export function blockOf({ block }: Pick<FieldRow, 'block'>): Block | undefined {
	return block === null ? undefined : fromJson<Block>(block);
}

/** Adds a sample; layers of a day and number that are already there join that sample. */
export function addSample(db: Database, fieldId: string, { lab, labNumber, report }: SampleAction): void {
	const known = listSamples(db, fieldId).find(
		(one) =>
			one.report.date === report.date &&
			one.labNumber === labNumber &&
			one.report.spot === report.spot &&
			partText(one.report) === partText(report)
	);
	act(db, { label: known ? 'Added a layer to a sample' : 'Typed in a sample', fieldId }, (writer) => {
		if (!known) {
			const row = { field_id: fieldId, lab, lab_number: labNumber, report: JSON.stringify(report) };
			writer.insert('sample', { id: randomUUID(), ...row });
			return;
		}
		const same = known.report.layers.find((layer) =>
			report.layers.some(
				({ top, bottom, depthUnit }) => top === layer.top && bottom === layer.bottom && depthUnit === layer.depthUnit
			)
		);
		if (same) {
			const depth = `${same.top}-${same.bottom} ${same.depthUnit}`;
			throw new ActionError(`The sample of that day already has ${depth}. Remove it first, or give another number.`);
		}
		const layers = [...known.report.layers, ...report.layers];
		writer.update('sample', known.id, { report: JSON.stringify({ ...known.report, layers }) });
	});
}

/**
 * Corrects a sample that was typed or read wrong, or takes the lab's second report in place of its first. The log keeps both.
 * @throws ActionError for the sample of a zone or a point, and a mean of such: means were made of them
 */
export function correctSample(
	db: Database,
	fieldId: string,
	sampleId: string,
	{ lab, labNumber, report }: SampleAction
): void {
	const known = listSamples(db, fieldId).find(({ id }) => id === sampleId);
	if (!known) throw new ActionError('This sample is not in the book any more.');
	if (!isTakenWhole(known.report)) {
		throw new ActionError('Samples of zones and points make the mean of the field: remove it and type in a new one.');
	}
	act(db, { label: 'Corrected a sample', fieldId }, (writer) =>
		writer.update('sample', sampleId, { lab, lab_number: labNumber, report: JSON.stringify(report) })
	);
}

/** Whether a sample has no part in a mean: it is not of a zone or a point, and is no mean itself. */
export function isTakenWhole({ zone, point, meanOf, meanOfPoints }: Sample): boolean {
	return zone === undefined && point === undefined && meanOf === undefined && meanOfPoints === undefined;
}

/** Removes a sample. The lines of a lab file and the bags that brought it say so; a bag waits for its report again. */
export function removeSample(db: Database, fieldId: string, sampleId: string): void {
	act(db, { label: 'Removed a sample', fieldId }, (writer) => {
		const rowsOf = (table: 'lab_import_row' | 'bag') =>
			db.prepare<[string], { id: string }>(`SELECT id FROM ${table} WHERE sample_id = ?`).all(sampleId);
		for (const { id } of rowsOf('lab_import_row')) {
			writer.update('lab_import_row', id, { sample_id: null, reason: 'its sample was removed later' });
		}
		for (const { id } of rowsOf('bag')) writer.update('bag', id, { sample_id: null });
		writer.remove('sample', sampleId);
	});
}

/** Fields whose name or grower's name holds every word, in order of name. */
export function findFields(db: Database, words: string, most: number): { id: string; name: string; grower: string }[] {
	const parts = words.toLowerCase().split(/\s+/).filter(Boolean).slice(0, 8);
	const tests = parts.map(() => "instr(lower(f.name || ' ' || g.name), ?) > 0");
	return db
		.prepare<unknown[], { id: string; name: string; grower: string }>(
			`SELECT f.id, f.name, g.name AS grower FROM field f JOIN grower g ON g.id = f.grower_id
			WHERE ${['TRUE', ...tests].join(' AND ')} ORDER BY f.name COLLATE NOCASE LIMIT ?`
		)
		.all(...parts, most);
}
