// Directions agronomists agree on, by the season model: a dose that is held back pays in wet years on wet ground. No outside numbers.
import { describe, expect, it } from 'vitest';
import type { DecisionPlan, InSeason, Pass, SeasonRequest } from '../../schema-types';
import { library } from '../../testing.test-help';
import { stressTest, type StressOutcome, type TriedProgramme } from '../model/stress-test';
import { generateWeather } from '../weather/generate-weather';
import { adaptiveFigures } from './adaptive-figures';
import { adaptiveText } from './adaptive-text';
import { decideSeason, poundDays } from './decide-season';
import { seenInSystem } from './decision-limit';
import { decisionText } from './decision-text';
import { callsForPass, seenBy } from './judge-decision';

const pass = (id: string, nitrogen: number, date: string, placement: Pass['placement'] = 'incorporated'): Pass => ({
	id,
	date,
	label: id,
	product: 'urea',
	rate: nitrogen / 0.46,
	unit: 'lb/ac',
	placement,
	reason: ''
});
const RAIN: DecisionPlan = {
	name: 'Rain since the base',
	on: '2027-06-12',
	look: 'rain',
	since: '2027-04-24',
	is: 'above',
	amount: 6,
	pass: pass('rescue', 50, '2027-06-15')
};
const request = (passes: Pass[]): SeasonRequest => ({
	soil: { textureClass: 'silty clay loam', drainage: 'poor', organicMatterPercent: 2, nitrateLbAc: 20 },
	crop: { id: 'corn-grain', yieldGoal: 200, plantingDate: '2027-05-01' },
	passes
});
function finished(programmes: TriedProgramme[], grainPrice?: number): StressOutcome {
	const steps = stressTest(programmes, 100, library.stations[0]!, library, grainPrice);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
	}
}

