// The ground of the demo as a GeoPackage: opened by GDAL (ogrinfo) where it is installed, and read back by the map files' reader.
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import Database from 'better-sqlite3';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { areaAcres } from '../../../../core/ground/shapes/geodesic-area';
import { partsOf, type Shape } from '../../../../core/ground/shapes/shape';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { yearsPage } from '../../pages/office/years-page';
import { readMapFile } from '../map-file/read-map-file';
import { listFields } from '../../stores/fields';
import { geometryIn } from './geometry-blob';
import { groundOfBook } from './ground-of-book';
import { writeGeoPackage, type PackageLayer } from './write-geo-package';

const hasGdal = spawnSync('ogrinfo', ['--version']).status === 0;
const folder = mkdtempSync(path.join(tmpdir(), 'cosecha-geo-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = path.join(folder, 'ground.gpkg');
const book = openBook(':memory:');
let desk: Desk;
let layers: PackageLayer[];
let bytes: Uint8Array;
beforeAll(async () => {
	fillBook(book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
	desk = new Desk(book, libraryOf(book, theLibrary()), '2026-11-23');
	layers = await groundOfBook(desk, 2027);
	bytes = writeGeoPackage(layers, '2026-11-23T08:00:00.000Z');
	writeFileSync(file, bytes);
});
const layer = (name: string) => layers.find((one) => one.name === name)!;
const count = (table: string) => book.prepare<[], { n: number }>(`SELECT count(*) AS n FROM ${table}`).get()!.n;
/** What GDAL says of a layer, or of all of them. */
const gdal = (...args: string[]) => execFileSync('ogrinfo', ['-ro', ...args], { encoding: 'utf8' });

describe('the ground of the book', () => {
	it('has as many fields, zones, samples and balances as the book', () => {
		expect(layer('field').rows).toHaveLength(count('field'));
		expect(layer('zone').rows).toHaveLength(count('zone'));
		expect(layer('sample').rows).toHaveLength(count('sample'));
		expect(layer('balance').rows).toHaveLength(count('field_year'));
		const plots = book.prepare<[], { n: number }>('SELECT sum(json_array_length(plots)) AS n FROM trial').get()!.n;
		expect(layer('plot').rows).toHaveLength(plots);
		expect(layer('rate').rows).toHaveLength(
			book
				.prepare<[], { n: number }>(
					'SELECT count(*) AS n FROM choice c JOIN field_year y ON y.id = c.field_year_id WHERE y.year = 2027'
				)
				.get()!.n
		);
	});
	it('has the rates of every year where no year is asked', async () => {
		book
			.prepare(
				"UPDATE choice SET field_year_id = (SELECT y.id FROM field_year y JOIN field f ON f.id = y.field_id WHERE f.name = 'Heronry' AND y.year = 2025) WHERE field_year_id = (SELECT y.id FROM field_year y JOIN field f ON f.id = y.field_id WHERE f.name = 'Heronry' AND y.year = 2027)"
			)
			.run();
		const every = (await groundOfBook(desk)).find(({ name }) => name === 'rate')!;
		const of = (year: number) => every.rows.filter(({ values }) => values.year === year);
		expect(of(2025).length).toBeGreaterThan(0);
		expect(of(2025).every(({ values }) => values.field === 'Heronry')).toBe(true);
		expect(of(2025).length + of(2027).length).toBe(layer('rate').rows.length);
		expect(every.title).toBe('Rates chosen, every year');
	});
	it('tells balances as the page of the years does, and rates as they are chosen', () => {
		const line = yearsPage(desk, new URLSearchParams('by=field&from=2025&to=2025')).lines.find(
			({ name }) => name === 'Kingfisher Bend'
		)!;
		const row = layer('balance').rows.find(({ values }) => values.field === 'Kingfisher Bend' && values.year === 2025)!;
		expect(row.values.P2O5_balance).toBe(line.balance.P2O5);
		const potash = layer('rate').rows.find(
			({ values }) => values.field === 'Long Meadow' && values.nutrient === 'K2O'
		)!;
		// 91.9 lb/ac of 0-0-60 stand in the plan for it: 55 lb K2O.
		expect(potash.values.rate).toBeCloseTo(91.9 * 0.6, 0);
		expect(potash.values).toMatchObject({ unit: 'lb/ac', crop: 'Winter wheat', year: 2027 });
	});
	it.runIf(hasGdal)('opens in ogrinfo with its layers, counts and projection, and no complaint', () => {
		const summary = gdal(file);
		for (const { name } of layers) expect(summary).toContain(`${name} (Multi Polygon)`);
		for (const { name, rows } of layers) {
			const told = gdal('-so', file, name);
			expect(told).toContain(`Feature Count: ${rows.length}`);
			expect(told).toMatch(/ID\["EPSG",4326\]/);
		}
		const field = gdal(file, 'field', '-where', "field = 'Long Meadow'");
		expect(field).toMatch(/acres \(Real\) = 54\b/);
		expect(field).toMatch(/MULTIPOLYGON \(\(\(/);
		const checked = spawnSync('ogrinfo', ['-ro', '-al', '-so', file], { encoding: 'utf8' });
		expect(checked.stderr).not.toMatch(/ERROR|Warning/);
	});
	it('is read back the same: corners, columns, counts', async () => {
		const read = await readMapFile('ground.gpkg', bytes);
		const shapes = layers.flatMap(({ rows }) => rows.filter(({ shape }) => shape !== undefined));
		expect(read.shapes).toHaveLength(shapes.length);
		for (const { name, boundary } of listFields(book)) {
			if (boundary === null) continue;
			const back = read.shapes.find(({ properties }) => properties.layer === 'field' && properties.field === name)!;
			expect(partsOf(back.shape)).toEqual(partsOf(JSON.parse(boundary) as Shape));
		}
		expect(read.notes).toEqual(['Its layers were read together: field, zone, plot, sample, rate, balance.']);
	});
});

describe('a GeoPackage of another program', () => {
	const square = {
		type: 'FeatureCollection',
		features: [
			{
				type: 'Feature',
				properties: { name: 'North' },
				geometry: {
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
				}
			}
		]
	};
	const made = (...args: string[]) => {
		const [from, to] = [
			path.join(folder, 'in.geojson'),
			path.join(folder, `made-${args.join('')}.gpkg`.replaceAll(':', ''))
		];
		writeFileSync(from, JSON.stringify(square));
		execFileSync('ogr2ogr', ['-f', 'GPKG', ...args, to, from], { stdio: 'pipe' });
		return new Uint8Array(readFileSync(to));
	};
	it.runIf(hasGdal)('as GDAL wrote it in UTM, with or without an envelope, is put into degrees', async () => {
		const { shapes } = await readMapFile('utm.gpkg', made('-t_srs', 'EPSG:32625'));
		expect(shapes[0]!.properties).toMatchObject({ name: 'North' });
		const acres = areaAcres(square.features[0]!.geometry as unknown as Shape);
		expect(Math.abs(areaAcres(shapes[0]!.shape) / acres - 1)).toBeLessThan(1e-4);
		const [[corner]] = partsOf(shapes[0]!.shape)[0]! as [[number, number][]];
		expect(corner![0]).toBeCloseTo(-35, 1);
	});
	it('that says nothing of its reference, or holds none, is refused in a sentence', async () => {
		const broken = (change: string) => {
			const db = new Database(Buffer.from(bytes));
			db.pragma('foreign_keys = OFF');
			db.exec(change);
			const out = new Uint8Array(db.serialize());
			db.close();
			return readMapFile('ground.gpkg', out);
		};
		await expect(
			broken(
				"INSERT INTO gpkg_spatial_ref_sys VALUES ('Own grid', 99, 'NONE', 99, 'nowhere', NULL); UPDATE gpkg_geometry_columns SET srs_id = 99"
			)
		).rejects.toThrow('the layer field is in Own grid, which the file does not describe. Export it in EPSG:4326.');
		await expect(broken('DELETE FROM gpkg_geometry_columns')).rejects.toThrow('holds no layer of areas or points');
		await expect(broken('DROP TABLE gpkg_geometry_columns')).rejects.toThrow('is no GeoPackage that can be read');
		await expect(broken("UPDATE field SET geom = x'00112233445566778899'")).rejects.toThrow('no GeoPackage geometry');
		// A view stands for no layer: what it computes is not run.
		await expect(
			broken(
				"DROP TABLE zone; CREATE VIEW zone AS SELECT 1 AS geom; DELETE FROM gpkg_contents WHERE table_name <> 'zone'"
			)
		).rejects.toThrow('holds no layer');
		await expect(readMapFile('cut.gpkg', bytes.subarray(0, 5000))).rejects.toThrow('is no GeoPackage that can be read');
	});
	it('may leave geometries empty', () => {
		expect(geometryIn(Buffer.from('47500011e6100000', 'hex'))).toBeUndefined();
	});
});
