import { writeLayer, writeZones } from '../stores/ground-maps';
import { goalColumns } from '../stores/field-years';
import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { validator } from '../../../core/check/validator';
import type { BookDocument, BookField, BookYear } from '../../../core/schema-types';
import { fill, type Writer } from './act';

const asBook = validator<BookDocument>('book');

/**
 * Writes a whole book document (schemas/book.schema.json) at once.
 * @throws InputError for a document that does not fit; nothing is written then
 */
export function fillBook(db: Database, document: unknown): void {
	const { growers, prices, preparedBy, responseCurves = [] } = asBook(document);
	fill(db, (writer) => {
		for (const grower of growers) {
			const growerId = randomUUID();
			writer.insert('grower', {
				id: growerId,
				name: grower.name,
				...(grower.units ? { units: grower.units } : {}),
				...(grower.station ? { station: grower.station } : {})
			});
			for (const field of grower.fields) writeField(writer, growerId, field);
		}
		for (const { item, since, amount } of prices) writer.insert('price', { id: randomUUID(), item, since, amount });
		for (const curve of responseCurves) {
			writer.insert('response_curve', { id: curve.id, curve: JSON.stringify(curve) });
		}
		if (preparedBy) writer.put('setting', { id: 'preparedBy', value: preparedBy });
	});
}

function writeField(writer: Writer, growerId: string, field: BookField): void {
	const id = randomUUID();
	writer.insert('field', {
		id,
		grower_id: growerId,
		name: field.name,
		area_ac: field.areaAcres ?? null,
		boundary: field.boundary ? JSON.stringify(field.boundary) : null,
		texture: field.texture ?? null,
		drainage: field.drainage ?? null,
		slope_percent: field.slopePercent ?? null,
		irrigated: field.irrigated ? 1 : 0,
		note: field.note ?? '',
		tenure: field.tenure ?? null,
		...(field.block ? { block: JSON.stringify(field.block) } : {})
	});
	for (const { lab = '', labNumber = '', report } of field.samples) {
		const row = { id: randomUUID(), field_id: id, lab, lab_number: labNumber, report: JSON.stringify(report) };
		writer.insert('sample', row);
	}
	for (const test of field.leafTests ?? []) {
		writer.insert('leaf_test', { id: randomUUID(), field_id: id, content: JSON.stringify(test) });
	}
	writeZones(writer, id, field.zones ?? []);
	for (const layer of field.layers ?? []) writeLayer(writer, id, layer);
	for (const year of field.years) writeYear(writer, id, year);
}

function writeYear(writer: Writer, fieldId: string, year: BookYear): void {
	const id = randomUUID();
	writer.insert('field_year', {
		id,
		field_id: fieldId,
		year: year.year,
		...goalColumns(year),
		harvested_yield: year.harvestedYield ?? null,
		liming_product: year.limingProduct ?? null,
		lime_placement: year.limePlacement ?? null,
		next_crop: year.nextCrop ?? null,
		next_yield_goal: year.nextYieldGoal ?? null,
		nitrogen: year.nitrogen ? JSON.stringify(year.nitrogen) : null,
		...(year.blockYear ? { block_year: JSON.stringify(year.blockYear) } : {})
	});
	for (const { nutrient, method, ownRate, reason } of year.choices ?? []) {
		writer.insert('choice', {
			id: `${id}:${nutrient}`,
			field_year_id: id,
			nutrient,
			method: method ?? null,
			own_rate: ownRate ?? null,
			reason: reason ?? null
		});
	}
	for (const [kind, found] of Object.entries(year.inSeason ?? {})) {
		writer.insert('crop_test', { id: randomUUID(), field_year_id: id, kind, found: JSON.stringify(found) });
	}
	for (const check of year.spreadChecks ?? []) {
		writer.insert('spread_check', { id: randomUUID(), field_year_id: id, content: JSON.stringify(check) });
	}
	for (const { plan, doneOn } of year.passes ?? []) {
		const row = { ...plan, id: randomUUID() };
		writer.insert('pass', { id: row.id, field_year_id: id, done_on: doneOn ?? null, plan: JSON.stringify(row) });
	}
}
