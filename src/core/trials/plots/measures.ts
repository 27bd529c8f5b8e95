import { entriesOf } from '../../check/typed-object';
import type { PlotRecord, TrialMeasure } from '../../schema-types';

/** What can be measured on a plot, with its unit and the most that is believed. */
export const MEASURES: readonly { id: TrialMeasure; name: string; unit: string; most: number }[] = [
	{ id: 'yield', name: 'Yield', unit: '', most: 100_000 },
	{ id: 'stand', name: 'Stand', unit: 'plants/ac', most: 1_000_000 },
	{ id: 'height', name: 'Height', unit: 'in', most: 500 },
	{ id: 'leafN', name: 'Leaf N', unit: '%', most: 10 },
	{ id: 'leafP', name: 'Leaf P', unit: '%', most: 5 },
	{ id: 'leafK', name: 'Leaf K', unit: '%', most: 10 },
	{ id: 'residualNitrate', name: 'Residual nitrate, 0-24 in', unit: 'lb/ac', most: 2000 },
	{ id: 'biomass', name: 'Cover crop biomass', unit: 'lb/ac', most: 50_000 },
	{ id: 'protein', name: 'Protein', unit: '%', most: 60 },
	{ id: 'testWeight', name: 'Test weight', unit: 'lb/bu', most: 90 }
];

/** The wettest grain that is believed, percent. */
export const MOST_MOISTURE = 60;

/** A measure by its id. */
export function measureOf(id: TrialMeasure) {
	return MEASURES.find((one) => one.id === id)!;
}

/** Whether anything is recorded on a plot but its number. */
export const isRecorded = ({ plot: _plot, ...rest }: PlotRecord): boolean => Object.keys(rest).length > 0;

/** What was measured on a plot but for some measures. */
export function valuesWithout(
	values: PlotRecord['values'],
	left: readonly TrialMeasure[]
): Partial<Record<TrialMeasure, number>> {
	return Object.fromEntries(entriesOf(values ?? {}).filter(([id]) => !left.includes(id)));
}
