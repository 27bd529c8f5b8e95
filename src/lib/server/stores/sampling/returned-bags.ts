import type { Database } from 'better-sqlite3';
import { meanOfParts } from '../../../../core/ground/sampling/mean-of-zones';
import { pointLayers } from '../../../../core/zones/point-layers';
import { topResult } from '../../../../core/ground/sampling/top-result';
import type { Bag, Layer, Sample, ZoneFacts } from '../../../../core/schema-types';
import { longDate } from '../../../../core/units/day-text';
import { ZONE_ANALYTES } from '../../../../core/zones/zone-means';
import type { Writer } from '../../book/act';
import { fromJson } from '../../from-json';
import { listSamples, type SampleRecord } from '../fields';
import { listZones } from '../ground-maps';

/** A bag whose results have come. */
export interface ReturnedBag {
	code: string;
	sampleId: string;
}

/**
 * Says of bags that they are back, within an action that has written their samples. A zone takes the soil values of its own sample; points
 * make layers of the map; the field takes the mean of the zones, by their acres, or of the points that are back of the same round, so that
 * it can be rated as a whole.
 */
export function bringBack(db: Database, writer: Writer, lab: string, returned: readonly ReturnedBag[]): void {
	const find = db.prepare<[string], { id: string; field_id: string; content: string }>(
		'SELECT id, field_id, content FROM bag WHERE code = ?'
	);
	const rounds = new Map<string, { fieldId: string; take: typeof takeZones }>();
	for (const { code, sampleId } of returned) {
		const row = find.get(code)!;
		const bag = fromJson<Bag>(row.content);
		writer.update('bag', row.id, { sample_id: sampleId });
		if (bag.zone !== undefined) rounds.set(bag.round, { fieldId: row.field_id, take: takeZones });
		if (bag.point !== undefined) rounds.set(bag.round, { fieldId: row.field_id, take: takePoints });
	}
	for (const [round, { fieldId, take }] of rounds) take(db, writer, lab, { round, fieldId });
}

interface Round {
	round: string;
	fieldId: string;
}

/** The samples of a round that are back. */
function samplesOfRound(db: Database, { round, fieldId }: Round): SampleRecord[] {
	const ofRound = new Set(
		db
			.prepare<[string, string], { id: string }>(
				"SELECT DISTINCT sample_id AS id FROM bag WHERE field_id = ? AND content ->> '$.round' = ?"
			)
			.all(fieldId, round)
			.map(({ id }) => id)
	);
	return listSamples(db, fieldId).filter(({ id }) => ofRound.has(id));
}

function lastDay(samples: readonly SampleRecord[]): string | undefined {
	return samples
		.flatMap(({ report }) => report.date ?? [])
		.sort()
		.at(-1);
}

function takePoints(db: Database, writer: Writer, lab: string, of: Round): void {
	const samples = samplesOfRound(db, of);
	const points = new Map<number, { at: [number, number]; layers: Layer[] }>();
	for (const { report } of samples) {
		const { number, at } = report.point!;
		const known = points.get(number);
		// Its depths may have come one by one.
		points.set(number, { at: at as [number, number], layers: [...(known?.layers ?? []), ...report.layers] });
	}
	const parts = [...points.values()];
	const date = lastDay(samples);
	for (const { analyte, unit, placed } of pointLayers(parts)) {
		writer.put('ground_layer', {
			id: `points-${of.round}-${analyte}`,
			field_id: of.fieldId,
			name: `${analyte} by points${date === undefined ? '' : ` of ${longDate(date)}`}`,
			quantity: analyte,
			unit,
			taken_on: date ?? null,
			points: JSON.stringify(placed)
		});
	}
	writeMean(writer, `mean-${of.round}`, of.fieldId, lab, {
		date,
		meanOfPoints: parts.length,
		layers: meanOfParts(parts.map(({ layers }) => ({ areaAcres: 1, layers })))
	});
}

function takeZones(db: Database, writer: Writer, lab: string, of: Round): void {
	const { round, fieldId } = of;
	const samples = samplesOfRound(db, of);
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
		date: lastDay(samples),
		meanOf: parts.map(({ zone }) => zone.name),
		layers: meanOfParts(parts.map(({ zone, layers }) => ({ areaAcres: zone.areaAcres, layers })))
	});
}

/** The values of a zone are read where those of the field stand: in the first layer that holds them. */
function valuesOf(layers: readonly Layer[]): NonNullable<ZoneFacts['values']> {
	return Object.fromEntries(
		ZONE_ANALYTES.flatMap((analyte) => {
			const result = topResult(layers, analyte);
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
