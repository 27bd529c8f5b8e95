const TYPES = [
	['.geojson', 'application/geo+json'],
	['.gpkg', 'application/geopackage+sqlite3'],
	['.zip', 'application/zip'],
	['.csv', 'text/csv; charset=utf-8'],
	['.pdf', 'application/pdf']
] as const;

/**
 * A file for the browser to keep.
 * @param title what it is of; becomes the file's name in small letters
 * @param ending as ".csv" or "-shapefile.zip"; tells the type
 */
export function download(title: string, ending: string, body: string | Uint8Array<ArrayBuffer>): Response {
	const name = title
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '');
	const [, type] = TYPES.find(([known]) => ending.endsWith(known))!;
	return new Response(body, {
		headers: { 'content-type': type, 'content-disposition': `attachment; filename="${name}${ending}"` }
	});
}
