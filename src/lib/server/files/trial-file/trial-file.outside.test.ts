// Files of a trial, read back by GDAL (ogrinfo) and poppler (pdftotext) where they are installed.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { unzipSync } from 'fflate';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Prescription } from '../../../../core/schema-types';
import { openBook } from '../../book/open-book';
import { fillBook } from '../../book/fill-book';
import { Desk } from '../../desk';
import { libraryOf } from '../../current-library';
import { theLibrary } from '../../knowledge';
import { trialPrescription } from '../../field/trials/trial-prescription';
import { listTrials } from '../../stores/trials';
import { trialFile } from './trial-file';

const has = (program: string) => spawnSync(program, ['--version']).error === undefined;
const folder = mkdtempSync(path.join(tmpdir(), 'cosecha-trial-'));
const book = openBook(':memory:');
let desk: Desk;
beforeAll(() => {
	fillBook(book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
	desk = new Desk(book, libraryOf(book, theLibrary()), '2026-11-23');
});
const trial = (name: string) => listTrials(book).find(({ plan }) => plan.name.startsWith(name))!;
const bytesOf = async (name: string, kind: string) =>
	new Uint8Array(await (await trialFile(desk, trial(name), kind, null)).arrayBuffer());
const textOf = (pdf: Uint8Array) => {
	const file = path.join(folder, 'page.pdf');
	writeFileSync(file, pdf);
	return spawnSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).stdout;
};

describe('plots of the N rates', () => {
	it.runIf(has('ogrinfo'))('as a Shapefile open in ogrinfo with plot, treatment and rate', async () => {
		for (const [name, bytes] of Object.entries(unzipSync(await bytesOf('N rates', 'plots-shapefile')))) {
			writeFileSync(path.join(folder, path.basename(name)), bytes);
		}
		const { stdout } = spawnSync('ogrinfo', ['-al', path.join(folder, 'plots.shp')], { encoding: 'utf8' });
		expect(stdout).toContain('Feature Count: 24');
		expect(stdout).toMatch(/WGS[ _]?(19)?84/);
		for (const part of ['PLOT: Real', 'BLOCK: Real', 'TREATMENT: String', 'RATE: Real', 'UNIT (String) = lb N/ac']) {
			expect(stdout).toContain(part);
		}
		expect(stdout.match(/RATE \(Real\) = 240/g)).toHaveLength(4);
	});
	it('as GeoJSON carry plot, code, rate and what was measured', async () => {
		const { features } = JSON.parse(new TextDecoder().decode(await bytesOf('N rates', 'plots-geojson'))) as {
			features: { properties: Record<string, unknown> }[];
		};
		const own = trial('N rates');
		expect(features.map(({ properties }) => properties.PLOT)).toEqual(own.plots.map(({ plot }) => plot));
		expect(features[0]!.properties).toMatchObject({
			RATE: Number(own.plots[0]!.levels['N rate']),
			YIELD: own.records.find(({ plot }) => plot === 101)!.values!.yield
		});
		const kinds = JSON.parse(new TextDecoder().decode(await bytesOf('Placement', 'plots-geojson'))) as typeof own & {
			features: { properties: object }[];
		};
		expect(kinds.features[0]!.properties).not.toHaveProperty('RATE');
	});
	it('become a prescription: pounds of urea, gallons of UAN, nothing outside', () => {
		const rates = (product: string): Prescription => trialPrescription(desk, trial('N rates'), product);
		const at = ({ parts }: Prescription, level: string) =>
			parts.find(
				({ zone }) => zone === String(trial('N rates').plots.find(({ levels }) => levels['N rate'] === level)!.plot)
			)!.rate;
		const urea = rates('urea');
		expect(urea).toMatchObject({ unit: 'lb/ac', outside: 0, parts: { length: 24 } });
		expect(at(urea, '180')).toBeCloseTo(180 / 0.46, 1);
		// UAN of 28 % weighs 10.66 lb/gal: common practice, about 3 lb N in a gallon.
		expect(rates('uan-28').unit).toBe('gal/ac');
		expect(at(rates('uan-28'), '180')).toBeCloseTo(180 / 2.98, 0);
		expect(() => rates('triple-super')).toThrow('"triple-super" supplies no N');
		expect(() => trialPrescription(desk, trial('Placement'), 'urea')).toThrow('tries no rate');
	});
	it('a prescription comes in every kind, another kind is not there', async () => {
		for (const kind of ['geojson', 'shapefile', 'task-data', 'csv']) {
			const file = await trialFile(desk, trial('N rates'), kind, 'urea');
			expect(file.headers.get('content-disposition')).toContain('upper-saltlick-urea');
		}
		await expect(trialFile(desk, trial('N rates'), 'docx', null)).rejects.toMatchObject({ status: 404 });
	});
});

describe.runIf(has('pdftotext'))('on paper', () => {
	it('the plot map has every plot, what codes mean, cautions, and a line to each plot to write on', async () => {
		const text = textOf(await bytesOf('N rates', 'plot-map'));
		for (const part of [
			'101 ',
			'406 ',
			'E 180 lb N/ac (usual practice)',
			'seed 2026',
			'North is up',
			'Data sheet',
			'Moisture, %'
		]) {
			expect(text.replace(/ +/g, ' ')).toContain(part);
		}
		expect(text).toMatch(/240 lb N\/ac is above all that is advised here/);
	});
	it('the report is one page: verdict, design, weather, means with letters, money, and what it does not show', async () => {
		const text = textOf(await bytesOf('Placement', 'report'));
		expect(text.split('\f').filter((page) => page.trim() !== '')).toHaveLength(1);
		for (const part of [
			'Does it matter where and when',
			'8 treatments in 6 blocks, 48 plots',
			'Weather: Invented season',
			'Set aside: block 3: plot 305, drowned spot, stand lost.',
			'Least significant difference',
			'What it does not show',
			'One field in one year'
		]) {
			expect(text).toContain(part);
		}
		expect(text).toMatch(/row base V7\s+191\.\d\s+a\s+7\d\d\.\d\d\s+4\d\.\d\d\s+\d/);
	});
	it('there is no report before anything was measured', async () => {
		await expect(bytesOf('Starter', 'report')).rejects.toMatchObject({ status: 422 });
	});
});
