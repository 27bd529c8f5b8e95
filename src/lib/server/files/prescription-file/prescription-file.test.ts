import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { unzipSync, zipSync } from 'fflate';
import { ISOXMLManager } from 'isoxml';
import { afterAll, describe, expect, it } from 'vitest';
import { areaAcres } from '../../../../core/ground/shapes/geodesic-area';
import type { Shape } from '../../../../core/ground/shapes/shape';
import type { Prescription } from '../../../../core/schema-types';
import { validator } from '../../../../core/check/validator';
import { prescriptionTotal } from '../../../../core/zones/prescription/prescription-totals';
import { asGeoJson } from './as-geojson';
import { asShapefile } from './as-shapefile';
import { asTable } from './as-table';
import { asTaskData, taskDataXml } from './as-task-data';
import { readPrescription } from './read-prescription';

const square = (x: number, y: number, size: number) => [
	[x, y],
	[x + size, y],
	[x + size, y + size],
	[x, y + size],
	[x, y]
];
const withHole: Shape = {
	type: 'Polygon',
	coordinates: [square(-35, 41, 0.004), [...square(-34.999, 41.001, 0.001)].reverse()]
};
const twoParts: Shape = {
	type: 'MultiPolygon',
	coordinates: [[square(-34.996, 41, 0.002)], [square(-34.993, 41.001, 0.001)]]
};
const acres = (shape: Shape) => Math.round(areaAcres(shape) * 100) / 100;
const prescription: Prescription = {
	format: 1,
	name: 'Side-dress, by zone',
	product: { id: 'uan-28', name: 'UAN-28' },
	unit: 'lb/ac',
	outside: 300,
	flat: 400,
	madeOn: '2026-11-23',
	preparedBy: 'Ada Verhulst',
	field: 'Brick Kiln',
	grower: 'Quillet Bros',
	year: 2027,
	parts: [
		{ zone: 'Sand knob', rate: 250.5, areaAcres: acres(withHole), shape: withHole },
		{ zone: 'Bottom, dark ground', rate: 120, areaAcres: acres(twoParts), shape: twoParts }
	],
	cautions: ['Follow the label.']
};
const folder = mkdtempSync(path.join(tmpdir(), 'cosecha-map-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const total = (parts: Prescription['parts']) => prescriptionTotal({ ...prescription, parts }).value;
const utf8 = (text: string) => new TextEncoder().encode(text);

/** Shapes as sets of corners: files may begin a ring elsewhere, turn it, or hold one part as many. */
const corners = ({ shape }: { shape: unknown }) =>
	JSON.stringify((shape as Shape).coordinates)
		.match(/-?\d+\.?\d*,-?\d+\.?\d*/g)!
		.map((pair) =>
			pair
				.split(',')
				.map((part) => Number(part).toFixed(8))
				.join(' ')
		)
		.filter((corner, at, all) => all.indexOf(corner) === at)
		.sort();

describe('a prescription comes back the same', () => {
	it('fits its schema', () => {
		expect(validator<Prescription>('ground#/definitions/Prescription')(prescription)).toEqual(prescription);
	});
	it.each([
		['GeoJSON', async () => utf8(JSON.stringify(asGeoJson(prescription))), 300],
		['a zipped Shapefile', () => asShapefile(prescription), undefined],
		['task data', async () => asTaskData(prescription, withHole), 300],
		['CSV', async () => utf8(asTable(prescription)), 300]
	])('from %s', async (name, write, outside) => {
		const read = await readPrescription(name, await write(), 'lb/ac');
		expect(read.outside).toBe(outside);
		expect(read.parts.map(({ zone, rate, areaAcres: area }) => [zone, rate, area])).toEqual(
			prescription.parts.map(({ zone, rate, areaAcres: area }) => [zone, rate, area])
		);
		expect(read.parts.map(corners)).toEqual(prescription.parts.map(corners));
	});
});

describe('other programs open the files', () => {
	const hasGdal = spawnSync('ogrinfo', ['--version']).status === 0;
	const ogr = (file: string) => execFileSync('ogrinfo', ['-al', '-so', file], { encoding: 'utf8' });
	/** Product by GDAL: its own area in an equal-area projection times the rate it reads. */
	const totalByGdal = (file: string) => {
		const csv = execFileSync(
			'ogr2ogr',
			['-f', 'CSV', '/vsistdout/', file, '-t_srs', 'EPSG:6933', '-nlt', 'PROMOTE_TO_MULTI', '-lco', 'GEOMETRY=AS_WKT'],
			{ encoding: 'utf8' }
		);
		const again = path.join(folder, `${path.basename(file)}.csv`);
		writeFileSync(again, csv);
		const sums = execFileSync(
			'ogr2ogr',
			[
				'-f',
				'CSV',
				'/vsistdout/',
				again,
				'-dialect',
				'OGRSQL',
				'-sql',
				`SELECT RATE, OGR_GEOM_AREA FROM "${path.basename(again, '.csv')}"`
			],
			{ encoding: 'utf8' }
		);
		return sums
			.trim()
			.split('\n')
			.slice(1)
			.map((line) => line.split(',').map((cell) => Number(cell.replaceAll('"', ''))))
			.reduce((sum, [rate = NaN, m2 = NaN]) => sum + (rate * m2) / 4046.8564224, 0);
	};

	it.runIf(hasGdal)('ogrinfo: the Shapefile with fields, projection and total', async () => {
		for (const [name, bytes] of Object.entries(unzipSync(await asShapefile(prescription)))) {
			writeFileSync(path.join(folder, path.basename(name)), bytes);
		}
		const file = path.join(folder, 'prescription.shp');
		const text = ogr(file);
		expect(text).toContain('Feature Count: 2');
		expect(text).toMatch(/Geometry: (Multi )?Polygon/i);
		expect(text).toMatch(/WGS[ _]?(19)?84/);
		for (const field of ['ZONE: String', 'RATE: Real', 'UNIT: String', 'PRODUCT: String', 'ACRES: Real'])
			expect(text).toContain(field);
		expect(Math.abs(totalByGdal(file) / total(prescription.parts) - 1)).toBeLessThan(0.001);
	});
	it.runIf(hasGdal)('ogrinfo: the GeoJSON with fields, projection and total', () => {
		const file = path.join(folder, 'prescription.geojson');
		writeFileSync(file, JSON.stringify(asGeoJson(prescription)));
		const text = ogr(file);
		expect(text).toContain('Feature Count: 2');
		expect(text).toContain('WGS 84');
		expect(text).toContain('RATE: Real');
		expect(Math.abs(totalByGdal(file) / total(prescription.parts) - 1)).toBeLessThan(0.001);
	});
	it('a task file is XML also where an older book has a control character in a name', () => {
		const text = taskDataXml({ ...prescription, name: 'Side\u0001-dress' }, undefined);
		expect(text).toContain('B="Side-dress"');
		// eslint-disable-next-line no-control-regex
		expect(text).not.toMatch(/[\u0000-\u0008]/);
	});
	it('an independent reader of ISO 11783-10: the mandatory elements, and the total of the plan', async () => {
		const manager = new ISOXMLManager({ version: 4 });
		await manager.parseISOXMLFile(asTaskData(prescription, withHole), 'application/zip');
		expect(manager.getWarnings()).toEqual([]);
		const { attributes } = manager.rootElement;
		expect(attributes).toMatchObject({
			VersionMajor: '4',
			DataTransferOrigin: '1',
			ManagementSoftwareManufacturer: 'Cosecha'
		});
		expect(attributes.Customer?.[0]?.attributes).toMatchObject({ CustomerLastName: 'Quillet Bros' });
		const [partfield] = attributes.Partfield!;
		expect(partfield!.attributes).toMatchObject({ PartfieldDesignator: 'Brick Kiln' });
		expect(partfield!.attributes.PartfieldArea! / 4046.8564224).toBeCloseTo(areaAcres(withHole), 2);
		expect(attributes.Product?.[0]?.attributes.ProductDesignator).toBe('UAN-28');
		const [task] = attributes.Task!;
		expect(task!.attributes).toMatchObject({
			TaskStatus: '1',
			TaskDesignator: 'Side-dress, by zone',
			OutOfFieldTreatmentZoneCode: 0
		});
		const zones = task!.attributes.TreatmentZone!.filter((zone) => zone.attributes.PolygonTreatmentZoneonly);
		const sum = zones.reduce((pounds, { attributes: zone }) => {
			const [value] = zone.ProcessDataVariable!;
			expect(value!.attributes.ProcessDataDDI).toBe('0006');
			// mg/m2 to lb/ac.
			const rate = (value!.attributes.ProcessDataValue! / 1e6) * (4046.8564224 / 0.45359237);
			const coordinates = zone.PolygonTreatmentZoneonly!.map((polygon) =>
				polygon.attributes.LineString!.map((line) =>
					line.attributes.Point!.map(({ attributes: point }) => [Number(point.PointEast), Number(point.PointNorth)])
				)
			);
			return pounds + rate * areaAcres({ type: 'MultiPolygon', coordinates });
		}, 0);
		expect(Math.abs(sum / total(prescription.parts) - 1)).toBeLessThan(1e-4);
	});
});

describe('a file that is no prescription is refused in words', () => {
	it.each([
		[
			'without rates',
			utf8(
				'{"type":"FeatureCollection","features":[{"type":"Feature","properties":{"ZONE":"A"},"geometry":' +
					JSON.stringify(withHole) +
					'}]}'
			),
			'A has no RATE that is a number from 0 (undefined)'
		],
		[
			'with a broken shape',
			utf8('zone,rate,unit,product,acres,shape\nA,20,lb/ac,urea,1,"MULTIPOLYGON (((-35 41, -34 41"\n'),
			'is no shape that can be read: look at its brackets and numbers'
		],
		[
			'with a place for a shape',
			utf8('zone,rate,unit,product,acres,shape\nA,20,lb/ac,urea,1,"POINT (-35 41)"\n'),
			'is no POLYGON or MULTIPOLYGON'
		],
		['a task file cut short', utf8(taskDataXml(prescription, undefined).slice(0, 900)), 'is a broken task file'],
		['a zip of nothing', zipSync({ 'readme.txt': utf8('hello') }), 'holds no .shp and no .kml']
	])('%s', async (name, bytes, message) => {
		await expect(readPrescription(name, bytes, 'lb/ac')).rejects.toThrow(message);
	});
});
