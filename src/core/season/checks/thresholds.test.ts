import { describe, expect, it } from 'vitest';
import type { Pass } from '../../schema-types';
import { library } from '../../testing.test-help';
import { stageDates, usualTemperatures } from '../stages/stage-dates';
import { shiftDate } from '../weather/season-weather';
import { checkSeason } from './check-season';
import { ammonia, carrying, context, nitrogen, station } from './rule-cases.test-help';
import { RULES } from './season-rules';

type Change = Parameters<typeof context>[0];
const PLANTING = '2027-05-01';

/** How gravely a rule takes some passes; undefined where it says nothing. */
function severity(rule: string, passes: Pass | readonly Pass[], change: Change = {}): string | undefined {
	return checkSeason([passes].flat() as Pass[], context(change)).find((check) => check.rule === rule)?.severity;
}
const lime = (tons: number, date = '2026-10-01'): Pass => ({
	id: 'lime',
	date,
	label: 'Lime',
	product: 'aglime',
	rate: tons,
	unit: 'short ton/ac',
	placement: 'incorporated',
	reason: ''
});
const before = (days: number) => shiftDate(PLANTING, -days);
const HAIR = 0.01;

// The numbers are those of the trade as the rules' data give them; what is tested is on which side each of them counts.
describe('a threshold counts on one side and not on the other', () => {
	it('urea in a shallow band: from 50 lb, gravely from 100, down to 2 in', () => {
		const { riskyLb, heavyLb, shallowIn } = RULES['shallow-urea-band'];
		const band = (pounds: number, depthIn = shallowIn) =>
			severity('shallow-urea-band', nitrogen('urea', pounds, { placement: 'side band', depthIn, date: PLANTING }));
		expect([band(riskyLb - HAIR), band(riskyLb), band(heavyLb - HAIR), band(heavyLb)]).toEqual([
			undefined,
			'mind',
			'mind',
			'stop'
		]);
		expect(band(heavyLb, shallowIn + HAIR)).toBeUndefined();
	});

	it('strip bands: at 3 in beside the seed, deeper than 8 in for nothing', () => {
		const { tooShallowIn, deepEnoughIn } = RULES['strip-band-depth'];
		const strip = (depthIn: number) =>
			severity('strip-band-depth', carrying('K2O', 'potash', 60, { placement: 'deep strip band', depthIn }));
		expect([tooShallowIn, tooShallowIn + HAIR, deepEnoughIn, deepEnoughIn + HAIR].map(strip)).toEqual([
			'mind',
			undefined,
			undefined,
			'note'
		]);
	});

	it('lime: over 4 tons at once, unless it lies on top; less than 90 days before planting', () => {
		const { mostAtOnceTons } = RULES['heavy-lime'];
		expect(severity('heavy-lime', lime(mostAtOnceTons))).toBeUndefined();
		expect(severity('heavy-lime', lime(mostAtOnceTons + HAIR))).toBe('mind');
		const surface = { liming: { product: 'aglime', placement: 'surface' as const } };
		expect(severity('heavy-lime', lime(9), surface)).toBeUndefined();
		const { leastDays } = RULES['lime-lead'];
		const lead = (days: number) => severity('lime-lead', lime(2, before(days)));
		expect([leastDays, leastDays - 1, 0, -1].map(lead)).toEqual([undefined, 'mind', 'mind', undefined]);
		expect(severity('lime-lead', lime(2, before(10)), { cropId: 'apple' })).toBeUndefined();
	});

	it('phosphate on top of a slope: from 6 %, not where it is banded', () => {
		const { steepPercent } = RULES['slope-phosphorus'];
		const slope = (slopePercent: number | undefined, placement: Pass['placement'] = 'broadcast') =>
			severity('slope-phosphorus', carrying('P2O5', 'map', 40, { placement }), { slopePercent });
		expect([steepPercent - HAIR, steepPercent].map((percent) => slope(percent))).toEqual([undefined, 'mind']);
		expect(slope(undefined)).toBeUndefined();
		expect(slope(20, '2x2 band')).toBeUndefined();
	});

	it('potash on sand in autumn: from 20 lb, from September to the year’s end', () => {
		const { leastLb } = RULES['sandy-potassium'];
		const potash = (pounds: number, date = '2026-10-20', sandy = true) =>
			severity('sandy-potassium', carrying('K2O', 'potash', pounds, { date }), { sandy });
		expect([potash(leastLb - HAIR), potash(leastLb)]).toEqual([undefined, 'mind']);
		expect([potash(60, '2026-08-31'), potash(60, '2026-09-01'), potash(60, '2027-01-02')]).toEqual([
			undefined,
			'mind',
			undefined
		]);
		expect(potash(60, '2026-10-20', false)).toBeUndefined();
	});

	it('boron: over 1 lb, over 2 for crops that demand it', () => {
		const { ceilingLb } = RULES['boron-ceiling'];
		const product = library.products.find(({ analysis }) => (analysis.B ?? 0) > 5)!.id;
		const boron = (pounds: number, cropId: 'corn-grain' | 'sunflower') =>
			severity('boron-ceiling', carrying('B', product, pounds, {}), { cropId });
		expect([boron(ceilingLb.usual, 'corn-grain'), boron(ceilingLb.usual + HAIR, 'corn-grain')]).toEqual([
			undefined,
			'stop'
		]);
		expect([boron(ceilingLb.demanding, 'sunflower'), boron(ceilingLb.demanding + HAIR, 'sunflower')]).toEqual([
			undefined,
			'stop'
		]);
	});

	it('ammonia before planting: 8 in and 7 days, or off the row; two weeks ahead it is gone', () => {
		const { safeDepthIn, safeDays, safeOffsetIn } = RULES['ammonia-near-seed'];
		const knife = (days: number, depthIn: number, change: Partial<Pass> = {}) =>
			severity('ammonia-near-seed', ammonia(before(days), { depthIn, ...change }));
		expect(knife(safeDays, safeDepthIn)).toBeUndefined();
		expect(knife(safeDays, safeDepthIn - HAIR)).toBe('stop');
		expect(knife(safeDays - 1, safeDepthIn)).toBe('stop');
		expect(knife(0, safeDepthIn)).toBe('stop');
		expect([knife(2 * safeDays, 5), knife(2 * safeDays + 1, 5)]).toEqual(['stop', undefined]);
		expect(knife(1, 5, { offsetIn: safeOffsetIn })).toBeUndefined();
		expect(knife(1, 5, { offsetIn: safeOffsetIn - HAIR })).toBe('stop');
	});

	it('ammonia in standing corn: 6 in deep and 6 in off; above 4 in the slot stays open', () => {
		const { leastDepthIn, leastOffsetIn, openSlotIn } = RULES['ammonia-side-dress'];
		const knife = (depthIn: number, offsetIn: number) =>
			severity('ammonia-side-dress', ammonia('2027-06-08', { depthIn, offsetIn }));
		expect(knife(leastDepthIn, leastOffsetIn)).toBeUndefined();
		expect(knife(leastDepthIn - HAIR, leastOffsetIn)).toBe('mind');
		expect(knife(openSlotIn, leastOffsetIn)).toBe('mind');
		expect(knife(openSlotIn - HAIR, leastOffsetIn)).toBe('stop');
		expect(knife(leastDepthIn, leastOffsetIn - HAIR)).toBe('stop');
	});

	it('knives before a small-seeded crop: within 21 days of seeding, and no other crop', () => {
		const { feltDays } = RULES['spring-knife'];
		const knife = (days: number, cropId: 'canola' | 'corn-grain' = 'canola') =>
			severity('spring-knife', nitrogen('uan-28', 80, { placement: 'injected', date: before(days) }), { cropId });
		expect([feltDays + 1, feltDays, 1, 0].map((days) => knife(days))).toEqual([undefined, 'mind', 'mind', undefined]);
		expect(knife(5, 'corn-grain')).toBeUndefined();
	});

	it('nitrogen on a dormant crop: from 30 lb, from November until five weeks before green-up', () => {
		const { leastLb, earlyDays } = RULES['dormant-crop'];
		const { stages, plantingDate } = context({ cropId: 'winter-wheat' });
		const greenUp = stageDates(stages!, plantingDate, usualTemperatures(station))[0]!.date;
		const dressed = (date: string, pounds = 60) =>
			severity('dormant-crop', nitrogen('urea', pounds, { date, placement: 'top-dress' }), { cropId: 'winter-wheat' });
		expect([dressed('2026-10-31'), dressed('2026-11-01')]).toEqual([undefined, 'stop']);
		expect([dressed('2026-12-10', leastLb - HAIR), dressed('2026-12-10', leastLb)]).toEqual([undefined, 'stop']);
		const early = shiftDate(greenUp, -earlyDays);
		expect([dressed(shiftDate(early, -1)), dressed(early)]).toEqual(['stop', undefined]);
	});

	it('phosphate and potash on standing corn: from 20 lb, three weeks before V7 at the latest', () => {
		const { leastLb, daysToSolution, beforeStage } = RULES['late-phosphate-potash'];
		const { stages, plantingDate } = context();
		const due = stageDates(stages!, plantingDate, usualTemperatures(station)).find(({ name }) => name === beforeStage)!;
		const last = shiftDate(due.date, -daysToSolution);
		const potash = (date: string, pounds = 60) =>
			severity('late-phosphate-potash', carrying('K2O', 'potash', pounds, { date, placement: 'top-dress' }));
		const late = shiftDate(last > PLANTING ? last : PLANTING, 1);
		expect([potash(shiftDate(late, -1)), potash(late)]).toEqual([undefined, 'mind']);
		expect([potash(late, leastLb - HAIR), potash(late, leastLb)]).toEqual([undefined, 'mind']);
	});

	it('all of the nitrogen before planting: from 60 lb and 85 %, on sand, light or wet ground', () => {
		const { leastLb, mostShare } = RULES['all-up-front'];
		const early = (pounds: number, later = 0, change: Change = { cec: 6 }) =>
			severity(
				'all-up-front',
				[
					nitrogen('urea', pounds, { date: before(10), placement: 'incorporated' }),
					...(later > 0 ? [nitrogen('urea', later, { id: 'two', date: '2027-06-10', placement: 'top-dress' })] : [])
				],
				change
			);
		expect([early(leastLb - HAIR), early(leastLb)]).toEqual([undefined, 'mind']);
		expect(early(100 * mostShare + HAIR, 100 * (1 - mostShare) - HAIR)).toBe('mind');
		expect(early(100 * mostShare - 1, 100 * (1 - mostShare) + 1)).toBeUndefined();
		expect(early(90, 0, { cec: 9.99 })).toBe('mind');
		expect(early(90, 0, { cec: 10 })).toBeUndefined();
		expect(early(90, 0, { cec: 20, sandy: true })).toBe('mind');
		expect(early(90, 0, { cec: 20, drainage: 'somewhat poor' })).toBe('mind');
		expect(early(90, 0, { cec: 20, drainage: 'moderate' })).toBeUndefined();
	});

	it('ammonium that waits on wet ground: from 60 lb, 35 days before the crop wants it', () => {
		const { leastLb, longDays } = RULES['waiting-ammonium'];
		const waits = (days: number, pounds = 100, drainage: 'poor' | 'well' = 'poor') =>
			severity('waiting-ammonium', nitrogen('urea', pounds, { date: before(days), placement: 'incorporated' }), {
				drainage
			});
		expect([waits(20), waits(20, 100, 'well')]).toEqual(['note', undefined]);
		// All of urea counts, and a pass of a pound less than the least does not.
		expect([waits(20, leastLb - HAIR), waits(20, leastLb)]).toEqual([undefined, 'note']);
		const days = Array.from({ length: 80 }, (_, at) => 20 - at);
		const first = days.find((day) => waits(day) === undefined)!;
		expect(days.filter((day) => day > first).every((day) => waits(day) === 'note')).toBe(true);
		expect(days.filter((day) => day < first).every((day) => waits(day) === undefined)).toBe(true);
		expect(longDays).toBeGreaterThan(0);
	});

	it('the sum of the plan: within 2 lb of what was chosen, 0.2 for micronutrients', () => {
		const { slackLb, slackMicroLb } = RULES.totals;
		const sum = (pounds: number) => severity('totals', carrying('K2O', 'potash', pounds, {}), { chosen: { K2O: 60 } });
		expect([60 - slackLb - HAIR, 60 - slackLb + HAIR, 60 + slackLb - HAIR, 60 + slackLb + HAIR].map(sum)).toEqual([
			'mind',
			undefined,
			undefined,
			'mind'
		]);
		const zinc = library.products.find(({ analysis, state }) => (analysis.Zn ?? 0) > 20 && state === 'dry')!;
		const micro = (pounds: number) =>
			severity(
				'totals',
				{ ...carrying('K2O', 'potash', 1, {}), product: zinc.id, rate: (100 * pounds) / zinc.analysis.Zn! },
				{ chosen: { Zn: 2 } }
			);
		expect([2 - slackMicroLb - HAIR, 2 - slackMicroLb + HAIR].map(micro)).toEqual(['mind', undefined]);
	});

	it('sulfur of wheat: 10 lb with the first nitrogen where manure is counted on, within four days of it', () => {
		const { firstSulfurLb, slackLb, withinDays } = RULES['wheat-sulfur'];
		const first = nitrogen('urea', 60, { id: 'first', date: '2027-03-20', placement: 'top-dress' });
		const sulfur = (pounds: number, days = 0): Pass =>
			carrying('S', 'gypsum', pounds, { id: 'sulfur', date: shiftDate(first.date, days), placement: 'top-dress' });
		const wheat = (passes: readonly Pass[], manured = true) =>
			severity('wheat-sulfur', passes, { cropId: 'winter-wheat', manured });
		expect(wheat([first])).toBe('mind');
		expect(wheat([first], false)).toBeUndefined();
		expect(wheat([first, sulfur(firstSulfurLb - slackLb)])).toBeUndefined();
		expect(wheat([first, sulfur(firstSulfurLb - slackLb - HAIR)])).toBe('mind');
		expect(wheat([first, sulfur(firstSulfurLb, withinDays)])).toBeUndefined();
		expect(wheat([first, sulfur(firstSulfurLb, withinDays + 1)], false)).toBe('mind');
		expect(severity('wheat-sulfur', [first], { cropId: 'corn-grain', manured: true })).toBeUndefined();
	});
});
