import type { PlotRecord, TrialMeasure, TrialPlot } from '$core/schema-types';
import { measureOf, MOST_MOISTURE, valuesWithout } from '$core/trials/plots/measures';

/** A plot's line as it is typed. */
export interface TypedRow {
	plot: number;
	value: string;
	moisture: string;
	setAside: string;
	note: string;
}

export function typedRows(
	plots: readonly TrialPlot[],
	records: readonly PlotRecord[],
	measure: TrialMeasure
): TypedRow[] {
	const text = (value: number | undefined) => (value === undefined ? '' : String(value));
	return plots.map(({ plot }) => {
		const own = records.find((one) => one.plot === plot);
		return {
			plot,
			value: text(own?.values?.[measure]),
			moisture: text(own?.moisturePercent),
			setAside: own?.setAside ?? '',
			note: own?.note ?? ''
		};
	});
}

/**
 * What a line says of its plot, beside what was measured otherwise; undefined where nothing is known of it.
 * @returns what is wrong, in words
 */
export function readRow(
	{ plot, value, moisture, setAside, note }: TypedRow,
	measure: TrialMeasure,
	records: readonly PlotRecord[]
): PlotRecord | undefined | string {
	const number = (label: string, text: string, most: number): number | undefined | string => {
		if (text.trim() === '') return undefined;
		const typed = Number(text);
		return typed >= 0 && typed <= most
			? typed
			: `${label} of plot ${plot} must be a number from 0 to ${most}; got “${text}”.`;
	};
	const { name, most } = measureOf(measure);
	const measured = number(name, value, most);
	const wet = number('Moisture', moisture, MOST_MOISTURE);
	if (typeof measured === 'string') return measured;
	if (typeof wet === 'string') return wet;
	const before = records.find((one) => one.plot === plot);
	const values = {
		...valuesWithout(before?.values, [measure]),
		...(measured === undefined ? {} : { [measure]: measured })
	};
	const points = before?.points !== undefined && before.values?.yield === values.yield ? { points: before.points } : {};
	const record: PlotRecord = {
		plot,
		...(Object.keys(values).length > 0 ? { values } : {}),
		...(wet === undefined ? {} : { moisturePercent: wet }),
		...points,
		...(setAside.trim() === '' ? {} : { setAside: setAside.trim() }),
		...(note.trim() === '' ? {} : { note: note.trim() })
	};
	return Object.keys(record).length > 1 ? record : undefined;
}
