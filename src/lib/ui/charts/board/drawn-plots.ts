import type { RunAnswer } from '$core/season/model/run-season';
import type { BoardYear } from '$core/season/live/live-season';
import type { UnitSystem } from '$core/units/rate-units';
import { nitrogenBase, nitrogenLive, PLOT, weatherChart } from './board';
import { drawn } from '../drawn';

/** Widths of a board that are drawn, pixels. */
export const PLOT_WIDTHS = { least: 200, most: 8000 } as const;

/** The plots of a board as SVG; that of nitrogen where the crop's uptake is known. */
export interface DrawnPlots {
	weather: string;
	nitrogen?: string;
}

interface Drawing {
	year: BoardYear;
	run: RunAnswer | undefined;
	units: UnitSystem;
	width: number;
}

export function drawnPlots({ year, run, units, width }: Drawing): DrawnPlots {
	const weather = drawn(weatherChart(year, units), { width, height: PLOT.weatherHeight });
	if (!run) return { weather };
	const size = { width, height: PLOT.nitrogenHeight };
	return { weather, nitrogen: drawn(nitrogenBase(year, run.unit), size, nitrogenLive(year, run)) };
}
