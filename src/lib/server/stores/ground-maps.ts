import { fromJson } from '../from-json';
import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { areaAcres } from '../../../core/ground/shapes/geodesic-area';
import type { Shape } from '../../../core/ground/shapes/shape';
import type { GroundLayer, PlacedPoint, Zone, ZoneFacts } from '../../../core/schema-types';
import { factsIn, withSeason, type CropYear } from '../../../core/zones/zone-seasons';
import { act, type Writer } from '../book/act';
import { ActionError } from '../book/action-error';

/** A zone as the book holds it. */
export interface ZoneRecord {
	id: string;
	name: string;
	areaAcres: number;
	shape: Shape;
	facts: ZoneFacts;
}

export interface LayerRecord extends GroundLayer {
	id: string;
}

/**
 * Zones of a field in their order.
 * @param season whose goals, strips and own rates stand in the facts; soil values alone where left out
 */
export function listZones(db: Database, fieldId: string, season?: CropYear): ZoneRecord[] {
	return keptZones(db, fieldId).map((zone) => ({ ...zone, facts: factsIn(zone.facts, season) }));
}

/** How many zones each field has that has any. */
export function countZones(db: Database): Map<string, number> {
	const rows = db
		.prepare<[], { id: string; zones: number }>('SELECT field_id AS id, count(*) AS zones FROM zone GROUP BY field_id')
		.all();
	return new Map(rows.map(({ id, zones }) => [id, zones]));
}

/** Zones with what is known of them for every season. */
function keptZones(db: Database, fieldId: string): ZoneRecord[] {
	return db
		.prepare<[string], { id: string; name: string; area_ac: number; shape: string; facts: string }>(
			'SELECT id, name, area_ac, shape, facts FROM zone WHERE field_id = ? ORDER BY place'
		)
		.all(fieldId)
		.map(({ id, name, area_ac, shape, facts }) => ({
			id,
			name,
			areaAcres: area_ac,
			shape: fromJson<Shape>(shape),
			facts: fromJson<ZoneFacts>(facts)
		}));
}

/** Layers of a field by name. */
export function listLayers(db: Database, fieldId: string): LayerRecord[] {
	return db
		.prepare<
			[string],
			{ id: string; name: string; quantity: string; unit: string; taken_on: string | null; points: string }
		>('SELECT id, name, quantity, unit, taken_on, points FROM ground_layer WHERE field_id = ? ORDER BY name')
		.all(fieldId)
		.map(({ id, name, quantity, unit, taken_on, points }) => ({
			id,
			name,
			quantity: quantity as GroundLayer['quantity'],
			unit,
			...(taken_on === null ? {} : { takenOn: taken_on }),
			points: fromJson<PlacedPoint[]>(points)
		}));
}

/** The points of a layer; none where there is no such layer. */
export function layerPoints(db: Database, fieldId: string, layerId: string): PlacedPoint[] {
	const row = db
		.prepare<[string, string], { points: string }>('SELECT points FROM ground_layer WHERE field_id = ? AND id = ?')
		.get(fieldId, layerId);
	return row ? fromJson<PlacedPoint[]>(row.points) : [];
}

/** Sets the boundary, and the area by it; null takes both away. */
export function setBoundary(db: Database, fieldId: string, boundary: Shape | null): void {
	act(db, { label: boundary ? 'Drew the boundary' : 'Deleted the boundary', fieldId }, (writer) => {
		if (!boundary) writer.update('field', fieldId, { boundary: null });
		else writer.update('field', fieldId, { boundary: JSON.stringify(boundary), area_ac: acresOf(boundary) });
	});
}

/** Puts zones in place of those that are there; one of the same name keeps what is known of it. */
export function replaceZones(
	db: Database,
	fieldId: string,
	label: string,
	zones: readonly Zone[],
	season?: CropYear
): void {
	const names = zones.map(({ name }) => name.toLowerCase());
	const twice = zones.find(({ name }, at) => names.indexOf(name.toLowerCase()) < at);
	if (twice) throw new ActionError(`Two zones are named ${twice.name}; give each a name of its own.`);
	const before = keptZones(db, fieldId);
	act(db, { label, fieldId }, (writer) => {
		for (const { id } of before) writer.remove('zone', id);
		writeZones(
			writer,
			fieldId,
			zones.map((zone) => ({ ...zone, facts: factsOf(zone, before, season) }))
		);
	});
}

function factsOf({ name, facts }: Zone, before: readonly ZoneRecord[], season: CropYear | undefined): ZoneFacts {
	const kept = before.find((one) => one.name.toLowerCase() === name.toLowerCase())?.facts ?? {};
	return Object.keys(facts).length > 0 ? withSeason(kept, facts, season) : kept;
}

export function writeZones(writer: Writer, fieldId: string, zones: readonly Zone[]): void {
	zones.forEach(({ name, shape, facts }, place) =>
		writer.insert('zone', {
			id: randomUUID(),
			field_id: fieldId,
			place,
			name,
			area_ac: acresOf(shape),
			shape: JSON.stringify(shape),
			facts: JSON.stringify(facts)
		})
	);
}

export function setZoneFacts(db: Database, fieldId: string, name: string, facts: ZoneFacts, season?: CropYear): void {
	const zone = keptZones(db, fieldId).find((one) => one.name === name);
	if (!zone) throw new ActionError(`There is no zone named ${name} on this field.`);
	act(db, { label: `Changed what is known of ${name}`, fieldId }, (writer) =>
		writer.update('zone', zone.id, { facts: JSON.stringify(withSeason(zone.facts, facts, season)) })
	);
}

/** Adds layers; one of the same name is replaced. */
export function addLayers(db: Database, fieldId: string, layers: readonly GroundLayer[]): void {
	const names = layers.map(({ name }) => name).join(', ');
	act(db, { label: `Imported ${names}`, fieldId }, (writer) => {
		for (const layer of layers) {
			const known = db
				.prepare<[string, string], { id: string }>('SELECT id FROM ground_layer WHERE field_id = ? AND name = ?')
				.get(fieldId, layer.name);
			if (known) writer.remove('ground_layer', known.id);
			writeLayer(writer, fieldId, layer);
		}
	});
}

export function writeLayer(
	writer: Writer,
	fieldId: string,
	{ name, quantity, unit, takenOn, points }: GroundLayer
): void {
	writer.insert('ground_layer', {
		id: randomUUID(),
		field_id: fieldId,
		name,
		quantity,
		unit,
		taken_on: takenOn ?? null,
		points: JSON.stringify(points)
	});
}

export function removeLayer(db: Database, fieldId: string, layerId: string): void {
	const layer = listLayers(db, fieldId).find(({ id }) => id === layerId);
	if (!layer) throw new ActionError('There is no such layer on this field.');
	act(db, { label: `Took ${layer.name} out`, fieldId }, (writer) => writer.remove('ground_layer', layerId));
}

function acresOf(shape: Shape): number {
	return Math.round(areaAcres(shape) * 100) / 100;
}

/** Every boundary of the book as the text that is kept, by grower and name. */
export function listBoundaries(db: Database): { id: string; name: string; grower: string; boundary: string }[] {
	return db
		.prepare<[], { id: string; name: string; grower: string; boundary: string }>(
			`SELECT f.id, f.name, g.name AS grower, f.boundary FROM field f JOIN grower g ON g.id = f.grower_id
			WHERE f.boundary IS NOT NULL ORDER BY g.name COLLATE NOCASE, f.name COLLATE NOCASE`
		)
		.all();
}
