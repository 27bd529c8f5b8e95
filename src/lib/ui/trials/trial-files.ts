/** The files of a trial's plots, by the last part of their address. */
export const TRIAL_FILES = [
	{ kind: 'plot-map', text: 'Plot map with data sheet (PDF)' },
	{ kind: 'data-sheet', text: 'Data sheet (CSV)' },
	{ kind: 'plots-shapefile', text: 'Plots (Shapefile)' },
	{ kind: 'plots-geojson', text: 'Plots (GeoJSON)' }
] as const;
