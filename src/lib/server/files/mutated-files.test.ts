import { readFileSync } from 'node:fs';
import { deflateSync } from 'node:zlib';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { beforeAll, expect, test } from 'vitest';
import { InputError } from '../../../core/check/problem';
import { readSites } from '../../../core/trials/calibration/read-sites';
import { readObservations } from '../../../core/rates/nitrogen/response/read-observations';
import { readPriceCsv } from '../../../core/supply/price-csv';
import { readProductCsv } from '../../../core/supply/catalogue/product-csv';
import { readReportCsv } from '../../../core/water/report-csv';
import { readWeatherCsv } from '../../../core/season/weather/read-weather-csv';
import type { Prescription } from '../../../core/schema-types';
import { World } from '../api/api.test-help';
import { ActionError } from '../book/action-error';
import { findPrescription } from '../stores/plan/prescriptions';
import { rasterOf } from './apart/worst-files.test-help';
import { asBookFile } from './book-file/as-book-file';
import { readBookFile } from './book-file/read-book-file';
import { decodedText } from '../../../core/check/decoded-text';
import { groundOfBook } from './geo-package/ground-of-book';
import { writeGeoPackage } from './geo-package/write-geo-package';
import { readLabFile } from './lab-file/read-file';
import { workbookOf } from './lab-file/workbook.test-help';
import { lookAtMap } from './map-file/look-at-map';
import { readMapFile } from './map-file/read-map-file';
import { asGeoJson } from './prescription-file/as-geojson';
import { asShapefile } from './prescription-file/as-shapefile';
import { asTable } from './prescription-file/as-table';
import { asTaskData } from './prescription-file/as-task-data';
import { readPrescription } from './prescription-file/read-prescription';

const FILES = 500;
const SEED = 20261130;
const TODAY = '2026-11-23';

type Reader = (name: string, bytes: Uint8Array) => unknown;
const map: Reader = async (name, bytes) => lookAtMap(name, await readMapFile(name, bytes));
const back: Reader = (name, bytes) => readPrescription(name, bytes, 'lb/ac');
const text =
	(read: (content: string) => unknown): Reader =>
	(_, bytes) =>
		read(decodedText(bytes)?.text ?? '');

/** Whole files, and who reads them. */
let seeds: [name: string, bytes: Uint8Array, read: Reader][];

beforeAll(async () => {
	const world = await World.make();
	const prescription: Prescription = findPrescription(world.book, world.own.prescription!)!.content;
	const kml =
		'<kml xmlns="http://www.opengis.net/kml/2.2"><Document><Placemark><name>North</name><Polygon><outerBoundaryIs><LinearRing><coordinates>-35,41 -34.99,41 -34.99,41.005 -35,41</coordinates></LinearRing></outerBoundaryIs></Polygon></Placemark></Document></kml>';
	const csv = (content: string) => strToU8(content);
	seeds = [
		['lab.csv', readFileSync('demo/lab-fenmoor.csv'), readLabFile],
		['bags.csv', readFileSync('demo/lab-bags-fenmoor.csv'), readLabFile],
		[
			'lab.xlsx',
			workbookOf([
				{
					rows: [
						['Field', 'pH', 'P'],
						['Bank', 6.1, 12],
						['Hill', { day: 46000 }, 9]
					]
				}
			]),
			readLabFile
		],
		['map.geojson', strToU8(JSON.stringify(asGeoJson(prescription))), map],
		['map.kml', strToU8(kml), map],
		['points.csv', csv('longitude,latitude,P\n-35,41,12\n-35.001,41.001,14\n'), map],
		['map.zip', await asShapefile(prescription), map],
		['map.gpkg', writeGeoPackage(await groundOfBook(world.desk(), 2027), '2026-11-23T08:00:00.000Z'), map],
		['map.tif', rasterOf(deflateSync(new Uint8Array(64 * 64).fill(7))), map],
		['back.zip', asTaskData(prescription, undefined), back],
		['back.csv', strToU8(asTable(prescription)), back],
		['book.zip', asBookFile(world.book), (name, bytes) => readBookFile(name, bytes).db.close()],
		[
			'weather.csv',
			csv('date,min,max,rain\n2026-05-01,41,66,0.2\n2026-05-02,40,70,0\n'),
			text((one) => readWeatherCsv(one, 'us'))
		],
		[
			'prices.csv',
			csv('item,price,unit,from\nurea,520,$/short ton,2026-11-01\n'),
			text((one) => readPriceCsv(one, TODAY, () => undefined))
		],
		['products.csv', csv('id,name,state,N,placements\nash,Pond ash,dry,1,broadcast\n'), text(readProductCsv)],
		['water.csv', readFileSync('demo/water-fenmoor.csv'), text((one) => readReportCsv(one, TODAY))],
		['trial.csv', readFileSync('demo/trials/corn-after-corn.csv'), text(readObservations)],
		['sites.csv', readFileSync('demo/trials/phosphorus-sites.csv'), text(readSites)]
	];
});

