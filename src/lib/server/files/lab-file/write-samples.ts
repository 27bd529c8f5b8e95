import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import type { LabelledBag } from '../../../../core/ground/lab-file/labelled-bag';
import { partText } from '../../../../core/ground/sampling/part-text';
import type { Layer, Sample } from '../../../../core/schema-types';
import type { Writer } from '../../book/act';
import { bringBack, type ReturnedBag } from '../../stores/sampling/returned-bags';
import type { PreviewRow } from './preview';

/** Rows of a lab's file that are one sample, layer by layer. */
interface SampleRows {
	fieldId: string;
	/** The sample in the book that they are a re-issue of. */
	replaces: string | undefined;
	report: Sample;
	labNumber: string;
	lines: number[];
	bags: LabelledBag[];
}

/**
 * Writes one sample per field, day, number and spot, with a layer per row; of rows that name bags of the sampling plan, one per field, day
 * and zone or point, and says of each bag that it is back. A re-issue takes the place of its sample; the event keeps what it was.
 * @returns the sample of each line
 */
export function writeSamples(
	db: Database,
	writer: Writer,
	lab: string,
	rows: readonly PreviewRow[],
	fieldOf: (target: NonNullable<PreviewRow['target']>) => string
): Map<number, string> {
	const ids = new Map<number, string>();
	const returned: ReturnedBag[] = [];
	for (const { fieldId, replaces, report, labNumber, lines, bags } of samplesOf(rows, fieldOf)) {
		const id = replaces ?? randomUUID();
		const kept = { lab, lab_number: labNumber, report: JSON.stringify(report) };
		if (replaces) writer.update('sample', id, kept);
		else writer.insert('sample', { id, field_id: fieldId, ...kept });
		for (const line of lines) ids.set(line, id);
		for (const { code } of bags) returned.push({ code, sampleId: id });
	}
	bringBack(db, writer, lab, returned);
	return ids;
}

function samplesOf(
	rows: readonly PreviewRow[],
	fieldOf: (target: NonNullable<PreviewRow['target']>) => string
): Iterable<SampleRows> {
	const samples = new Map<string, SampleRows>();
	for (const { status, layer, target, date, spot, sampleNumber, line, ...row } of rows) {
		if (status !== 'imported' || !layer || !target) continue;
		const fieldId = fieldOf(target);
		// A row that was sent to another field is no longer what its label says.
		const bag = row.bag?.fieldId === fieldId ? row.bag : undefined;
		const key = `${fieldId}|${date ?? ''}|${bag ? `bag of ${partText(bag) ?? ''}` : sampleNumber}|${spot}`;
		const sample = samples.get(key) ?? {
			fieldId,
			replaces: row.replaces ? row.inBook?.sampleId : undefined,
			report: {
				...(date ? { date } : {}),
				...(spot === 'whole' ? {} : { spot }),
				...(bag?.zone === undefined ? {} : { zone: bag.zone }),
				...(bag?.point === undefined ? {} : { point: bag.point }),
				layers: [] as Layer[]
			},
			labNumber: sampleNumber,
			lines: [],
			bags: []
		};
		sample.report.layers.push(layer);
		sample.lines.push(line);
		if (bag) sample.bags.push(bag);
		samples.set(key, sample);
	}
	return samples.values();
}
