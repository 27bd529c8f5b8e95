import jstat from 'jstat';
import type { PlacedPoint, PlotRecord, TrialPlan, TrialPlot, YieldLayerAction, YieldLeftOut } from '../../schema-types';
import { valuesWithout } from './measures';
import { plotFrame } from './plot-frame';

/** Where the combine fills and empties, feet at each end; common practice. */
export const USUAL_END_FT = 60;
/** Fewer points than this say nothing of a plot. */
const LEAST_POINTS = 3;
/** The middle of a whole pass lies so far inside its plot, of the header: a little under half, since a receiver wanders; common practice. */
const MIDDLE_INSIDE = 0.4;
/** Passes lie further apart than this, of the header; the points of one lie nearer than the second; common practice. */
const BETWEEN_PASSES = 0.4;
const WITHIN_PASS = 0.6;
/** A pass over less than this share of its plot is a short one; common practice. */
const WHOLE_PASS = 0.8;
/** Points further than this from the median of their plot do not count, in deviations; common practice. */
const MOST_DEVIATIONS = 4;
/** Of the median of the absolute deviations: normal scatter's standard deviation. */
const MAD_TO_SD = 1.4826;

/** The yields of a layer, the plots without one, and the points that did not count. */
export interface YieldsOfPlots {
	records: PlotRecord[];
	missing: number[];
	leftOut: YieldLeftOut[];
}

/** How a yield layer is cut. */
interface CutTerms extends Pick<YieldLayerAction, 'sideFt' | 'endFt' | 'moisturePercent'> {
	/** Moisture over the field, percent, where it was measured point by point. */
	moisture?: readonly PlacedPoint[] | undefined;
}

type Header = Pick<TrialPlan, 'headerFt'>;

/**
 * Yields of the plots from the points of a layer: whole passes of the combine whose middle lies in the plot, the ends left out, and of them
 * the points that are neither zero nor far from the plot's median. Where no passes can be told, the points that lie half a header inside, or
 * as far as is typed. What else was recorded of a plot stays; one with fewer than three points, of yield or of moisture where that is a
 * layer too, has no yield, never a zero.
 */
export function yieldOfPlots(
	header: Header,
	plots: readonly TrialPlot[],
	points: readonly PlacedPoint[],
	{ moisturePercent, moisture, ...edges }: CutTerms,
	known: readonly PlotRecord[]
): YieldsOfPlots {
	const missing: number[] = [];
	const leftOut: YieldLeftOut[] = [];
	const records = plots.flatMap((plot): PlotRecord[] => {
		const { setAside, note, values } = known.find((one) => one.plot === plot.plot) ?? {};
		const others = valuesWithout(values, ['yield']);
		const without = {
			plot: plot.plot,
			...(Object.keys(others).length > 0 ? { values: others } : {}),
			...(setAside === undefined ? {} : { setAside }),
			...(note === undefined ? {} : { note })
		};
		const { values: own, shortPasses } = pointsOf(plot, points, header, edges);
		const kept = withoutFar(own);
		if (kept.zeros + kept.far + shortPasses > 0)
			leftOut.push({ plot: plot.plot, zeros: kept.zeros, far: kept.far, shortPasses });
		const yielded = meanOf(kept.values);
		const wet = moisture ? meanOf(pointsOf(plot, moisture, header, edges).values) : moisturePercent;
		// Grain whose moisture should be known and is not would be told too high or too low.
		if (yielded === undefined || (moisture && wet === undefined)) {
			missing.push(plot.plot);
			return Object.keys(without).length > 1 ? [without] : [];
		}
		return [
			{
				...without,
				values: { ...others, yield: yielded },
				points: kept.values.length,
				...(wet === undefined ? {} : { moisturePercent: wet })
			}
		];
	});
	return { records, missing, leftOut };
}

function meanOf(values: readonly number[]): number | undefined {
	if (values.length < LEAST_POINTS) return undefined;
	return Math.round((values.reduce((sum, value) => sum + value, 0) / values.length) * 100) / 100;
}

/** The values that count for a plot, and how many of its passes are short ones. */
function pointsOf(
	plot: TrialPlot,
	points: readonly PlacedPoint[],
	{ headerFt }: Header,
	{ sideFt, endFt = USUAL_END_FT }: Pick<CutTerms, 'sideFt' | 'endFt'>
): { values: number[]; shortPasses: number } {
	const { widthFt, lengthFt, at } = plotFrame(plot);
	const inPlot = points
		.map(([x, y, value]) => ({ ...at([x, y]), value }))
		.filter(({ across, along }) => across >= 0 && across <= widthFt && along >= endFt && along <= lengthFt - endFt);
	const passes = sideFt === undefined ? passesOf(inPlot, headerFt) : undefined;
	if (!passes) {
		const side = sideFt ?? headerFt / 2;
		const inside = inPlot.filter(({ across }) => across >= side && across <= widthFt - side);
		return { values: inside.map(({ value }) => value), shortPasses: 0 };
	}
	const side = MIDDLE_INSIDE * headerFt;
	const own = passes.filter((pass) => {
		const middle = pass[Math.floor(pass.length / 2)]!.across;
		return middle >= side && middle <= widthFt - side;
	});
	const whole = own.filter((pass) => {
		const along = pass.map((point) => point.along);
		return Math.max(...along) - Math.min(...along) >= WHOLE_PASS * (lengthFt - 2 * endFt);
	});
	return { values: whole.flat().map(({ value }) => value), shortPasses: own.length - whole.length };
}

interface PointInPlot {
	across: number;
	along: number;
	value: number;
}

/** The points pass by pass, each sorted across; undefined where they do not lie in passes along the plot. */
function passesOf(points: readonly PointInPlot[], headerFt: number): PointInPlot[][] | undefined {
	const passes: PointInPlot[][] = [];
	for (const point of [...points].sort((a, b) => a.across - b.across)) {
		const before = passes.at(-1);
		if (before && point.across - before.at(-1)!.across <= BETWEEN_PASSES * headerFt) before.push(point);
		else passes.push([point]);
	}
	const wide = passes.some((pass) => pass.at(-1)!.across - pass[0]!.across > WITHIN_PASS * headerFt);
	return wide ? undefined : passes;
}

/** Values without zeros, where the combine stood or lifted its header, and without those far from the median. */
function withoutFar(all: readonly number[]): { values: number[]; zeros: number; far: number } {
	const grown = all.filter((value) => value > 0);
	const middle = jstat.median(grown);
	const most = MOST_DEVIATIONS * MAD_TO_SD * jstat.median(grown.map((value) => Math.abs(value - middle)));
	const values = most > 0 ? grown.filter((value) => Math.abs(value - middle) <= most) : grown;
	return { values, zeros: all.length - grown.length, far: grown.length - values.length };
}
