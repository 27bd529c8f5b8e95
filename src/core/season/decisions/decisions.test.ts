// Directions agronomists agree on, by the season model: a dose that is held back pays in wet years on wet ground. No outside numbers.
import { describe, expect, it } from 'vitest';
import type { DecisionPlan, Pass, SeasonRequest } from '../../schema-types';
import { library } from '../../testing.test-help';
import { stressTest, type StressOutcome, type TriedProgramme } from '../model/stress-test';
import { generateWeather } from '../weather/generate-weather';
import { adaptiveText } from './adaptive-text';
import { decideSeason } from './decide-season';
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
		const text = adaptiveText(against!, 'bu/ac');
		expect(text).toContain(`on the mean and $${against!.gain.wet.toFixed(2)}/ac ahead in the wettest fifth`);
		const turned = { ...against!, gain: { ...against!.gain, mean: -1.5 } };
		expect(adaptiveText(turned, 'bu/ac')).toContain('it comes out $1.50/ac behind on the mean');
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
		expect(adaptiveText(bare!, 'bu/ac')).toMatch(/ bu\/ac (ahead|behind) on the mean/);
	});
});
