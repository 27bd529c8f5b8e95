// A trial from its plan to its verdict, through the operations that the pages call.
import { beforeEach, describe, expect, it } from 'vitest';
import type { PlacedPoint, TrialPlan, TrialShown } from '../../../core/schema-types';
import { boundsOf } from '../../../core/ground/shapes/shape';
import { rateOf } from '../../../core/trials/design/treatments';
import { listFields } from '../stores/fields';
import { findTrial } from '../stores/trials';
import { trialPage } from '../pages/whole-book/trial-page';
import { fitPage } from '../pages/whole-book/fit-page';
import { newTrialPage } from '../pages/whole-book/new-trial-page';
import { trialsPage } from '../pages/whole-book/trials-page';
import { Desk } from '../desk';
import { libraryOf } from '../current-library';
import { theLibrary } from '../knowledge';
import { World } from './api.test-help';
import { TRIAL_PLAN_EXAMPLE } from './examples';

const PLAN: TrialPlan = {
	...TRIAL_PLAN_EXAMPLE,
	name: 'Six rates',
	factors: [{ name: 'N rate', unit: 'lb N/ac', levels: ['0', '60', '120', '150', '180', '240'] }],
	blocks: 4,
	passFt: 60,
	widthFt: 60,
	lengthFt: 300
};
const truth = (rate: number) => 120 + 90 * (1 - Math.exp(-rate / 70));
let world: World;
let field: string;
let trial: string;
beforeEach(async () => {
	world = await World.make();
	field = listFields(world.book).find(({ name }) => name === 'Kingfisher Bend')!.id;
	trial = ((await ok('POST /api/fields/{field}/{year}/trials', { plan: PLAN })) as { id: string }).id;
});
const ids = () => ({ field, year: '2027', trial });
async function ok(key: string, body?: unknown): Promise<unknown> {
	const answer = await world.call(key, ids(), body);
	expect(answer.status, `${key}: ${await answer.clone().text()}`).toBe(200);
	return answer.json();
}
async function refused(key: string, body: unknown): Promise<string> {
	const answer = await world.call(key, ids(), body);
	expect(answer.ok).toBe(false);
	return ((await answer.json()) as { message: string }).message;
}
const now = () => findTrial(world.book, trial)!;
const desk = () => new Desk(world.book, libraryOf(world.book, theLibrary()), '2026-11-23');

/** A yield layer over the trial, 9 by 60 points to a plot, with a wave of 5 bu for noise. */
function yieldLayer(): PlacedPoint[] {
	return now().plots.flatMap((plot, at) => {
		const [west, south, east, north] = boundsOf([plot.shape])!;
		return Array.from({ length: 540 }, (_, point): PlacedPoint => {
			const [x, y] = [(point % 9) + 0.5, Math.floor(point / 9) + 0.5];
			const value = truth(rateOf(PLAN, plot)!) + 5 * Math.sin(7 * point + at);
			return [west + (x / 9) * (east - west), south + (y / 60) * (north - south), value];
		});
	});
}

