import { insideTest } from '../../ground/shapes/inside';
import type { PlacedPoint, PlotRecord, TrialPlan, TrialPlot, YieldLayerAction } from '../../schema-types';
import { innerPlot } from './inner-plot';
import { valuesWithout } from './measures';

/** Where the combine fills and empties, feet at each end; common practice. */
export const USUAL_END_FT = 50;
/** Fewer points than this say nothing of a plot. */
const LEAST_POINTS = 3;

/** What a yield layer gave, and the plots that it says nothing of. */
export interface YieldsOfPlots {
	records: PlotRecord[];
	missing: number[];
}

/** How a yield layer is cut. */
interface CutTerms extends Pick<YieldLayerAction, 'sideFt' | 'endFt' | 'moisturePercent'> {
	/** Moisture over the field, percent, where it was measured point by point. */
	moisture?: readonly PlacedPoint[] | undefined;
}

/**
 * Yields of the plots as means of the points of a layer that lie in them, edges left out. What else was recorded of a plot stays; one with
 * fewer than three points, of yield or of moisture where that is a layer too, has no yield, never a zero.
 */
export function yieldOfPlots(
	{ headerFt }: Pick<TrialPlan, 'headerFt'>,
	plots: readonly TrialPlot[],
	points: readonly PlacedPoint[],
	{ sideFt = headerFt / 2, endFt = USUAL_END_FT, moisturePercent, moisture }: CutTerms,
	known: readonly PlotRecord[]
): YieldsOfPlots {
	const missing: number[] = [];
	const records = plots.map((plot): PlotRecord => {
		const { setAside, note, values } = known.find((one) => one.plot === plot.plot) ?? {};
		const others = valuesWithout(values, ['yield']);
		const without = {
			plot: plot.plot,
			...(Object.keys(others).length > 0 ? { values: others } : {}),
			...(setAside === undefined ? {} : { setAside }),
			...(note === undefined ? {} : { note })
		};
		const inner = innerPlot(plot, sideFt, endFt);
		const inPlot = inner && insideTest(inner);
		const meanIn = (layer: readonly PlacedPoint[]) => {
			const own = inPlot ? layer.filter(([x, y]) => inPlot([x, y])) : [];
			const mean = own.reduce((sum, [, , value]) => sum + value, 0) / own.length;
			return own.length < LEAST_POINTS ? undefined : { mean: Math.round(mean * 100) / 100, count: own.length };
		};
		const yielded = meanIn(points);
		const wet = moisture ? meanIn(moisture)?.mean : moisturePercent;
		// Grain whose moisture should be known and is not would be told too high or too low.
		if (!yielded || (moisture && wet === undefined)) {
			missing.push(plot.plot);
			return without;
		}
		return {
			...without,
			values: { ...others, yield: yielded.mean },
			points: yielded.count,
			...(wet === undefined ? {} : { moisturePercent: wet })
		};
	});
	return { records, missing };
}
