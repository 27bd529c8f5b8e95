import { describe, expect, it } from 'vitest';
import { allCautions } from '../../../figure/figure';
import type { AdviseRequest, InSeason, NitrogenPass } from '../../../schema-types';
import { cornRequest, library } from '../../../testing.test-help';
import { advise } from '../../advise';
import { settledNitrogen } from '../../settled-nitrogen';

const NITRATE = 'in-season-nitrogen/corn-nitrate';
const STRIPS = 'in-season-nitrogen/strips';
const TILLERS = 'wheat-tillers/tillering';
const PLACED = 'placed-nitrogen/corn';

const rateOf = (request: AdviseRequest, method: string) =>
	advise(request, library, '2027-06-10').rates.find((rate) => rate.method === method)!;
const corn = (inSeason: InSeason, programme?: NitrogenPass[]): AdviseRequest => ({
	...cornRequest(),
	inSeason,
	...(programme ? { programme } : {})
});
const wheat = (inSeason: InSeason): AdviseRequest => ({
	...cornRequest(),
	crop: { id: 'winter-wheat', yieldGoal: 90 },
	inSeason
});
const pass = (change: Partial<NitrogenPass>): NitrogenPass => ({
	label: 'Starter',
	nitrogen: 37,
	placement: '2x2 band',
	daysFromPlanting: 0,
	...change
});

describe('the nitrate test in the crop', () => {
	const test = { date: '2027-06-04', nitratePpm: 14, depthIn: 12, cropHeightIn: 9 };

	it('covers what is to come; what was applied before it makes up the season', () => {
		const programme = [
			pass({ date: '2027-05-01', applied: true }),
			pass({ label: 'Weed and feed', nitrogen: 20, date: '2027-05-20', placement: 'broadcast' }),
			pass({ label: 'Side-dress', nitrogen: 88, date: '2027-06-08', placement: 'row-base stream', applied: true })
		];
		const rate = rateOf(corn({ nitrate: test }, programme), NITRATE);
		expect(rate).toMatchObject({ applies: true, rate: 88, stands: 'from now on' });
		expect(rate.seasonTotal).toMatchObject({ value: 88 + 37 + 20 });
		expect(JSON.stringify(rate.seasonTotal)).toContain('dated before the test, not recorded as applied');
	});

	it('without days goes by what was booked', () => {
		const programme = [pass({ applied: true }), pass({ nitrogen: 20 })];
		const undated = { nitratePpm: 14, depthIn: 12, cropHeightIn: 9 };
		expect(rateOf(corn({ nitrate: undated }, programme), NITRATE).seasonTotal).toMatchObject({ value: 88 + 37 });
	});

	it('takes the lower level after heavy rain or on manured ground', () => {
		expect(rateOf(corn({ nitrate: { ...test, wetOrManured: true } }), NITRATE).rate).toBe(56);
	});

	it.each([
		[{ ...test, date: '2027-01-10' }, 'does not come from the standing crop'],
		[{ ...test, date: '2027-09-10' }, 'does not come from the standing crop'],
		[{ ...test, date: '2025-06-04' }, 'does not come from the standing crop'],
		[{ ...test, from: 'leaf' as const }, 'a leaf test tells what the plant has'],
		[{ ...test, freshBand: true }, 'a fresh fertilizer band lies in the sampled zone'],
		[{ ...test, depthIn: 24 }, 'taken to 24 in']
	])('refuses what it was not made for', (nitrate, reason) => {
		const rate = rateOf(corn({ nitrate }), NITRATE);
		expect(rate).toMatchObject({ applies: false, rate: null });
		expect(rate.reason).toContain(reason);
	});

	it('cautions of the height only outside of what the test was made for', () => {
		const cautionsAt = (cropHeightIn: number) => {
			const { worksheet } = rateOf(corn({ nitrate: { ...test, cropHeightIn } }), NITRATE);
			return worksheet.applies ? allCautions(worksheet).filter((text) => text.includes('in tall')).length : NaN;
		};
		expect([5.9, 6, 9, 12, 12.1].map(cautionsAt)).toEqual([1, 0, 0, 0, 1]);
	});

	it('cautions of a crop that is too tall, and says what to do without a test', () => {
		const { worksheet } = rateOf(corn({ nitrate: { ...test, cropHeightIn: 20 } }), NITRATE);
		expect(worksheet.applies && allCautions(worksheet).join()).toContain('made for 6 to 12 in');
		expect(rateOf(corn({}), NITRATE).reason).toContain('Take soil from 0 to 12 in');
	});

	it('chosen, is the nitrogen of the season', () => {
		const request = corn({ nitrate: test }, [pass({ date: '2027-05-01', applied: true })]);
		const choice = { nutrient: 'N' as const, method: NITRATE };
		expect(settledNitrogen(choice, request, library, '2027-06-10')).toBe(125);
	});
});

