import { writeLayer, writeZones } from '../stores/ground-maps';
import { goalColumns } from '../stores/field-years';
import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { InputError } from '../../../core/check/problem';
import { validator } from '../../../core/check/validator';
import type { BookDocument, BookField, BookWaterSource, BookYear } from '../../../core/schema-types';
import { fill, type Writer } from './act';
import { endOf } from '../../../core/season/applied/recorded-pass';
import type { Shape } from '../../../core/ground/shapes/shape';
import { layOut } from '../../../core/trials/design/lay-out';
import { planText } from '../stores/plan/write-season';
import { writeHouseProgramme } from '../stores/plan/house-programmes';
import { today } from '../today';
import { writeTrial } from '../stores/trials';

const asBook = validator<BookDocument>('book');

/**
 * Writes a whole book document (schemas/book.schema.json) at once.
 * @throws InputError for a document that does not fit; nothing is written then
 */
export function fillBook(db: Database, document: unknown): void {
	const {
		growers,
		prices,
		preparedBy,
		responseCurves = [],
		waterSources = [],
		houseProgrammes = []
	} = asBook(document);
	checkCodes(growers.flatMap(({ fields }) => fields));
	fill(db, (writer) => {
		const sources = new Map(waterSources.map((source) => [source.name, writeSource(writer, source)]));
		for (const grower of growers) {
			const growerId = randomUUID();
			writer.insert('grower', {
				id: growerId,
				name: grower.name,
				...(grower.units ? { units: grower.units } : {}),
				...(grower.station ? { station: grower.station } : {})
			});
			for (const field of grower.fields) writeField(writer, growerId, field, sources);
		}
		for (const { item, since, amount } of prices) writer.insert('price', { id: randomUUID(), item, since, amount });
		for (const curve of responseCurves) {
			writer.insert('response_curve', { id: curve.id, curve: JSON.stringify(curve) });
		}
		houseProgrammes.forEach((programme, at) => writeHouseProgramme(writer, at + 1, programme, today()));
		if (preparedBy) writer.put('setting', { id: 'preparedBy', value: preparedBy });
	});
}

/** @throws InputError where two bags have one code */
function checkCodes(fields: readonly BookField[]): void {
	const codes = fields.flatMap(({ bags = [] }) => bags.map(({ code }) => code));
	const twice = codes.find((code, at) => codes.indexOf(code) !== at);
	if (twice === undefined) return;
	throw new InputError([{ path: '/growers', message: `two bags have the code "${twice}"; each needs its own` }]);
}

function writeSource(writer: Writer, { name, kind, reports }: BookWaterSource): string {
	const id = randomUUID();
	writer.insert('water_source', { id, name, kind });
	for (const report of reports) {
		writer.insert('water_report', { id: randomUUID(), source_id: id, content: JSON.stringify(report) });
	}
	return id;
}

/** Ids of the sources of water by name. */
type Sources = ReadonlyMap<string, string>;

function writeField(writer: Writer, growerId: string, field: BookField, sources: Sources): void {
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
	for (const { code, bag } of field.bags ?? []) {
		writer.insert('bag', { id: randomUUID(), field_id: id, code, content: JSON.stringify(bag), sample_id: null });
	}
	for (const test of field.leafTests ?? []) {
		writer.insert('leaf_test', { id: randomUUID(), field_id: id, content: JSON.stringify(test) });
	}
	writeZones(writer, id, field.zones ?? []);
	for (const layer of field.layers ?? []) writeLayer(writer, id, layer);
	for (const { year, plan, records } of field.trials ?? []) {
		const plots = layOut(plan, trialGround(field));
		writeTrial(writer, id, year, { plan, plots, records });
	}
	for (const year of field.years) writeYear(writer, id, year, sources);
}

/**
 * @throws InputError for a trial on a field without a boundary
 */
function trialGround({ name, boundary }: BookField): Shape {
	if (boundary) return boundary as unknown as Shape;
	throw new InputError([{ path: '/growers', message: `${name} has a trial and no boundary to lay it out in` }]);
}

/**
 * @throws InputError where it names no source of the document
 */
function irrigationText({ irrigation, year }: BookYear, sources: Sources): string | undefined {
	if (!irrigation) return undefined;
	const source = sources.get(irrigation.source);
	if (source !== undefined) return JSON.stringify({ ...irrigation, source });
	const message = `"${irrigation.source}" of ${year} is none of waterSources`;
	throw new InputError([{ path: '/growers', message }]);
}

function writeYear(writer: Writer, fieldId: string, year: BookYear, sources: Sources): void {
	const id = randomUUID();
	const irrigation = irrigationText(year, sources);
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
		...(year.secondCrop ? { second_crop: JSON.stringify(year.secondCrop) } : {}),
		...(year.catchCrop ? { catch_crop: JSON.stringify(year.catchCrop) } : {}),
		...(irrigation === undefined ? {} : { irrigation }),
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
	for (const { plan, doneOn = null, applications = [] } of year.passes ?? []) {
		const row = { ...plan, id: randomUUID() };
		const ended = applications.length > 0 ? endOf(applications) : doneOn;
		writer.insert('pass', { id: row.id, field_year_id: id, done_on: ended, plan: planText(row) });
		const ids = new Map(applications.map((entry) => [entry.id, randomUUID()]));
		for (const entry of applications) {
			const { corrects, ...told } = entry.content;
			const content = corrects === undefined ? told : { ...told, corrects: ids.get(corrects) ?? corrects };
			writer.insert('application', {
				id: ids.get(entry.id)!,
				field_year_id: id,
				pass_id: row.id,
				content: JSON.stringify(content)
			});
		}
	}
}
