import { describe, expect, it } from 'vitest';
import type { WaterSource } from '../schema-types';
import Papa from 'papaparse';
import { readReportCsv, reportRows } from './report-csv';

const read = (text: string) => readReportCsv(text, '2026-11-23');
const faults = (text: string): string[] => {
	try {
		read(text);
	} catch (error) {
		return (error as { problems: { path: string; message: string }[] }).problems.map(
			({ path, message }) => `${path}: ${message}`
		);
	}
	return [];
};

describe('water reports of a file', () => {
	it('are read by the heads of labs, in their order and units', () => {
		const text =
			'Sample ID,Conductivity (uS/cm),pH,Calcium mg/L,Bicarbonate (mg/L),"NO3-N, ppm",Boron,Sample Date,Laboratory\n' +
			'North well,1200,7.8,64,342,<0.1,0.4,7/14/2026,Bench\nOld pond,850,8.1,n/a,"1,250",12,,2026-08-02,\n';
		expect(read(text)).toEqual([
			{
				source: 'North well',
				kind: 'well',
				report: {
					takenOn: '2026-07-14',
					lab: 'Bench',
					water: { unit: 'ppm', ec: 1.2, ph: 7.8, ca: 64, hco3: 342, no3n: 0, b: 0.4 }
				}
			},
			{
				source: 'Old pond',
				kind: 'well',
				report: { takenOn: '2026-08-02', water: { unit: 'ppm', ec: 0.85, ph: 8.1, hco3: 1250, no3n: 12 } }
			}
		]);
	});
	it('in meq/L stay so', () => {
		const [one] = read('source,kind,date,HCO3 meq/L,Fe ppm\nCreek,River,2026-07-01,4.1,0.2\n');
		expect(one).toMatchObject({ kind: 'river', report: { water: { unit: 'meq/L', hco3: 4.1, fe: 0.2 } } });
	});
	it.each([
		['name,pH\nWell,7', ['line 1: has no column “date”, which each report needs']],
		['source,date,odour\nWell,2026-01-02,none', [/no column that was measured/]],
		['source,date,Ca ppm,Cl meq/L\nWell,2026-01-02,1,2', [/all in one unit/]],
		['source,date,pH\n', ['file: holds no report']],
		[
			'source,kind,date,pH,EC\n,spring,2027-01-02,17,x',
			[
				'line 2: names no source',
				/“spring” must be well, river/,
				/ec: “x” is no number|ph: “17” must be from 3 to 11/,
				/./,
				'line 2: 2027-01-02 is still to come'
			]
		],
		[
			'source,date,unit,Ca mg/L\nWell,2026-01-02,grains,3\nWell,2026-01-02,meq/L,3',
			['line 2: the unit “grains” must be ppm or meq/L', 'line 3: the unit meq/L is not that of the columns, ppm']
		],
		['source,date,pH\nWell,23/1/2026,7', ['line 2: the day “23/1/2026” must be written as 2027-05-01']]
	])('with a fault give none: %#', (text, expected) => {
		const found = faults(text);
		expect(found).toHaveLength(expected.length);
		for (const [at, one] of expected.entries()) expect(found[at]).toMatch(one);
	});
	it('come back as they went out', () => {
		const sources: WaterSource[] = [
			{
				id: 's',
				name: 'North well',
				kind: 'canal',
				reports: [
					{
						id: 'r',
						report: {
							takenOn: '2026-07-14',
							lab: 'Bench',
							water: { unit: 'ppm', ec: 1.2, ph: 7, so4: 40, no3: 3, mn: 0.1 }
						}
					},
					{ id: 'm', report: { takenOn: '2026-07-15', water: { unit: 'meq/L', ca: 3 } } }
				]
			}
		];
		expect(read(Papa.unparse(reportRows(sources)))).toEqual(
			sources[0]!.reports.map(({ report }) => ({ source: 'North well', kind: 'canal', report }))
		);
	});
});