describe('the tiller count', () => {
	it('of three spots gives the band, the rate and a note about the spread', () => {
		const tillers = { date: '2027-02-03', counts: [14, 17, 12], rowSpacingIn: 7.5 };
		const { rate, worksheet, stands } = rateOf(wheat({ tillers }), TILLERS);
		// 22.4, 27.2, 19.2 per ft2; mean 22.933; 70 falling to 60 over 20 to 30
		expect(rate).toBeCloseTo(70 - 2.93333, 4);
		expect(stands).toBe('for this dressing');
		expect(worksheet.applies && worksheet.formula).toContain('20 to 30 per ft2');
		const notes = worksheet.applies ? allCautions(worksheet).join(' ') : '';
		expect(notes).toContain('The spots differ: 19.2 to 27.2 per ft2, standard deviation 4');
		expect(notes).toContain('1 of 3 spots fall outside the band of the mean');
	});

	it('is one dressing, and never the nitrogen of the season', () => {
		const tillers = { date: '2027-02-03', counts: [14, 17, 12], rowSpacingIn: 7.5 };
		const choice = { nutrient: 'N' as const, method: TILLERS };
		expect(settledNitrogen(choice, wheat({ tillers }), library, '2027-02-10')).toBeUndefined();
	});

	it.each([
		[{ date: '2026-12-10', counts: [40], rowSpacingIn: 7.5 }, 'Counted before late January'],
		[{ date: '2027-02-01', counts: [40], rowSpacingIn: 7.5 }, 'Counted at one spot only'],
		[{ date: '2027-02-01', counts: [5, 6, 5], rowSpacingIn: 7.5 }, 'whether the stand is worth keeping']
	])('cautions: %o', (tillers, caution) => {
		const { worksheet } = rateOf(wheat({ tillers }), TILLERS);
		expect(worksheet.applies && allCautions(worksheet).join(' ')).toContain(caution);
	});
});

it('a tiller count after early March gives no rate, and says what is left to do', () => {
	const late = rateOf(wheat({ tillers: { date: '2027-03-20', counts: [40], rowSpacingIn: 7.5 } }), TILLERS);
	expect(late).toMatchObject({ applies: false, rate: null });
	expect(late.reason).toContain('counted on 20 Mar 2027 come too late for tillers');
	expect(late.reason).toContain('the main application at stem elongation');
	expect(rateOf(wheat({ tillers: { date: '2027-03-09', counts: [17], rowSpacingIn: 7.5 } }), TILLERS).applies).toBe(
		true
	);
});

describe('N-rich and zero-N strips', () => {
	const zones = [
		{ name: 'Knob', areaAcres: 10, yieldWithout: 20, yieldRich: 35 },
		{ name: 'Slope', areaAcres: 30, yieldWithout: 40, yieldRich: 70 },
		{ name: 'Bottom', areaAcres: 10, yieldWithout: 72, yieldRich: 80 }
	];

	it('low, high, low again; the field is the mean by area; each zone has its balance', () => {
		const rate = rateOf(wheat({ strips: { date: '2027-04-01', zones } }), STRIPS);
		// gain x 60 x 0.0239 / 0.6
		const pounds = [15, 30, 8].map((gain) => gain * 2.39);
		expect(rate.zones?.map(({ rate: one }) => one.applies && +one.value.toFixed(6))).toEqual(
			pounds.map((one) => +one.toFixed(6))
		);
		expect(rate.rate).toBeCloseTo((pounds[0]! * 10 + pounds[1]! * 30 + pounds[2]! * 10) / 50, 9);
		expect(rate.zones?.[0]?.balance).toMatchObject({ value: expect.closeTo(pounds[0]! - 35 * 1.16, 9) });
	});

	it('by canopy index: the response index, no more than the ground can yield', () => {
		const byIndex = [{ name: 'All', yieldWithout: 40, index: 0.5, richIndex: 0.75 }];
		const at = (strips: InSeason['strips']) => rateOf(wheat({ strips }), STRIPS).rate;
		expect(at({ zones: byIndex })).toBeCloseTo(20 * 2.39, 9);
		expect(at({ zones: byIndex, mostYield: 50 })).toBeCloseTo(10 * 2.39, 9);
		expect(at({ zones: byIndex, efficiency: 0.5 })).toBeCloseTo((20 * 60 * 0.0239) / 0.5, 9);
		expect(at({ zones: [{ name: 'All', yieldWithout: 40, index: 0.8, richIndex: 0.75 }] })).toBe(0);
	});
});

describe('the placed-and-timed factor', () => {
	const known = (): AdviseRequest => {
		const request = cornRequest();
		request.crop.yieldGoal = 200;
		request.sample.layers.push({
			top: 0,
			bottom: 24,
			depthUnit: 'in',
			results: [{ analyte: 'NO3-N', value: 3, unit: 'ppm' }]
		});
		return request;
	};
	const banded = [
		pass({ nitrogen: 40 }),
		pass({ label: 'Side-dress', nitrogen: 60, placement: 'row-base stream', daysFromPlanting: 38 })
	];

	it('holds for the banded split programme', () => {
		expect(rateOf({ ...known(), programme: banded }, PLACED)).toMatchObject({ applies: true, rate: 100 });
	});

	it.each([
		[
			'one broadcast pass',
			[pass({ label: 'Pre-plant', nitrogen: 180, placement: 'broadcast' })],
			'“Pre-plant” is broadcast, not drop-nozzle band at the row base'
		],
		['no starter', [banded[1]!], 'there is no starter beside the row'],
		['too large a starter', [pass({ nitrogen: 60 }), banded[1]!], 'the starter supplies 60 lb of N, more than 40 lb'],
		['nothing at the row base', [banded[0]!], 'nothing is placed at the row base'],
		['too early', [banded[0]!, { ...banded[1]!, daysFromPlanting: 20 }], 'comes 20 days from planting, before V6'],
		['too many', [banded[0]!, banded[1]!, banded[1]!, banded[1]!], '3 passes follow the starter'],
		['no plan', [], 'no nitrogen passes are planned yet']
	])('fails with %s, naming the condition', (_name, programme, reason) => {
		const rate = rateOf({ ...known(), programme }, PLACED);
		expect(rate).toMatchObject({ applies: false, rate: null });
		expect(rate.reason).toContain(reason);
	});

	it('fails where the soil nitrate is not known', () => {
		const rate = rateOf({ ...cornRequest(), programme: banded }, PLACED);
		expect(rate.reason).toContain('residual nitrate is not known');
	});
});
