import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { zipSync } from 'fflate';
import { afterAll, describe, expect, it } from 'vitest';
import { shapeProblems } from '../../../../core/ground/shapes/check-shape';
import { areaAcres } from '../../../../core/ground/shapes/geodesic-area';
import type { Shape } from '../../../../core/ground/shapes/shape';
import { ActionError } from '../../book/action-error';
import { zipThatLies } from '../apart/worst-files.test-help';
import { readMapFile } from './read-map-file';

const utf8 = (text: string) => new TextEncoder().encode(text);
const folder = mkdtempSync(path.join(tmpdir(), 'cosecha-map-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string) => path.join(folder, name);
const hasGdal = spawnSync('ogrinfo', ['--version']).status === 0;

const field: Shape = {
	type: 'Polygon',
	coordinates: [
		[
			[-35, 41],
			[-34.99, 41],
			[-34.99, 41.005],
			[-35, 41.005],
			[-35, 41]
		]
	]
};
const collection = {
	type: 'FeatureCollection',
	features: [{ type: 'Feature', properties: { name: 'North' }, geometry: field }]
};

describe('map files are read', () => {
	it('GeoJSON: areas with their columns, points with values, heights dropped', async () => {
		const { shapes } = await readMapFile('field.geojson', utf8(JSON.stringify(collection)));
		expect(shapes).toEqual([{ shape: field, properties: { name: 'North' } }]);
		const points = {
			type: 'FeatureCollection',
			features: [
				{
					type: 'Feature',
					properties: { P: '21', by: 'Ada' },
					geometry: { type: 'Point', coordinates: [-35, 41, 230] }
				}
			]
		};
		const read = await readMapFile('points.json', utf8(JSON.stringify(points)));
		expect(read.points).toEqual([{ position: [-35, 41], values: { P: 21 }, words: { by: 'Ada' } }]);
		expect(read.columns).toEqual(['P']);
	});
	it('GeoJSON with nothing in a feature or its geometry; what is broken is told in a sentence', async () => {
		const { features } = collection;
		const read = (more: unknown[]) =>
			readMapFile(
				'field.geojson',
				utf8(JSON.stringify({ type: 'FeatureCollection', features: [...features, ...more] }))
			);
		const nothing = [null, 7, { type: 'Feature', properties: null, geometry: null }];
		expect((await read(nothing)).shapes).toHaveLength(1);
		const broken = (geometry: unknown) => read([{ type: 'Feature', properties: {}, geometry }]);
		await expect(broken({ type: 'Point' })).rejects.toThrow('a corner is undefined, not two numbers');
		await expect(broken({ type: 'GeometryCollection' })).rejects.toThrow(ActionError);
		await expect(broken({ type: 'MultiPoint', coordinates: 5 })).rejects.toThrow('field.geojson is broken, or written');
	});
	it('CSV of points: a comma too many is told by its line, empty cells beyond the header are none', async () => {
		const read = (text: string) => readMapFile('points.csv', utf8(text));
		const points = [{ position: [-35, 41], values: { P: 21 }, words: {} }];
		expect((await read('lon,lat,P\n-35,41,21,,\n')).points).toEqual(points);
		await expect(read('lon,lat,P\n-35,41,21\n-35,41,2,1\n')).rejects.toThrow(
			'points.csv, line 3 has more cells than the header: “1” stands under none. Look for a comma too many.'
		);
		expect((await read('sep=;\nlon;lat;P\n-35;41;21\n')).points).toEqual(points);
	});
	it('CSV of points in UTF-16 and in Latin-1, and says so', async () => {
		const text = 'lon,lat,P,by\n-35,41,21,Ríos\n';
		const points = [{ position: [-35, 41], values: { P: 21 }, words: { by: 'Ríos' } }];
		const wide = new Uint8Array(Buffer.from(`\uFEFF${text}`, 'utf16le'));
		expect(await readMapFile('p.csv', wide)).toMatchObject({ points, notes: ['Read as UTF-16.'] });
		const narrow = Uint8Array.from(text, (letter) => letter.charCodeAt(0));
		expect((await readMapFile('p.csv', narrow)).points).toEqual(points);
		await expect(readMapFile('p.bin', Uint8Array.from([1, 0, 0, 2, 0, 0]))).rejects.toThrow(
			'is no map file that is read'
		);
	});
	it('KML, as it is and in its zip', async () => {
		const corners = field.coordinates[0]!.map((corner) => `${(corner as number[]).join(',')},0`).join(' ');
		const kml = `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document><Placemark><name>North</name><Polygon><outerBoundaryIs><LinearRing><coordinates>${corners}</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark></Document></kml>`;
		for (const bytes of [utf8(kml), zipSync({ 'doc.kml': utf8(kml) })]) {
			const { shapes } = await readMapFile('field.kml', bytes);
			expect(shapes[0]!.shape).toEqual(field);
			expect(shapes[0]!.properties.name).toBe('North');
		}
	});
	it('CSV with longitude and latitude; rows without a place are told', async () => {
		const { points, columns, notes } = await readMapFile(
			'log.csv',
			utf8('Longitude,Latitude,Yield,Note\n-35,41,180.5,ok\n,,20,\n-34.9,41.1,,wet\n')
		);
		expect(points).toEqual([
			{ position: [-35, 41], values: { Yield: 180.5 }, words: { Note: 'ok' } },
			{ position: [-34.9, 41.1], values: {}, words: { Note: 'wet' } }
		]);
		expect(columns).toEqual(['Yield']);
		expect(notes).toEqual(['1 rows without a place were left out.']);
	});
	it.runIf(hasGdal)('a zipped Shapefile in another projection, by its .prj, as GDAL wrote it', async () => {
		writeFileSync(file('in.geojson'), JSON.stringify(collection));
		execFileSync('ogr2ogr', ['-f', 'ESRI Shapefile', '-t_srs', 'EPSG:32625', file('utm.shp'), file('in.geojson')]);
		const parts = Object.fromEntries(
			['shp', 'shx', 'dbf', 'prj'].map((end) => [`utm.${end}`, new Uint8Array(readFileSync(file(`utm.${end}`)))])
		);
		const { shapes } = await readMapFile('utm.zip', zipSync(parts));
		expect(Math.abs(areaAcres(shapes[0]!.shape) / areaAcres(field) - 1)).toBeLessThan(1e-4);
		const without = { ...parts };
		delete without['utm.prj'];
		const bare = await readMapFile('utm.zip', zipSync(without));
		expect(bare.notes).toEqual(['It came without a .prj; its coordinates were taken as WGS 84.']);
		expect(shapeProblems(bare.shapes[0]!.shape, 'boundary')[0]!.message).toContain(
			'is no longitude and latitude in degrees: export it in WGS 84'
		);
	});
	it.runIf(hasGdal)('a GeoTIFF in UTM, as GDAL wrote it; another projection is refused by name', async () => {
		const grid = Array.from({ length: 6 }, (_, row) =>
			Array.from({ length: 5 }, (_, column) => `${500_000 + column * 10} ${4_500_000 + row * 10} ${row * 5 + column}`)
		);
		writeFileSync(file('grid.xyz'), grid.flat().join('\n'));
		const tiff = (code: string) => {
			execFileSync('gdal_translate', ['-q', '-of', 'GTiff', '-a_srs', code, file('grid.xyz'), file('grid.tif')]);
			return new Uint8Array(readFileSync(file('grid.tif')));
		};
		const { points, columns } = await readMapFile('grid.tif', tiff('EPSG:32625'));
		expect(columns).toEqual(['band 1']);
		expect(points).toHaveLength(30);
		const theirs = execFileSync('gdaltransform', ['-s_srs', 'EPSG:32625', '-t_srs', 'EPSG:4326', '-output_xy'], {
			input: '500000 4500000\n',
			encoding: 'utf8'
		})
			.trim()
			.split(' ')
			.map(Number);
		const first = points.find(({ values }) => values['band 1'] === 0)!;
		expect(first.position[0]).toBeCloseTo(theirs[0]!, 6);
		expect(first.position[1]).toBeCloseTo(theirs[1]!, 6);
		await expect(readMapFile('grid.tif', tiff('EPSG:3857'))).rejects.toThrow(
			'is in EPSG:3857; WGS 84 (EPSG:4326) and its UTM zones are read'
		);
	});
});

describe('what cannot be read is refused in words, and memory stays bounded', () => {
	const huge = () => zipSync({ 'a.shp': new Uint8Array(80 * 1024 * 1024) }, { level: 9 });
	/** A Shapefile of one area with so many bytes of places after its head, and as many parts and places as it says. */
	const areaOf = (bytes: number, parts: number, places: number, length = 44 + bytes) => {
		const view = new DataView(new ArrayBuffer(152 + bytes));
		view.setInt32(32, 5, true);
		view.setInt32(104, length / 2);
		view.setInt32(108, 5, true);
		view.setInt32(144, parts, true);
		view.setInt32(148, places, true);
		return zipSync({ 'a.shp': new Uint8Array(view.buffer) });
	};
	it.each([
		['empty', new Uint8Array(), 'is empty'],
		['a picture', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0]), 'is no map file that is read here'],
		['broken GeoJSON', utf8('{"type":"FeatureCollection","features":[{'), 'is broken'],
		['JSON of something else', utf8('{"name":"x"}'), 'is JSON, but no GeoJSON'],
		[
			'a corner that is a word',
			utf8('{"type":"Polygon","coordinates":[[["a",1]]]}'),
			'a corner is ["a",1], not two numbers'
		],
		[
			'GeoJSON in another projection',
			utf8('{"type":"FeatureCollection","crs":{"properties":{"name":"urn:ogc:def:crs:EPSG::32615"}},"features":[]}'),
			'EPSG::32615; GeoJSON is read in WGS 84 alone'
		],
		[
			'lines alone',
			utf8('{"type":"LineString","coordinates":[[0,0],[1,1]]}'),
			'holds no areas and no points, only 1 lines'
		],
		['broken KML', utf8('<kml><Placemark></kml>'), 'is no KML that can be read'],
		['CSV without places', utf8('a,b\n1,2\n'), 'has no columns for longitude and latitude (a, b)'],
		[
			'CSV in metres',
			utf8('longitude,latitude,v\n500123,4512345,2\n'),
			'line 2: 500123, 4512345 is no longitude and latitude in degrees'
		],
		['too much XML', utf8(`<kml>${' '.repeat(9 * 1024 * 1024)}</kml>`), 'holds more than 8 MB of XML'],
		['a broken zip', Uint8Array.from([0x50, 0x4b, 3, 4, 9, 9]), 'is a broken zip'],
		['a cut GeoTIFF', Uint8Array.from([0x49, 0x49, 0x2a, 0, 8, 0, 0, 0]), 'is no GeoTIFF that can be read'],
		['a zip bomb', huge(), 'unpacks to more than 60 MB'],
		['a zip bomb that lies about it', zipThatLies().bytes, 'is a broken zip'],
		['a Shapefile without its head', zipSync({ 'a.shp': new Uint8Array(99) }), 'the .shp in it is cut off'],
		['an area of more places than are there', areaOf(64, 0, 5), 'shape 1 of the .shp in it is cut off or broken'],
		['an area of more parts than are there', areaOf(64, 17, 0), 'shape 1 of the .shp in it is cut off or broken'],
		['an area longer than its file', areaOf(64, 0, 4, 110), 'shape 1 of the .shp in it is cut off or broken'],
		['an area that ends before it begins', areaOf(64, 0, 4, -108), 'shape 1 of the .shp in it is cut off or broken']
	])('%s', async (name, bytes, message) => {
		const before = process.memoryUsage().arrayBuffers;
		await expect(readMapFile(name, bytes)).rejects.toThrow(message);
		expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(70 * 1024 * 1024);
	});
	it('an empty zip holds no map', async () => {
		await expect(readMapFile('x.zip', zipSync({ 'a.txt': utf8('a') }))).rejects.toThrow('holds no .shp and no .kml');
	});
});

