import { csvText } from '../../check/csv-text';
import Papa from 'papaparse';
import { InputError, type Problem } from '../../check/problem';
import type { PlotRecord, TrialPlot } from '../../schema-types';
import { treatmentOf } from '../analysis/plots';
import { MEASURES, MOST_MOISTURE, valuesWithout } from './measures';

const MOISTURE = 'moisture, %';
const ASIDE = 'set aside because';
const NOTE = 'note';

/** The data sheet as CSV: a row to a plot with a column for each measure, to be filled in and read back. */
export function recordsAsCsv(plots: readonly TrialPlot[], records: readonly PlotRecord[]): string {
	const rows = plots.map((plot) => {
		const own = records.find((one) => one.plot === plot.plot);
		return {
			plot: plot.plot,
			block: plot.block,
			treatment: treatmentOf(plot),
			...Object.fromEntries(MEASURES.map(({ id }) => [id, own?.values?.[id] ?? ''])),
			[MOISTURE]: own?.moisturePercent ?? '',
			[ASIDE]: own?.setAside ?? '',
			[NOTE]: own?.note ?? ''
		};
	});
	return csvText(rows);
}

/**
 * What a filled-in data sheet says, by its plot numbers; an empty cell is missing. Measures that the file has no column for stay.
 * @throws InputError naming row, column and what would be right; all of it is taken, or nothing
 */
export function recordsFromCsv(text: string, plots: readonly TrialPlot[], known: readonly PlotRecord[]): PlotRecord[] {
	const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
		header: true,
		skipEmptyLines: 'greedy',
		transformHeader: (head) => head.trim().toLowerCase()
	});
	const heads = meta.fields ?? [];
	if (!heads.includes('plot')) {
		throw new InputError([
			{ path: 'row 1', message: `must have a column "plot"; got ${heads.join(', ') || 'nothing'}` }
		]);
	}
	const measures = MEASURES.filter(({ id }) => heads.includes(id.toLowerCase()));
	if (measures.length === 0) {
		const message = `must have a column of something measured: ${MEASURES.map(({ id }) => id).join(', ')}`;
		throw new InputError([{ path: 'row 1', message }]);
	}
	const problems: Problem[] = [];
	const found = new Map<number, PlotRecord>();
	data.forEach((row, at) => {
		const path = (column: string) => `row ${at + 2}, ${column}`;
		const number = (column: string, most: number) => {
			const cell = (row[column] ?? '').trim();
			if (cell === '') return undefined;
			const value = Number(cell);
			if (value >= 0 && value <= most) return value;
			problems.push({ path: path(column), message: `must be a number from 0 to ${most}; got "${cell}"` });
			return undefined;
		};
		const plot = Number(row.plot);
		if (!plots.some((one) => one.plot === plot)) {
			problems.push({ path: path('plot'), message: `"${row.plot}" is no plot of this trial` });
			return;
		}
		if (found.has(plot)) problems.push({ path: path('plot'), message: `plot ${plot} stands twice` });
		const before = known.find((one) => one.plot === plot);
		const values = valuesWithout(
			before?.values,
			measures.map(({ id }) => id)
		);
		for (const { id, most } of measures) {
			const value = number(id.toLowerCase(), most);
			if (value !== undefined) values[id] = value;
		}
		const moisture = heads.includes(MOISTURE) ? number(MOISTURE, MOST_MOISTURE) : before?.moisturePercent;
		const words = (column: string, standing: string | undefined) =>
			heads.includes(column) ? (row[column] ?? '').trim() : (standing ?? '');
		const aside = words(ASIDE, before?.setAside);
		const note = words(NOTE, before?.note);
		if (aside !== '' && aside.length < 3) {
			problems.push({ path: path(ASIDE), message: `must say why in three letters or more; got "${aside}"` });
		}
		found.set(plot, {
			plot,
			...(Object.keys(values).length > 0 ? { values } : {}),
			...(moisture === undefined ? {} : { moisturePercent: moisture }),
			...(aside === '' ? {} : { setAside: aside }),
			...(note === '' ? {} : { note })
		});
	});
	if (problems.length > 0) throw new InputError(problems);
	return plots.flatMap(({ plot }) => found.get(plot) ?? known.find((one) => one.plot === plot) ?? []);
}