describe('what is seen on the day', () => {
	const weather = (rainMm: number) => () => ({ rainMm });
	it('rain from the first day up to the day before the look, in inches', () => {
		const seen = seenBy({ ...RAIN, since: '2027-06-02' }, { weather: weather(25.4) });
		expect(seen).toMatchObject({ applies: true, value: expect.closeTo(10, 9) as number, unit: 'in' });
		expect(callsForPass(RAIN, 6)).toBe(false);
		expect(callsForPass(RAIN, 6.1)).toBe(true);
		expect(callsForPass({ ...RAIN, is: 'below' }, 5.9)).toBe(true);
	});
	it('a day without rain known, or a day that the model does not reach, is no number', () => {
		const seen = seenBy(RAIN, { weather: (date) => (date < '2027-05-02' ? { rainMm: 1 } : undefined) });
		expect(seen).toMatchObject({ applies: false, reason: 'the rain of 2027-05-02 is not known' });
		expect(seenBy({ ...RAIN, look: 'nitrate' }, { weather: weather(1), days: [] })).toMatchObject({ applies: false });
	});
	it('a nitrate test and the N-rich strips of the farm, no older than ten days before the look', () => {
		const tests = (date: string): InSeason => ({
			nitrate: { date, nitratePpm: 18, depthIn: 12 },
			strips: {
				date,
				zones: [
					{ name: 'hill', yieldWithout: 100, index: 0.6, richIndex: 0.75 },
					{ name: 'foot', yieldWithout: 135, yieldRich: 150 }
				]
			}
		});
		const season = (date: string) => ({ weather: weather(1), tests: tests(date) });
		expect(seenBy({ ...RAIN, look: 'test' }, season('2027-06-02'))).toMatchObject({ value: 18, unit: 'ppm' });
		expect(seenBy({ ...RAIN, look: 'strips' }, season('2027-06-02'))).toMatchObject({
			value: expect.closeTo(85, 9) as number,
			unit: '%'
		});
		for (const look of ['test', 'strips'] as const) {
			expect(seenBy({ ...RAIN, look }, season('2027-06-01'))).toMatchObject({
				applies: false,
				reason: expect.stringMatching(/from 2 Jun 2027 or later; the newest is of 1 Jun 2027$/) as string
			});
			expect(seenBy({ ...RAIN, look }, { weather: weather(1), tests: {} })).toMatchObject({ applies: false });
		}
	});
	it('in a simulated season the top foot of the model stands for the test, its uptake for the strips', () => {
		const weather_ = generateWeather(library.stations[0]!, '2027-04-10', 300, 3);
		const inThis = (nitrogen: number) => ({
			...request([pass('base', nitrogen, '2027-04-24')]),
			weather: weather_,
			latitude: 41
		});
		const seen = (look: DecisionPlan['look'], nitrogen: number, on: string) => {
			const days = poundDays(inThis(nitrogen), library);
			const answer = seenBy({ ...RAIN, look, on }, { weather: weather(1), days });
			if (!answer.applies) throw new Error(answer.reason);
			return { ...answer, day: days.find(({ date }) => date === on)! };
		};
		const [poor, rich] = [seen('test', 0, '2027-06-10'), seen('test', 250, '2027-06-10')];
		expect(rich.value).toBeGreaterThan(poor.value + 5);
		// 0.3 lb/ac in an inch of ppm: 3.6 in the foot (2 million lb of soil in 6 2/3 in).
		expect(rich.value).toBeCloseTo(rich.day.topNitrate / 3.6, 9);
		expect(rich.day.topNitrate).toBeLessThanOrEqual(rich.day.nitrate);
		expect(seen('strips', 250, '2027-07-10').value).toBeGreaterThan(98);
		expect(seen('strips', 0, '2027-07-10').value).toBeLessThan(95);
		const adds: DecisionPlan = { ...RAIN, look: 'strips', on: '2027-07-10', is: 'below', amount: 95 };
		adds.pass = { ...adds.pass, date: '2027-07-12' };
		expect(decideSeason(inThis(0), [adds], library).made).toEqual([0]);
		expect(decideSeason(inThis(250), [adds], library).made).toEqual([]);
	});
	it('each decision sees what the one before put on', () => {
		const weather_ = generateWeather(library.stations[0]!, '2027-04-10', 300, 3);
		const low: DecisionPlan = { ...RAIN, look: 'nitrate', is: 'below', amount: 1000, name: 'first' };
		const second: DecisionPlan = { ...low, on: '2027-06-25', amount: 60, pass: pass('second', 50, '2027-06-28') };
		const inThis = { ...request([pass('base', 60, '2027-04-24')]), weather: weather_, latitude: 41 };
		const both = decideSeason(inThis, [second, { ...low, pass: pass('much', 300, '2027-06-13') }], library);
		expect(both.made).toEqual([1]);
		expect(decideSeason(inThis, [second], library).made).toEqual([0]);
	});
	it('is a sentence with the day, the limit and the pass, in the reader’s units', () => {
		const urea = library.products.find(({ id }) => id === 'urea')!;
		expect(decisionText(RAIN, urea, 'us')).toBe(
			`Look on 12 Jun 2027: if more than 6 in of rain fell since 24 Apr 2027, then 108.7 lb/ac of ${urea.name} on 15 Jun 2027.`
		);
		expect(decisionText({ ...RAIN, look: 'nitrate', is: 'below', amount: 40 }, urea, 'metric')).toMatch(
			/if the season model shows less than 44\.8 kg\/ha of nitrate in the root zone, then 121\.8 kg\/ha/
		);
		expect(decisionText({ ...RAIN, amount: 6.3 }, urea, 'metric')).toContain('if more than 160 mm of rain');
		const below = { ...RAIN, is: 'below' as const, amount: 20 };
		expect(decisionText({ ...below, look: 'test' }, urea, 'us')).toContain(
			'if a nitrate test in the crop shows less than 20 ppm of nitrate-N'
		);
		expect(decisionText({ ...below, look: 'strips', amount: 95 }, urea, 'us')).toContain(
			'if the crop stands at less than 95 % of its N-rich strip'
		);
		const seen = seenBy({ ...RAIN, since: '2027-06-02' }, { weather: weather(25.4) });
		expect(seenInSystem(seen, 'rain', 'metric')).toMatchObject({ value: expect.closeTo(254, 6) as number, unit: 'mm' });
	});
});

