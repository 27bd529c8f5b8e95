import { decodedText } from '../../../../core/check/decoded-text';
import type { Shape } from '../../../../core/ground/shapes/shape';
import type { GroundLayer, PlotRecord, Prescription, TrialPlot } from '../../../../core/schema-types';
import { recordsFromCsv } from '../../../../core/trials/plots/records-csv';
import { ActionError } from '../../book/action-error';
import { readBookFile } from '../book-file/read-book-file';
import { readLabFile } from '../lab-file/read-file';
import { lookAtMap } from '../map-file/look-at-map';
import { readMapFile } from '../map-file/read-map-file';
import { layerOf } from '../map-file/take-layer';
import { readAsApplied } from '../prescription-file/read-as-applied';
import { readPrescription } from '../prescription-file/read-prescription';
import type { SentFile } from '../sent-file';

interface LayerAsked {
	file: SentFile;
	column: string;
	about: Omit<GroundLayer, 'points'>;
	boundary: Shape | undefined;
}

interface AppliedAsked {
	file: SentFile;
	prescription: Prescription;
	day: string;
	column: string | undefined;
}

interface PlotsAsked {
	file: SentFile;
	plots: readonly TrialPlot[];
	known: readonly PlotRecord[];
}

/** What is read of files, each in a process of its own: what is asked, and what comes of it. */
export const READINGS = {
	lab: ({ file }: { file: SentFile }) => readLabFile(file.name, file.bytes),
	map: async ({ file }: { file: SentFile }) => lookAtMap(file.name, await readMapFile(file.name, file.bytes)),
	layer: async ({ file, column, about, boundary }: LayerAsked) => {
		const content = await readMapFile(file.name, file.bytes);
		const { layer, notes } = layerOf(content, column, about, boundary);
		return { layer, notes: [...content.notes, ...notes] };
	},
	prescription: ({ file, unit }: { file: SentFile; unit: Prescription['unit'] }) =>
		readPrescription(file.name, file.bytes, unit),
	asApplied: ({ file, prescription, day, column }: AppliedAsked) => readAsApplied(file, prescription, day, column),
	plots: ({ file, plots, known }: PlotsAsked) => {
		const decoded = decodedText(file.bytes);
		if (!decoded) throw new ActionError(`${file.name} is no text file. Save the sheet as CSV.`);
		return recordsFromCsv(decoded.text, plots, known);
	},
	/** Into a book of its own, which the caller opens. */
	book: ({ file, draft }: { file: SentFile; draft: string }) => {
		const { db, head } = readBookFile(file.name, file.bytes, draft);
		db.close();
		return head;
	}
} as const;

export type Reading = keyof typeof READINGS;
export type Asked<K extends Reading> = Parameters<(typeof READINGS)[K]>[0];
export type Read<K extends Reading> = Awaited<ReturnType<(typeof READINGS)[K]>>;
