import type { LabMapping, Layer, LeafLogEntry } from '../../schema-types';
import { readDate, readSpot, type CellOf, type CellProblem } from './cells';
import { labelledBag, type LabelledBag } from './labelled-bag';
import { readLeafRow, type NamedCrop } from './leaf-row';
import { readFieldFacts, type FieldFacts } from './field-facts';
import { readLayer } from './soil-row';

/** What one row of a lab file will become. */
export interface LabRow {
	/** Line of the file as an editor counts it, from 1. */
	line: number;
	field: string;
	grower: string;
	sampleNumber: string;
	/** YYYY-MM-DD; undefined where the file gives none. */
	date: string | undefined;
	/** Of a good or bad spot of the field, where the file says so. */
	spot: 'whole' | 'good' | 'bad';
	/** Undefined where the row is bad, or of leaves. */
	layer: Layer | undefined;
	/** Undefined where the row is bad, or of soil. */
	leaf: LeafLogEntry | undefined;
	/** The bag of the sampling plan that the row names by its code. */
	bag?: LabelledBag | undefined;
	/** What it says of the field itself. */
	facts: FieldFacts;
	/** A line without a single word in it. */
	blank: boolean;
	problems: CellProblem[];
}

/**
 * Reads the rows of a lab file by a mapping. A row with anything wrong has neither layer nor leaf test, and says what is wrong where.
 * @param rows cells as text, without the header line
 * @param firstLine line of the file on which the first of them stands
 * @param crops that leaf tests may be of
 * @param bags of the sampling plan by their codes: a row that names one needs no field, depth or date of its own
 */
export function readLabRows(
	rows: readonly (readonly string[])[],
	mapping: LabMapping,
	firstLine: number,
	crops: readonly NamedCrop[],
	bags: ReadonlyMap<string, LabelledBag> = new Map()
): LabRow[] {
	const read = rows.map((cells, index) => readRow(cells, index + firstLine, mapping, crops, bags));
	markDoubled(read);
	return read;
}

function readRow(
	cells: readonly string[],
	line: number,
	mapping: LabMapping,
	crops: readonly NamedCrop[],
	bags: ReadonlyMap<string, LabelledBag>
): LabRow {
	if (cells.every((text) => text.trim() === '')) {
		return {
			line,
			field: '',
			grower: '',
			sampleNumber: '',
			date: undefined,
			spot: 'whole',
			layer: undefined,
			leaf: undefined,
			facts: {},
			blank: true,
			problems: []
		};
	}
	const problems: CellProblem[] = [];
	const cell: CellOf = (role) => {
		const column = mapping.columns.findIndex((candidate) => candidate.role === role);
		return { column, text: (cells[column] ?? '').trim() };
	};
	const field = cell('field');
	const bag = mapping.leaf ? undefined : labelledBag(cell('sample number'), field, bags, problems);
	if (field.text === '' && !bag) problems.push({ column: field.column, message: 'the field name is missing' });
	if (cells.length > mapping.columns.length) {
		problems.push({ column: -1, message: `the row has ${cells.length} cells under ${mapping.columns.length} headers` });
	}
	const date = readDate(cell('date'), mapping.dateOrder, problems);
	if (bag && date === undefined && bag.pulledOn === undefined) {
		const message = `bag ${bag.code} has no day of sampling: mark it as pulled in the sampling plan, or give the column of the date`;
		problems.push({ column: -1, message });
	}
	const spot = readSpot(cell('spot'), problems);
	const facts = mapping.leaf ? {} : readFieldFacts(cell, problems);
	const leaf = mapping.leaf ? readLeafRow(cells, cell, { mapping, date, spot, crops }, problems) : undefined;
	const layer = mapping.leaf ? undefined : readLayer(cells, cell, bag ? atDepthOf(bag, mapping) : mapping, problems);
	const found = leaf ? Object.keys(leaf.results).length : (layer?.results.length ?? 0);
	if (found === 0 && problems.length === 0) problems.push({ column: -1, message: 'the row holds no result' });
	const good = problems.length === 0;
	return {
		line,
		field: bag?.field ?? field.text,
		grower: bag?.grower ?? cell('grower').text,
		sampleNumber: bag?.code ?? cell('sample number').text,
		date: date ?? bag?.pulledOn,
		spot,
		layer: good ? layer : undefined,
		leaf: good ? leaf : undefined,
		bag,
		facts,
		blank: false,
		problems
	};
}

/** The depth on the label holds where the file has no column for it. */
function atDepthOf({ depth: { top, bottom, depthUnit } }: LabelledBag, mapping: LabMapping): LabMapping {
	const given = mapping.columns.some(({ role }) => role === 'depth' || role === 'top depth');
	return given ? mapping : { ...mapping, depth: { top, bottom, unit: depthUnit } };
}

/** Two rows of one field, day and depth, or of the same leaves, would overwrite each other. */
function markDoubled(rows: LabRow[]): void {
	const seen = new Map<string, number>();
	for (const row of rows) {
		const { layer, leaf } = row;
		if (!layer && !leaf) continue;
		const of = layer ? [row.sampleNumber, row.spot, layer.top, layer.bottom, layer.depthUnit] : [leafKey(leaf!)];
		const key = [row.field, row.grower, row.date, ...of].join('|').toLowerCase();
		const first = seen.get(key);
		if (first === undefined) {
			seen.set(key, row.line);
		} else {
			row.layer = row.leaf = undefined;
			const same = layer ? 'sample number and depth' : 'crop, part, stage and spot';
			row.problems.push({ column: -1, message: `the same field, day, ${same} as line ${first}` });
		}
	}
}

/** What tells a leaf test of a field from another. */
export function leafKey({ takenOn, crop, part, stage, spot }: LeafLogEntry): string {
	return [takenOn, crop, part, stage, spot].join('|').toLowerCase();
}