describe('base plus one decision against once and done, poorly drained ground', () => {
	const base = { name: 'Base plus', passes: 1, request: request([pass('base', 130, '2027-04-24')]), nitrogenCost: 65 };
	const once = { name: 'Once', passes: 1, request: request([pass('all', 180, '2027-04-24')]), nitrogenCost: 90 };
	const adaptive: TriedProgramme = { ...base, decisions: [{ plan: RAIN, cost: 33 }] };
	const outcome = finished([adaptive, once, { ...base, name: 'Base alone' }], 4.5);
	const [against, alone] = outcome.adaptive;
	it('comes out ahead in the wettest fifth, and the report says by how much and in how many years it does not', () => {
		expect(against!.gain.wet).toBeGreaterThan(0);
		expect(against!.betterWet).toBeGreaterThan(against!.wetSeasons / 2);
		const text = adaptiveText(against!, 'bu/ac', 'us');
		expect(text).toContain(`on the mean and $${against!.gain.wet.toFixed(2)}/ac ahead in the wettest fifth`);
		const behind = adaptiveFigures(against!, outcome.programmes, 'bu/ac', 'us');
		for (const one of [behind.mean, behind.wet]) {
			expect(one.inputs[0]!.value - one.inputs[1]!.value).toBeCloseTo(one.value, 6);
		}
		expect(behind.wet.value).toBe(against!.gain.wet);
		const turned = { ...against!, gain: { ...against!.gain, mean: -1.5 } };
		expect(adaptiveText(turned, 'bu/ac', 'us')).toContain('it comes out $1.50/ac behind on the mean');
		expect(text).toContain(`it does not in ${100 - against!.better} of 100 seasons`);
	});
	it('adds in wet seasons more than in others, and its cost is counted only then', () => {
		expect(against!.decidedWet / against!.wetSeasons).toBeGreaterThan(against!.decided / against!.seasons);
		expect(against!.decided).toBeLessThan(100);
		const never = finished([{ ...adaptive, decisions: [{ plan: { ...RAIN, amount: 900 }, cost: 33 }] }, once], 4.5);
		expect(never.adaptive[0]!.decided).toBe(0);
		expect(never.programmes[0]!.returnOverN!.mean).toBeCloseTo(outcome.programmes[2]!.returnOverN!.mean, 9);
		expect(alone!.against).toBe('Base alone');
	});
	it('is not told again of the twin that only tries inhibitors', () => {
		const twin = { ...adaptive, name: 'Twin', inhibitors: 'with' as const };
		expect(finished([adaptive, once, twin], 4.5).adaptive.map(({ plan, against: other }) => [plan, other])).toEqual([
			['Base plus', 'Once']
		]);
	});
	it('is told in yield where a price is missing', () => {
		const [bare] = finished([{ ...adaptive, nitrogenCost: undefined }, once]).adaptive;
		expect(bare!.unit).toBe('yield');
		const { programmes } = finished([{ ...adaptive, nitrogenCost: undefined }, once]);
		expect(adaptiveFigures(bare!, programmes, 'bu/ac', 'us').mean).toMatchObject({
			value: bare!.gain.mean,
			unit: 'bu/ac'
		});
		expect(adaptiveText(bare!, 'bu/ac', 'us')).toMatch(/ bu\/ac (ahead|behind) on the mean/);
		// A bushel of corn an acre is 62.77 kg/ha.
		const inTonnes = adaptiveFigures(bare!, programmes, 'bu/ac of 56 lb', 'metric').mean;
		expect(inTonnes).toMatchObject({ unit: 't/ha', value: expect.closeTo(bare!.gain.mean * 0.06277, 3) as number });
	});
});
