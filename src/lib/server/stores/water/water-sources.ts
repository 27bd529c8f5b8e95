import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type {
	BookedIrrigation,
	BookedReport,
	EnteredReports,
	FieldIrrigation,
	WaterKind,
	WaterSource,
	WaterSourceAction
} from '../../../../core/schema-types';
import type { ReportOfFile } from '../../../../core/water/report-csv';
import { longDate } from '../../../../core/units/day-text';
import { act } from '../../book/act';
import { ActionError } from '../../book/action-error';
import { fromJson } from '../../from-json';
import type { FieldYearRow } from '../field-years';

/** The sources of the book by name, the reports of each the newest first. */
export function listWaterSources(db: Database): WaterSource[] {
	const reports = db
		.prepare<[], { id: string; source_id: string; content: string }>(
			'SELECT id, source_id, content FROM water_report ORDER BY taken_on DESC, seq DESC'
		)
		.all();
	return db
		.prepare<[], { id: string; name: string; kind: WaterKind }>(
			'SELECT id, name, kind FROM water_source ORDER BY name COLLATE NOCASE'
		)
		.all()
		.map((source) => ({
			...source,
			reports: reports
				.filter(({ source_id }) => source_id === source.id)
				.map(({ id, content }) => ({ id, report: fromJson<BookedReport>(content) }))
		}));
}

/** Adds a source. */
export function addWaterSource(db: Database, { name, kind }: WaterSourceAction): { id: string } {
	const known = db.prepare<[string]>('SELECT 1 FROM water_source WHERE name = ? COLLATE NOCASE').get(name);
	if (known) throw new ActionError(`There is a source named ${name} already.`);
	const id = randomUUID();
	act(db, { label: `Added the water source ${name}` }, (writer) => writer.insert('water_source', { id, name, kind }));
	return { id };
}

/** Deletes a source with its reports, unless a field is irrigated from it. */
export function removeWaterSource(db: Database, id: string): void {
	const source = listWaterSources(db).find((one) => one.id === id)!;
	const used = db
		.prepare<[string], { name: string; year: number }>(
			"SELECT f.name, y.year FROM field_year y JOIN field f ON f.id = y.field_id WHERE y.irrigation ->> '$.source' = ? LIMIT 1"
		)
		.get(id);
	if (used) throw new ActionError(`${used.name} is irrigated from ${source.name} in ${used.year}: change that first.`);
	act(db, { label: `Deleted the water source ${source.name}` }, (writer) => {
		for (const { id: report } of source.reports) writer.remove('water_report', report);
		writer.remove('water_source', id);
	});
}

export function bookWaterReport(db: Database, sourceId: string, report: BookedReport): void {
	const { name } = sourceNamed(db, sourceId);
	act(db, { label: `Recorded the report of ${name} of ${longDate(report.takenOn)}` }, (writer) =>
		writer.insert('water_report', { id: randomUUID(), source_id: sourceId, content: JSON.stringify(report) })
	);
}

/** Records the reports of a file in one action, with their sources where those are new; one that is known is passed over. */
export function enterWaterReports(db: Database, all: readonly ReportOfFile[]): EnteredReports {
	const known = listWaterSources(db);
	const idOf = new Map(known.map(({ name, id }) => [name.toLowerCase(), id]));
	const seen = new Set(
		known.flatMap(({ id, reports }) => reports.map(({ report }) => JSON.stringify([id, report.takenOn, report.water])))
	);
	const entered = { entered: 0, known: 0, sources: 0 };
	act(db, { label: `Imported ${all.length} water reports` }, (writer) => {
		for (const { source: name, kind, report } of all) {
			const source = idOf.get(name.toLowerCase()) ?? randomUUID();
			const key = JSON.stringify([source, report.takenOn, report.water]);
			if (seen.has(key)) {
				entered.known++;
				continue;
			}
			seen.add(key);
			if (!idOf.has(name.toLowerCase())) {
				idOf.set(name.toLowerCase(), source);
				writer.insert('water_source', { id: source, name, kind });
				entered.sources++;
			}
			writer.insert('water_report', { id: randomUUID(), source_id: source, content: JSON.stringify(report) });
			entered.entered++;
		}
	});
	return entered;
}

export function removeWaterReport(db: Database, sourceId: string, id: string): void {
	const { name } = sourceNamed(db, sourceId);
	act(db, { label: `Deleted a report of ${name}` }, (writer) => writer.remove('water_report', id));
}

/** The crops that are grown with each source from a year on, by its id. */
export function cropsGrownWith(db: Database, fromYear: number): Map<string, string[]> {
	const rows = db
		.prepare<[number], { source: string; crop: string }>(
			"SELECT DISTINCT irrigation ->> '$.source' AS source, crop FROM field_year WHERE irrigation IS NOT NULL AND year >= ?"
		)
		.all(fromYear);
	const grown = new Map<string, string[]>();
	for (const { source, crop } of rows) grown.set(source, [...(grown.get(source) ?? []), crop]);
	return grown;
}

function sourceNamed(db: Database, id: string): { name: string } {
	return db.prepare<[string], { name: string }>('SELECT name FROM water_source WHERE id = ?').get(id)!;
}

/** From where a field is irrigated in a year; undefined where nothing is said. */
export function bookedIrrigation({ irrigation }: Pick<FieldYearRow, 'irrigation'>): BookedIrrigation | undefined {
	return irrigation === null ? undefined : fromJson<BookedIrrigation>(irrigation);
}

export function setIrrigation(db: Database, fieldYear: FieldYearRow, irrigation: BookedIrrigation | null): void {
	const label = irrigation ? 'Changed the irrigation' : 'Deleted the irrigation';
	act(db, { label, fieldYear }, (writer) =>
		writer.update('field_year', fieldYear.id, { irrigation: irrigation && JSON.stringify(irrigation) })
	);
}

/**
 * The irrigation of a year with what is in its water: by the newest report up to the end of that year, else by the oldest.
 * @param sources of the book, read once for many fields
 * @returns undefined where the field is not irrigated, or its source has no report
 */
export function irrigationOf(
	fieldYear: Pick<FieldYearRow, 'irrigation' | 'year'>,
	sources: readonly WaterSource[]
): FieldIrrigation | undefined {
	const booked = bookedIrrigation(fieldYear);
	const source = sources.find(({ id }) => id === booked?.source);
	const found =
		source?.reports.find(({ report }) => report.takenOn <= `${fieldYear.year}-12-31`) ?? source?.reports.at(-1);
	return booked && source && found && { ...booked, source: source.name, water: found.report.water };
}
