import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { InputError } from '../check/problem';
import type { Pass, SeasonRequest } from '../schema-types';
import { library } from '../testing.test-help';
import { answerSeason } from './answer-season';
import { dressingOfPass } from './model/dressing-of-pass';
import { generateWeather } from './weather/generate-weather';

const shipped = () => JSON.parse(readFileSync('demo/requests/corn-season.json', 'utf8')) as SeasonRequest;
const product = (id: string) => library.products.find((one) => one.id === id)!;

describe('a season by the shipped request', () => {
	it('gives each day, and a balance that closes at harvest', () => {
		const { days, balance, unit, assumed } = answerSeason(shipped(), library);
		expect(unit).toBe('lb/ac');
		expect(days[0]!.date).toBe('2027-04-17');
		expect(days.find(({ date }) => date === '2027-06-08')!.applied).toBeCloseTo(160, 1);
		const gone =
			balance.takenUp +
			balance.volatilised +
			balance.denitrified +
			balance.leached +
			balance.tiedUp +
			balance.leftInGround;
		expect(balance.atStart + balance.applied + balance.mineralised).toBeCloseTo(gone, 6);
		expect(balance.applied).toBeCloseTo(160, 1);
		expect(balance.takenUp).toBeLessThanOrEqual(balance.wanted);
		expect(assumed).toEqual(['ammonium-N at the start, lb/ac: 10']);
	});

	it('is the same in kg/ha', () => {
		const us = answerSeason(shipped(), library).balance;
		const metric = answerSeason({ ...shipped(), units: 'metric' }, library).balance;
		expect(metric.takenUp).toBeCloseTo(us.takenUp * 1.12085, 1);
		const { assumed } = answerSeason({ ...shipped(), units: 'metric' }, library);
		expect(assumed).toEqual(['ammonium-N at the start, kg/ha: 11.2']);
	});

	it('names all that it had to assume', () => {
		const { assumed } = answerSeason({ ...shipped(), soil: {} }, library);
		expect(assumed.join('; ')).toContain('texture: silt loam; drainage: moderate; organic matter, %: 2.5');
	});

	it('takes weather day by day in place of a station', () => {
		const weather = generateWeather(library.stations[0]!, '2027-03-20', 200, 9);
		const { days } = answerSeason({ ...shipped(), station: undefined, weather }, library);
		expect(days[0]!.date).toBe('2027-03-20');
		expect(days).toHaveLength(181);
	});
});

describe('what a season cannot be worked out with', () => {
	const path = (change: Partial<SeasonRequest>): string[] => {
		try {
			answerSeason({ ...shipped(), ...change }, library);
		} catch (error) {
			if (error instanceof InputError) return error.problems.map((one) => `${one.path} ${one.message}`);
			throw error;
		}
		return [];
	};
	it.each(['1990-06-08', '2099-06-08'])('a pass on %s is refused with the days that would do', (date) => {
		const [, second] = shipped().passes;
		expect(path({ passes: [{ ...second!, date }] })[0]).toBe(
			`/passes/0/date must lie in the season, 2026-03-27 to 2028-11-01; got "${date}"`
		);
	});
	it('weather that does not reach the planting is refused', () => {
		const weather = generateWeather(library.stations[0]!, '2021-03-20', 200, 9);
		expect(path({ station: undefined, weather })[0]).toContain('/weather must hold the planting of 2027-05-01');
	});
});

describe('the room that a request gives', () => {
	const checksWith = (nitrogen: number, change: Partial<Pass> = {}, date = '2027-04-10') => {
		const request = shipped();
		const soil = { ...request.soil, holdingLimitLbAc: 120, nitrateLbAc: 45, ammoniumLbAc: 0 };
		const passes = [{ ...request.passes[1]!, placement: 'broadcast' as const, date, rate: nitrogen / 0.28, ...change }];
		return answerSeason({ ...request, soil, passes }, library).checks.map(({ rule }) => rule);
	};
	it('is the limit less what is there, with the allowances of the guide: 75, and 87 with a nitrification inhibitor', () => {
		expect(checksWith(74)).not.toContain('holding-limit');
		expect(checksWith(76)).toContain('holding-limit');
		expect(checksWith(86, { additive: 'both inhibitors' })).not.toContain('holding-limit');
		expect(checksWith(88, { additive: 'both inhibitors' })).toContain('holding-limit');
		expect(checksWith(100, {}, '2027-06-28')).not.toContain('holding-limit');
	});
	it('a plan whose modelled line crosses what the soil can hold is not clean', () => {
		const request = shipped();
		const of = (holdingLimitLbAc: number) =>
			answerSeason({ ...request, soil: { ...request.soil, holdingLimitLbAc } }, library).checks.map(({ rule }) => rule);
		expect(of(100)).toContain('modelled-capacity');
		expect(of(250)).not.toContain('modelled-capacity');
	});
	it('what a killed cover crop ties up is a line of the balance, so that it closes', () => {
		const request = shipped();
		const { balance: b } = answerSeason(
			{ ...request, soil: { ...request.soil, coverKilledOn: '2027-04-25' } },
			library
		);
		expect(b.tiedUp).toBeGreaterThan(1);
		const gone = b.takenUp + b.volatilised + b.denitrified + b.leached + b.tiedUp + b.leftInGround;
		expect(b.atStart + b.applied + b.mineralised).toBeCloseTo(gone, 6);
	});
});