interface Mutation {
	how: 'byte' | 'cut' | 'left out' | 'repeated' | 'put in';
	/** Where, as a share of the file. */
	at: number;
	length: number;
	bytes: Uint8Array;
}
const mutation: fc.Arbitrary<Mutation> = fc.record({
	how: fc.constantFrom('byte', 'byte', 'cut', 'left out', 'repeated', 'put in'),
	at: fc.integer({ min: 0, max: 999_999 }).map((millionths) => millionths / 1e6),
	length: fc.integer({ min: 1, max: 400 }),
	bytes: fc.oneof(
		fc.uint8Array({ minLength: 1, maxLength: 12 }),
		fc
			.constantFrom(
				'-1',
				'1e999',
				'9'.repeat(400),
				'"',
				',',
				';',
				'\n',
				'<',
				'&x;',
				'{',
				']',
				'null',
				'=1',
				'\u0000',
				'\ufeff',
				'NaN'
			)
			.map((word) => strToU8(word))
	)
});
const mutated = fc.record({
	seed: fc.nat({ max: 10_000 }),
	/** Of a zip, whether a file in it is changed, and the zip is whole. */
	within: fc.boolean(),
	file: fc.nat({ max: 100 }),
	mutations: fc.array(mutation, { minLength: 1, maxLength: 4 })
});

function mutate(bytes: Uint8Array, mutations: readonly Mutation[]): Uint8Array {
	return mutations.reduce((now, { how, at, length, bytes: more }) => {
		const start = Math.floor(at * now.length);
		const part = now.subarray(start, start + length);
		if (how === 'cut') return now.slice(0, start);
		if (how === 'left out') return joined(now.subarray(0, start), now.subarray(start + length));
		if (how === 'repeated') return joined(now.subarray(0, start), part, part, part, now.subarray(start + length));
		if (how === 'put in') return joined(now.subarray(0, start), more, now.subarray(start));
		const changed = now.slice();
		changed.set(more.subarray(0, now.length - start), start);
		return changed;
	}, bytes);
}

const joined = (...parts: Uint8Array[]) => new Uint8Array(Buffer.concat(parts));

test(`${FILES} mutated files are read, or refused in a sentence`, async () => {
	const outcomes = { read: 0, refused: 0 };
	for (const [run, { seed, within, file, mutations }] of fc.sample(mutated, { numRuns: FILES, seed: SEED }).entries()) {
		const [name, whole, read] = seeds[seed % seeds.length]!;
		let bytes: Uint8Array;
		if (within && whole[0] === 0x50 && whole[1] === 0x4b) {
			const files = unzipSync(whole);
			const names = Object.keys(files);
			const one = names[file % names.length]!;
			bytes = zipSync({ ...files, [one]: mutate(files[one]!, mutations) });
		} else bytes = mutate(whole, mutations);
		try {
			await read(name, bytes);
			outcomes.read++;
		} catch (error) {
			if (!(error instanceof ActionError || error instanceof InputError)) {
				throw new Error(`run ${run}, ${name}: ${JSON.stringify(mutations)}`, { cause: error });
			}
			expect(error.message.length, name).toBeGreaterThan(10);
			outcomes.refused++;
		}
	}
	expect(Math.min(outcomes.read, outcomes.refused)).toBeGreaterThan(50);
});
