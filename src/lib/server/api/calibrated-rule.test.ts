// Sites to a rule of the adviser's own guide that speaks under Rates, through the operations that the page calls.
import { readFileSync } from 'node:fs';
import { beforeEach, expect, it } from 'vitest';
import type { CalibratedRuleAction } from '../../../core/schema-types';
import { readSites } from '../../../core/trials/calibration/read-sites';
import { libraryOf } from '../current-library';
import { Desk } from '../desk';
import { theLibrary } from '../knowledge';
import { calibratePage } from '../pages/whole-book/calibrate-page';
import { listFields } from '../stores/fields';
import { listGuides } from '../stores/guides';
import { World } from './api.test-help';

const { sites } = readSites(readFileSync('demo/trials/phosphorus-sites.csv', 'utf8'));
const ACTION: CalibratedRuleAction = {
	crop: 'corn-grain',
	nutrient: 'P2O5',
	method: 'bray-p1',
	samplingDepthIn: 6,
	model: 'linear-plateau',
	rateAtZero: 80,
	observations: sites
};
let world: World;
beforeEach(async () => {
	world = await World.make();
});
const desk = () => new Desk(world.book, libraryOf(world.book, theLibrary()), '2026-11-23');
const make = (action: Partial<CalibratedRuleAction> = {}) =>
	world.call('POST /api/guides/calibrated', world.own, { ...ACTION, ...action });
const message = async (answer: Promise<Response>) => ((await (await answer).json()) as { message: string }).message;
const guide = () => listGuides(world.book).find(({ document }) => document.id === 'own-calibration')!.document;

it('speaks under Rates with its sites as source: evenly from 80 lb at none to nothing at the critical value', async () => {
	expect((await make()).status).toBe(200);
	const rule = guide().rules.find(({ id }) => id === 'p2o5-corn-grain-bray-p1')!;
	const { noneAbovePpm: critical } = rule.parameters as { noneAbovePpm: number };
	expect(critical).toBeGreaterThan(14);
	expect(rule).toMatchObject({ basis: 'measured', gives: 'P2O5' });
	expect(rule.citation).toMatch(
		/^20 own sites, line and plateau: critical value 1\d\.\d+ ppm \(90 % of draws .*Sites: Long Acre 2023, /
	);
	// The demo's corn field has P by Bray P1 below that.
	const corn = listFields(world.book).filter(({ block }) => block === null);
	const spoken = corn.flatMap(({ id }) => {
		const { advice } = desk().fieldYear({ field: id, year: '2027' });
		const rate = advice?.answer.rates.find(({ method }) => method === 'own-calibration/p2o5-corn-grain-bray-p1');
		const test = advice?.request.sample.layers[0]?.results.find(({ analyte }) => analyte === 'P')?.value;
		return rate?.worksheet.applies && test !== undefined ? [{ rate: rate.worksheet.value, test }] : [];
	});
	expect(spoken.length).toBeGreaterThan(0);
	for (const { rate, test } of spoken) expect(rate).toBeCloseTo(Math.max(0, 80 * (1 - test / critical)), 1);
});

it('a second crop stands beside it, the same again in its place, each a version of its own', async () => {
	await make();
	await make({ crop: 'soybean', rateAtZero: 60 });
	await make({ rateAtZero: 90 });
	expect(guide().rules.map(({ id }) => id)).toEqual(['p2o5-soybean-bray-p1', 'p2o5-corn-grain-bray-p1']);
	expect(guide().version).toBe('1.2.0');
	expect(guide().rules[1]!.crops).toMatchObject({ 'corn-grain': { constant: 90 } });
});

it('a method that does not measure it, another depth, and sites that do not rise are refused in words', async () => {
	await make();
	const before = world.everything();
	expect(await message(make({ method: 'dtpa' }))).toMatch(/DTPA does not measure P/);
	expect(await message(make({ samplingDepthIn: 8 }))).toMatch(/must be 6 as in the guide that stands; got 8/);
	const falling = sites.map(({ soilTest, relativeYield }) => ({ soilTest, relativeYield: 150 - relativeYield }));
	expect(await message(make({ observations: falling }))).toMatch(/no response seen/);
	expect(world.everything()).toBe(before);
});

it('the page shows what guides say of the same crop and test beside the sites', () => {
	const { levels, nutrients } = calibratePage(desk());
	const corn = levels.filter(({ crop, analyte }) => crop === 'corn-grain' && analyte === 'P').map(({ text }) => text);
	// Tri-state fertilizer recommendations 1995: critical level of corn 15 ppm by Bray P1, from memory.
	expect(corn).toContainEqual(expect.stringMatching(/15 ppm by Bray P1/));
	expect(nutrients.map(({ analyte }) => analyte)).toEqual(['P', 'K']);
});