describe('a shape as a piece of ground', () => {
	const ring = (...corners: [number, number][]): Shape => ({
		type: 'Polygon',
		coordinates: [[...corners, corners[0]!]]
	});
	it.each([
		[
			'a bow tie',
			ring([-35, 41], [-34.99, 41.01], [-34.99, 41], [-35, 41.01]),
			'crosses itself near -34.99500, 41.00500'
		],
		[
			'metres',
			ring([500_000, 4_500_000], [500_100, 4_500_000], [500_100, 4_500_100]),
			'no longitude and latitude in degrees'
		],
		[
			'two corners',
			{
				type: 'Polygon',
				coordinates: [
					[
						[-35, 41],
						[-34.99, 41],
						[-35, 41]
					]
				]
			} as Shape,
			'has a ring of 3 points'
		],
		[
			'not closed',
			{
				type: 'Polygon',
				coordinates: [
					[
						[-35, 41],
						[-34.99, 41],
						[-34.99, 41.1],
						[-34.98, 41]
					]
				]
			} as Shape,
			'not closed'
		],
		['a speck', ring([-35, 41], [-34.99999, 41], [-34.99999, 41.00001]), 'covers 0.0001 acres; a field has from 0.01'],
		['a country', ring([-35, 41], [-30, 41], [-30, 45]), 'acres; a field has from 0.01 to 100,000'],
		[
			'a scan',
			{ type: 'Polygon', coordinates: [Array.from({ length: 20_001 }, () => [-35, 41])] } as Shape,
			'has 20001 corners; at most 20000'
		]
	])('%s', (_, shape, message) => {
		expect(shapeProblems(shape, 'boundary')[0]!.message).toContain(message);
	});
	it('a sound one has none', () => expect(shapeProblems(field, 'boundary')).toEqual([]));
});
