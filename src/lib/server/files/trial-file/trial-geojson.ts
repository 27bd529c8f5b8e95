import type { FeatureCollection } from 'geojson';
import type { Shape } from '../../../../core/ground/shapes/shape';
import type { TrialRecord } from '../../../../core/schema-types';
import { treatmentOf } from '../../../../core/trials/analysis/plots';
import { treatmentCodes } from '../../../../core/trials/design/treatment-codes';
import { rateFactor } from '../../../../core/trials/design/treatments';

/** Columns of a trial's plots; a .dbf takes names of at most ten letters. */
interface PlotColumns {
	PLOT: number;
	BLOCK: number;
	CODE: string;
	TREATMENT: string;
	/** Left out where the trial tries no rate. */
	RATE?: number;
	UNIT?: string;
	ACRES: number;
	YIELD?: number;
}

/** The plots of a trial as GeoJSON (RFC 7946). */
export function trialGeoJson({ plan, plots, records }: TrialRecord): FeatureCollection<Shape, PlotColumns> {
	const codes = treatmentCodes(plan);
	const factor = rateFactor(plan);
	return {
		type: 'FeatureCollection',
		features: plots.map((plot) => {
			const treatment = treatmentOf(plot);
			const measured = records.find((one) => one.plot === plot.plot)?.values?.yield;
			return {
				type: 'Feature',
				properties: {
					PLOT: plot.plot,
					BLOCK: plot.block,
					CODE: codes.get(treatment)!,
					TREATMENT: treatment,
					...(factor ? { RATE: Number(plot.levels[factor.name]), UNIT: factor.unit! } : {}),
					ACRES: plot.areaAcres,
					...(measured === undefined ? {} : { YIELD: measured })
				},
				geometry: plot.shape
			};
		})
	};
}
