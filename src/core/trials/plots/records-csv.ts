import { csvText } from '../../check/csv-text';
import { csvLines } from '../../check/csv-lines';
import { InputError, type Problem } from '../../check/problem';
import type { PlotRecord, TrialPlot } from '../../schema-types';
import { treatmentOf } from '../analysis/plots';
import { MEASURES, MOST_MOISTURE, valuesWithout } from './measures';

/** No trial has more plots. */
const MOST_LINES = 10_000;
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
	const [head, ...lines] = csvLines(text, MOST_LINES);
	const heads = (head?.cells ?? []).map((cell) => cell.toLowerCase());
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
	lines.forEach(({ line, cells }) => {
		const path = (column: string) => `row ${line}, ${column}`;
		const cellOf = (column: string) => cells[heads.indexOf(column)] ?? '';
		const number = (column: string, most: number) => {
			const cell = cellOf(column);
			if (cell === '') return undefined;
			const value = Number(cell);
			if (value >= 0 && value <= most) return value;
			problems.push({ path: path(column), message: `must be a number from 0 to ${most}; got "${cell}"` });
			return undefined;
		};
		const plot = Number(cellOf('plot'));
		if (!plots.some((one) => one.plot === plot)) {
			problems.push({ path: path('plot'), message: `"${cellOf('plot')}" is no plot of this trial` });
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
			heads.includes(column) ? cellOf(column) : (standing ?? '');
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
