import type { Database } from 'better-sqlite3';
import { meanOfParts } from '../../../../core/ground/sampling/mean-of-zones';
import type { Bag, Layer, Sample, ZoneFacts } from '../../../../core/schema-types';
import { ZONE_ANALYTES } from '../../../../core/zones/zone-means';
import type { Writer } from '../../book/act';
import { fromJson } from '../../from-json';
import { listSamples } from '../fields';
import { listZones } from '../ground-maps';

/** A bag whose results have come. */
export interface ReturnedBag {
	code: string;
	sampleId: string;
}

/**
 * Says of bags that they are back, within an action that has written their samples. A zone takes the soil values of its own sample; the
 * field takes the mean of the zones that are back of the same round, by their acres, so that it can be rated as a whole.
 */
export function bringBack(db: Database, writer: Writer, lab: string, returned: readonly ReturnedBag[]): void {
	const find = db.prepare<[string], { id: string; field_id: string; content: string }>(
		'SELECT id, field_id, content FROM bag WHERE code = ?'
	);
	const rounds = new Map<string, string>();
	for (const { code, sampleId } of returned) {
		const row = find.get(code)!;
		const bag = fromJson<Bag>(row.content);
		writer.update('bag', row.id, { sample_id: sampleId });
		if (bag.zone !== undefined) rounds.set(bag.round, row.field_id);
	}
	for (const [round, fieldId] of rounds) takeZones(db, writer, lab, { round, fieldId });
}

function takeZones(
	db: Database,
	writer: Writer,
	lab: string,
	{ round, fieldId }: { round: string; fieldId: string }
): void {
	const ofRound = new Set(
		db
			.prepare<[string, string], { id: string }>(
				"SELECT DISTINCT sample_id AS id FROM bag WHERE field_id = ? AND content ->> '$.round' = ?"
			)
			.all(fieldId, round)
			.map(({ id }) => id)
	);
	const samples = listSamples(db, fieldId).filter(({ id }) => ofRound.has(id));
	// A zone that was cut anew meanwhile has no ground of that name: its sample stays readable, and counts for nothing.
	const parts = listZones(db, fieldId).flatMap((zone) => {
		// Its depths may have come one by one.
		const layers = samples.filter(({ report }) => report.zone === zone.name).flatMap(({ report }) => report.layers);
		return layers.length > 0 ? [{ zone, layers }] : [];
	});
	if (parts.length === 0) return;
	const kept = db.prepare<[string], { facts: string }>('SELECT facts FROM zone WHERE id = ?');
	for (const { zone, layers } of parts) {
		const facts = fromJson<ZoneFacts>(kept.get(zone.id)!.facts);
		writer.update('zone', zone.id, { facts: JSON.stringify({ ...facts, values: valuesOf(layers) }) });
	}
	writeMean(writer, `mean-${round}`, fieldId, lab, {
		date: samples
			.flatMap(({ report }) => report.date ?? [])
			.sort()
			.at(-1),
		meanOf: parts.map(({ zone }) => zone.name),
		layers: meanOfParts(parts.map(({ zone, layers }) => ({ areaAcres: zone.areaAcres, layers })))
	});
}

/** The values of a zone are read where those of the field stand: in the first layer that holds them. */
function valuesOf(layers: readonly Layer[]): NonNullable<ZoneFacts['values']> {
	const results = [...layers].sort((a, b) => a.top - b.top).flatMap((layer) => layer.results);
	return Object.fromEntries(
		ZONE_ANALYTES.flatMap((analyte) => {
			const result = results.find((one) => one.analyte === analyte);
			return result ? [[analyte, result.value]] : [];
		})
	);
}

function writeMean(
	writer: Writer,
	id: string,
	fieldId: string,
	lab: string,
	{ date, ...mean }: Omit<Sample, 'date'> & { date: string | undefined }
): void {
	if (mean.layers.length === 0) return;
	const report: Sample = { ...(date === undefined ? {} : { date }), ...mean };
	writer.put('sample', { id, field_id: fieldId, lab, lab_number: '', report: JSON.stringify(report) });
}
