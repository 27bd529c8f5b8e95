// The trials of a book as sites of a calibration, on fields of the invented district.
import { readFileSync } from 'node:fs';
import { beforeEach, expect, it } from 'vitest';
import { readSites } from '../../../../core/trials/calibration/read-sites';
import type { TrialPlan, TrialPlot } from '../../../../core/schema-types';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { listFields } from '../../stores/fields';
import { addTrial } from '../../stores/trials';
import { sitesOfTrials } from './sites-of-trials';

const plan = (unit: string, levels: string[]): TrialPlan => ({
	name: 'P, three rates',
	design: 'blocks',
	factors: [{ name: 'rate', unit, levels }],
	blocks: 2,
	passFt: 60,
	headerFt: 30,
	widthFt: 60,
	headlandFt: 0,
	headingDegrees: 0,
	seed: 1
});
const SHAPE: TrialPlot['shape'] = { type: 'Polygon', coordinates: [[]] };

let desk: Desk;
beforeEach(() => {
	const book = openBook(':memory:');
	fillBook(book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
	desk = new Desk(book, libraryOf(book, theLibrary()), '2026-11-23');
});

/** Adds a trial whose plots of a level all yield the same, but for 4 more in the second block. */
function tried(field: string, unit: string, yields: Record<string, number | undefined>, year = 2027): void {
	const levels = Object.keys(yields);
	const plots = [1, 2].flatMap((block) =>
		levels.map((level, at) => ({ plot: 100 * block + at, block, levels: { rate: level }, areaAcres: 1, shape: SHAPE }))
	);
	const records = plots.flatMap(({ plot, block, levels: { rate } }) =>
		yields[rate] === undefined ? [] : [{ plot, values: { yield: yields[rate] + 4 * (block - 1) } }]
	);
	const id = listFields(desk.book).find(({ name }) => name === field)!.id;
	addTrial(desk.book, id, year, { plan: plan(unit, levels), plots, records });
}

it('has a site by each test of a sample from before planting, with the means of nothing and of plenty', () => {
	tried('Kingfisher Bend', 'lb P2O5/ac', { '0': 150, '40': 171, '80': 178 });
	const { sets, left } = sitesOfTrials(desk);
	expect(left).toEqual([]);
	expect(sets.map(({ name, sites }) => [name, sites])).toEqual([['Corn, P2O5 by Bray P1', 1]]);
	const { sites, faults } = readSites(sets[0]!.table);
	expect(faults).toEqual([]);
	// (150 + 154) / (178 + 182)
	expect(sites[0]).toEqual({ soilTest: 10, relativeYield: 84.44, site: 'Kingfisher Bend 2027 P three rates' });
});
it('goes by the sample from before its own year was planted, not by a later one', () => {
	tried('Kingfisher Bend', 'lb P2O5/ac', { '0': 40, '80': 50 }, 2026);
	const { sets } = sitesOfTrials(desk);
	expect(sets.map(({ crop, table }) => [crop, readSites(table).sites[0]!.soilTest])).toEqual([['soybean', 12]]);
});
it('puts fields of one crop and test together', () => {
	tried('Kingfisher Bend', 'lb P2O5/ac', { '0': 150, '80': 178 });
	tried('Crow Acre', 'lb P2O5/ac', { '0': 160, '80': 170 });
	tried('Crow Acre', 'lb K2O/ac', { '0': 160, '80': 170 });
	expect(sitesOfTrials(desk).sets.map(({ name, sites }) => [name, sites])).toEqual([
		['Corn, P2O5 by Bray P1', 2],
		['Corn, K2O by ammonium acetate', 1]
	]);
});
it('says why a trial is no site, and nothing of trials of other nutrients', () => {
	const before = sitesOfTrials(desk);
	tried('Kingfisher Bend', 'lb P2O5/ac', { '0': undefined, '40': 160, '80': 178 });
	tried('Crow Acre', 'lb P2O5/ac', { '0': undefined, '80': undefined });
	tried('Crow Acre', 'lb K2O/ac', { '0': 160, '80': 170 }, 1999);
	tried('Crow Acre', 'lb N/ac', { '0': 160, '80': 170 });
	const { sets, left } = sitesOfTrials(desk);
	expect(sets).toEqual(before.sets);
	expect([...left].sort()).toEqual([
		'Crow Acre 1999, P, three rates: its crop of 1999 is not known',
		'Crow Acre 2027, P, three rates: nothing was measured on the plots yet',
		'Kingfisher Bend 2027, P, three rates: it has no measured plots without the nutrient, or none with plenty'
	]);
});