describe('six rates in four blocks on a field of the demo', () => {
	it('yields cut from a layer give the true yields within 2 %, and a verdict; one undo takes them back', async () => {
		await ok('POST /api/fields/{field}/layers', {
			layer: { name: 'Harvest', quantity: 'yield', unit: 'bu/ac', points: yieldLayer() }
		});
		const { layers } = trialPage(desk(), now());
		const layer = layers.find(({ name }) => name === 'Harvest')!.id;
		expect(await ok('POST /api/trials/{trial}/records/layer', { layer })).toEqual({ missing: [], leftOut: [] });
		const shown = (await ok('GET /api/trials/{trial}')) as TrialShown;
		for (const { levels, mean } of shown.analysis!.means) {
			expect(Math.abs(mean / truth(Number(levels['N rate'])) - 1)).toBeLessThan(0.02);
		}
		expect(shown.verdict).toMatch(/^N rate makes a difference \(p below 0\.001\)/);
		const fit = fitPage(desk(), new URLSearchParams({ trial }));
		expect(fit.from).toMatchObject({
			crop: 'corn-grain',
			source: expect.stringMatching(/ 2027, /) as string,
			observations: { length: 24 }
		});
		const { id } = world.book.prepare('SELECT max(id) AS id FROM event').get() as { id: number };
		await ok('POST /api/undo', { event: id });
		expect(now().records).toEqual([]);

		const wet = yieldLayer().map(([x, y]): PlacedPoint => [x, y, 20]);
		await ok('POST /api/fields/{field}/layers', {
			layer: { name: 'Moisture', quantity: 'grain moisture', unit: '%', points: wet }
		});
		const moistureLayer = trialPage(desk(), now()).moistureLayers[0]!.id;
		expect(
			await refused('POST /api/trials/{trial}/records/layer', { layer, moistureLayer, moisturePercent: 20 })
		).toMatch(/must be left out where moisture is a layer/);
		expect(await refused('POST /api/trials/{trial}/records/layer', { layer, moistureLayer: layer })).toMatch(
			/must be a grain moisture layer; Harvest holds yield/
		);
		await ok('POST /api/trials/{trial}/records/layer', { layer, moistureLayer });
		expect(now().records[0]).toMatchObject({ moisturePercent: 20 });
		const dried = ((await ok('GET /api/trials/{trial}')) as TrialShown).analysis!.means[0]!.mean;
		expect(dried).toBeCloseTo((shown.analysis!.means[0]!.mean * 80) / 84.5, 1);
	});
	it('its page knows cautions, products that supply nitrogen and what the nitrogen costs', () => {
		const page = trialPage(desk(), now());
		expect(page.cautions).toContainEqual(expect.stringMatching(/^240 lb N\/ac is above all that is advised here/));
		expect(page.products.map(({ id }) => id)).toContain('urea');
		expect(page.products.map(({ id }) => id)).not.toContain('potash');
		expect(page.costs['180']! / page.costs['60']!).toBeCloseTo(3, 2);
		expect(page.readings).toHaveLength(1);
		expect(page.readings[0]!.reading).toMatchObject({ applies: false });
	});
	it('a plan that does not fit, a layer of something else and plots of elsewhere are refused in words', async () => {
		const narrow = { ...PLAN, widthFt: 20, passFt: 20 };
		expect(await refused('POST /api/fields/{field}/{year}/trials', { plan: narrow })).toMatch(
			/at least the header’s 30 ft/
		);
		expect(await refused('PUT /api/trials/{trial}', { plan: { ...PLAN, lengthFt: 5000 } })).toMatch(
			/only 0 of 4 blocks/
		);
		expect(await refused('POST /api/trials/{trial}/records/layer', { layer: world.own.layer })).toMatch(
			/must be a yield layer; Walked P holds P/
		);
		await ok('POST /api/fields/{field}/layers', {
			layer: { name: 'Tonnes', quantity: 'yield', unit: 't/ha', points: yieldLayer().slice(0, 9) }
		});
		const tonnes = trialPage(desk(), now()).layers.find(({ name }) => name === 'Tonnes')!.id;
		expect(await refused('POST /api/trials/{trial}/records/layer', { layer: tonnes })).toMatch(
			/must be in bu\/ac, as the trial is read; Tonnes is in t\/ha/
		);
		expect(await refused('POST /api/trials/{trial}/records/layer', { layer: 'none' })).toMatch(/no such layer/);
		const twice = [{ plot: 101 }, { plot: 101 }];
		expect(await refused('PUT /api/trials/{trial}/records', { records: twice })).toMatch(/101 stands twice/);
		expect(await refused('PUT /api/trials/{trial}/records', { records: [{ plot: 999 }] })).toMatch(/999 is no plot/);
		expect(now().records).toEqual([]);
	});
	it('a field without a boundary says to draw it', async () => {
		await ok('PUT /api/fields/{field}/boundary', { boundary: null });
		expect(await refused('POST /api/fields/{field}/{year}/trials', { plan: PLAN })).toMatch(
			/has no boundary yet; draw it/
		);
		expect(newTrialPage(desk()).fields.map(({ id }) => id)).not.toContain(field);
	});
	it('prices change while plots are measured; plots do not move any more, and another window is not overwritten', async () => {
		const records = [{ plot: 101, values: { yield: 150 } }];
		await ok('PUT /api/trials/{trial}/records', { records });
		const { plots } = now();
		await ok('PUT /api/trials/{trial}', { plan: { ...PLAN, price: 4.2 } });
		expect(now()).toMatchObject({ plan: { price: 4.2 }, plots });
		expect(await refused('PUT /api/trials/{trial}', { plan: { ...PLAN, seed: 99 } })).toMatch(/have been measured/);
		await ok('PUT /api/fields/{field}/boundary', { boundary: null });
		await ok('PUT /api/trials/{trial}', { plan: { ...PLAN, price: 4.3 } });
		expect(now()).toMatchObject({ plan: { price: 4.3 }, plots });
		const answer = await world.call('PUT /api/trials/{trial}/records', ids(), { records: [], seen: [] });
		expect(answer.status).toBe(409);
		expect(now().records).toEqual(records);
		expect(trialsPage(desk()).trials.find(({ id }) => id === trial)).toMatchObject({ measured: 1, plots: 24 });
	});
	it('moved to a spot, it lies about it; the order stays as it was drawn', async () => {
		const order = now().plots.map(({ levels }) => levels['N rate']);
		const [west, south, east, north] = boundsOf(now().plots.map(({ shape }) => shape))!;
		const near = [west + 0.9 * (east - west), south + 0.9 * (north - south)] as const;
		const away = () => {
			const [w, s, e, n] = boundsOf(now().plots.map(({ shape }) => shape))!;
			return Math.hypot((w + e) / 2 - near[0], (s + n) / 2 - near[1]);
		};
		const before = away();
		await ok('PUT /api/trials/{trial}', { plan: { ...PLAN, near } });
		expect(away()).toBeLessThan(before);
		expect(now().plots.map(({ levels }) => levels['N rate'])).toEqual(order);
	});
});
