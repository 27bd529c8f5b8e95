/** The files in which a prescription is handed out, by the last part of their address. */
export const PRESCRIPTION_FILES = [
	{ kind: 'geojson', text: 'GeoJSON' },
	{ kind: 'shapefile', text: 'Shapefile' },
	{ kind: 'task-data', text: 'ISO 11783-10 task data' },
	{ kind: 'csv', text: 'CSV' }
] as const;