describe('what the rules say of a request', () => {
	it('stands beside the days, with when the crop gets to its stages', () => {
		const request = shipped();
		const sandy = {
			...request,
			soil: { ...request.soil, textureClass: 'sand' as const, holdingLimitLbAc: 40 },
			passes: [{ ...request.passes[0]!, date: '2026-10-10', placement: 'broadcast' as const }]
		};
		const { checks, stages } = answerSeason(sandy, library);
		expect(checks.map(({ rule }) => rule)).toEqual(expect.arrayContaining(['autumn-nitrogen', 'holding-limit']));
		expect(checks[0]!.severity).toBe('stop');
		expect(stages.map(({ name }) => name)).toEqual(expect.arrayContaining(['up', 'V6', 'VT']));
	});
	it('known days take the place of made-up ones', () => {
		const rain = [{ date: '2027-06-09', minC: 12, maxC: 24, rainMm: 150 }];
		const wet = answerSeason({ ...shipped(), known: rain }, library);
		const on = (answer: typeof wet) => answer.days.find(({ date }) => date === '2027-06-09')!.waterMm;
		expect(on(wet)).toBeGreaterThan(on(answerSeason(shipped(), library)));
	});
});

describe('what no schema sees is refused with its path', () => {
	const weather = generateWeather(library.stations[0]!, '2027-04-01', 40, 9);
	const gap = weather.filter((_, at) => at !== 10);
	const crossed = weather.map((day, at) => (at === 3 ? { ...day, minC: 40 } : day));
	it.each([
		[{ ...shipped(), crop: { id: 'almond', yieldGoal: 2500 } }, '/crop/nitrogenLbAc'],
		[{ ...shipped(), crop: { id: 'oil-palm', yieldGoal: 5 } }, '/crop/nitrogenLbAc'],
		[{ ...shipped(), station: { id: 'nowhere' } }, '/station/id'],
		[{ ...shipped(), passes: [{ ...shipped().passes[0]!, product: 'dust' }] }, '/passes/0/product'],
		[
			{ ...shipped(), passes: [{ ...shipped().passes[0]!, product: 'urea', unit: 'gal/ac' as const }] },
			'/passes/0/unit'
		],
		[{ ...shipped(), weather: gap }, '/weather/10/date'],
		[{ ...shipped(), weather: crossed }, '/weather/3/minC'],
		[{ soil: {}, crop: { id: 'corn-grain' as const, yieldGoal: 180 }, passes: [] }, '/crop/plantingDate']
	])('%#', (request, path) => {
		let problems: InputError['problems'] = [];
		try {
			answerSeason(request, library);
		} catch (error) {
			if (error instanceof InputError) ({ problems } = error);
		}
		expect(problems[0]?.path).toBe(path);
	});
});

describe('a pass as the model sees it', () => {
	const pass: Pass = {
		id: 'a',
		date: '2027-06-08',
		label: 'Side-dress',
		product: 'uan-28',
		rate: 100 / 0.28,
		unit: 'lb/ac',
		placement: 'injected',
		reason: ''
	};
	it('by form, place and depth, kg/ha', () => {
		expect(dressingOfPass(pass, product('uan-28'), 3)).toMatchObject({
			day: 3,
			nitrate: expect.closeTo(28.021, 3),
			urea: expect.closeTo(56.043, 3),
			lies: 'band',
			depthCm: expect.closeTo(12.7, 6),
			ureaseInhibitor: false
		});
		expect(dressingOfPass({ ...pass, depthIn: 1 }, product('uan-28'), 3)?.depthCm).toBeCloseTo(2.54, 6);
	});
	it('ammonia lies deeper and late, coated urea waits, additives guard', () => {
		expect(dressingOfPass({ ...pass, product: 'ammonia' }, product('ammonia'), 0)).toMatchObject({
			ammonia: true,
			depthCm: expect.closeTo(17.78, 6)
		});
		expect(dressingOfPass(pass, product('polymer-urea'), 0)).toMatchObject({ urea: 0, coated: expect.any(Number) });
		expect(dressingOfPass({ ...pass, additive: 'both inhibitors' }, product('urea'), 0)).toMatchObject({
			ureaseInhibitor: true,
			nitrificationInhibitor: true
		});
	});
	it('without nitrogen, or with forms that are not known, is none', () => {
		expect(dressingOfPass(pass, product('potash'), 0)).toBeUndefined();
		expect(dressingOfPass(pass, { ...product('urea'), nitrogenForms: undefined }, 0)).toBeUndefined();
	});
	it('every product with nitrogen tells its forms, and they add up', () => {
		for (const { id, analysis, nitrogenForms: forms, citation } of library.products) {
			// Complete fertilizers go by their grade; their card says that their forms differ.
			if (!analysis.N || (!forms && citation?.includes('differ'))) continue;
			expect(forms && forms.nitrate + forms.ammonium + forms.urea, id).toBe(100);
		}
	});
});
