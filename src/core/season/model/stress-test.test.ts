import { describe, expect, it } from 'vitest';
import type { Pass, SeasonRequest } from '../../schema-types';
import { library } from '../../testing.test-help';
import { alternativesTo } from '../propose/alternatives';
import { inhibitorTwin } from './inhibitor-twin';
import { passNutrient } from '../plan/pass/pass-nutrients';
import { productOf } from '../plan/plan-context';
import { planContext } from '../plan/plan-context.test-help';
import { tripsCost } from '../plan/pass/trip-cost';
import { stressTest, type ProgrammeOutcome, type TriedProgramme } from './stress-test';

const station = library.stations[0]!;
const pass = (product: string, rate: number, date: string, placement: Pass['placement'] = 'broadcast'): Pass => ({
	id: `${product} ${date}`,
	date,
	label: product,
	product,
	rate,
	unit: 'lb/ac',
	placement,
	reason: ''
});
const nitrogenOf = (passes: readonly Pass[]) =>
	passes.reduce((sum, one) => sum + passNutrient(one, productOf(one, library.products), 'N'), 0);

describe('other ways to put on the same nitrogen', () => {
	const plan = [pass('map', 160, '2027-04-05'), pass('urea', 300, '2027-05-20')];
	it('carry as much, and leave what carries other nutrients', () => {
		const all = alternativesTo(plan, planContext());
		expect(all.map(({ name }) => name)).toEqual(['This plan', 'All before planting', 'Split', 'Spoon-fed']);
		for (const { passes } of all) {
			expect(nitrogenOf(passes)).toBeCloseTo(nitrogenOf(plan), 6);
			expect(passes).toContainEqual(plan[0]);
		}
		expect(all[1]!.passes[1]).toMatchObject({ date: '2027-04-24', placement: 'incorporated' });
	});
	it('wait for spring where the crop is sown in autumn', () => {
		const [, early] = alternativesTo([pass('urea', 200, '2027-03-10')], planContext({ cropId: 'winter-wheat' }));
		expect(early!.passes[0]!.date > '2027-02-01').toBe(true);
	});
	it('are none for a plan without nitrogen of its own, or a crop without steps', () => {
		expect(alternativesTo([plan[0]!], planContext())).toHaveLength(1);
		expect(alternativesTo(plan, planContext({ cropId: 'soybean' }))).toHaveLength(1);
	});
});

describe('which way weather, placement and inhibitors push (no outside numbers: directions agronomists agree on)', () => {
	const tried = (texture: SeasonRequest['soil']['textureClass'], drainage: SeasonRequest['soil']['drainage']) => {
		const request: SeasonRequest = {
			soil: { textureClass: texture, drainage, organicMatterPercent: 2, nitrateLbAc: 20 },
			crop: { id: 'corn-grain', yieldGoal: 180, plantingDate: '2027-05-01' },
			passes: [pass('urea', 326, '2027-05-20')]
		};
		const programmes = alternativesTo(request.passes, planContext()).map(({ name, passes }) => ({
			name,
			passes: passes.length,
			request: { ...request, passes },
			nitrogenCost: 60
		}));
		const all = finished(stressTest(programmes, 60, station, library, 4.5));
		return (name: string) => all.find((one) => one.name === name)!;
	};
	it.each([
		['silt loam', 'poor'],
		['sandy loam', 'well'],
		['sand', 'well']
	] as const)(
		'in wet years split and row-base nitrogen loses less and yields more on %s, drainage %s',
		(texture, drainage) => {
			const by = tried(texture, drainage);
			const early = by('All before planting');
			for (const later of [by('Split'), by('Spoon-fed')]) {
				expect(later.lost.wet).toBeLessThan(early.lost.wet);
				expect(later.yield.wet).toBeGreaterThan(early.yield.wet);
				// In dry years there is next to nothing to save.
				expect(later.yield.dry - early.yield.dry).toBeLessThan((later.yield.wet - early.yield.wet) / 2);
				expect(early.lost.dry - later.lost.dry).toBeLessThan((early.lost.wet - later.lost.wet) / 2);
				expect(later.returnOverN!.wet).toBeGreaterThan(early.returnOverN!.wet);
			}
		}
	);
	it('return over nitrogen is grain less its cost, and is not known without a price', () => {
		const programme = {
			name: 'one',
			passes: 1,
			request: {
				soil: {},
				crop: { id: 'corn-grain' as const, yieldGoal: 180, plantingDate: '2027-05-01' },
				passes: [pass('urea', 326, '2027-05-20')]
			}
		};
		const [money] = finished(stressTest([{ ...programme, nitrogenCost: 60 }], 5, station, library, 4));
		expect(money!.returnOverN!.mean).toBeCloseTo(money!.yield.mean * 4 - 60, 6);
		expect(finished(stressTest([programme], 5, station, library, 4))[0]!.returnOverN).toBeUndefined();
		expect(
			finished(stressTest([{ ...programme, nitrogenCost: 60 }], 5, station, library))[0]!.returnOverN
		).toBeUndefined();
	});
});

function finished(steps: ReturnType<typeof stressTest>): ProgrammeOutcome[] {
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value.programmes;
	}
}

describe('over simulated seasons', () => {
	const request: SeasonRequest = {
		soil: { textureClass: 'silt loam', drainage: 'poor', organicMatterPercent: 2, nitrateLbAc: 20 },
		crop: { id: 'corn-grain', yieldGoal: 180, plantingDate: '2027-05-01' },
		passes: [pass('urea', 300, '2027-05-20')]
	};
	function outcomes(seasons: number): { told: number; outcomes: ProgrammeOutcome[] } {
		const programmes = alternativesTo(request.passes, planContext()).map(({ name, passes }) => ({
			name,
			passes: passes.length,
			request: { ...request, passes }
		}));
		const steps = stressTest(programmes, seasons, station, library);
		for (let told = 0; ; told++) {
			const step = steps.next();
			if (step.done) return { told, outcomes: step.value.programmes };
		}
	}

	it('tells its progress, and splitting loses less than all early, above all in the wet fifth', () => {
		const { told, outcomes: all } = outcomes(40);
		expect(told).toBe(40);
		const by = (name: string) => all.find((one) => one.name === name)!;
		const [early, split] = [by('All before planting'), by('Split')];
		expect(split.lost.wet).toBeLessThan(early.lost.wet);
		expect(early.lost.wet - split.lost.wet).toBeGreaterThan(early.lost.dry - split.lost.dry);
		expect(early.lost.wet).toBeGreaterThan(early.lost.dry);
		expect(early.missing.wet).toBeGreaterThanOrEqual(split.missing.wet);
		expect(early.lost.high).toBeGreaterThanOrEqual(early.lost.mean);
		expect(early.lost.low).toBeLessThanOrEqual(early.lost.mean);
	});
	it('is the same each time', () => expect(outcomes(8)).toEqual(outcomes(8)));
});

describe('the price of inhibitors against their chance', () => {
	const passes = [pass('ammonia', 230, '2027-04-10', 'injected')];
	const request: SeasonRequest = {
		soil: { textureClass: 'sandy loam', drainage: 'poor', organicMatterPercent: 1.5, nitrateLbAc: 10 },
		crop: { id: 'corn-grain', yieldGoal: 200, plantingDate: '2027-05-01' },
		passes
	};
	const twin = inhibitorTwin(passes, planContext())!;
	const chance = (cost: number) => {
		const steps = stressTest(
			[
				{ name: 'plan', passes: 1, request, nitrogenCost: 100 },
				{
					name: twin.name,
					passes: 1,
					request: { ...request, passes: twin.passes },
					nitrogenCost: 100 + cost,
					inhibitors: 'with'
				}
			],
			40,
			station,
			library,
			4
		);
		for (;;) {
			const step = steps.next();
			if (step.done) return step.value.inhibitors!;
		}
	};
	it('counts the seasons in which they bring more than they cost: fewer the dearer, more of them wet', () => {
		const cheap = chance(4);
		expect(cheap).toMatchObject({ cost: 4, breakEven: 1, seasons: 40, wetSeasons: 8 });
		expect(cheap.pays).toBeGreaterThan(chance(40).pays);
		expect(cheap.paysWet / cheap.wetSeasons).toBeGreaterThan(cheap.pays / cheap.seasons);
		expect(cheap.gain.wet).toBeGreaterThan(cheap.gain.dry);
	});
	it('does not rank nitrogen that waits over winter, nor its inhibitor: trials lose more of it than the model', () => {
		const autumn = [pass('ammonia', 230, '2026-11-05', 'injected')];
		const guarded = inhibitorTwin(autumn, planContext())!;
		const tried = (plan: Pass[]) => ({
			name: 'plan',
			passes: 1,
			request: { ...request, passes: plan },
			nitrogenCost: 100
		});
		const last = (programmes: TriedProgramme[]) => {
			const steps = stressTest(programmes, 3, station, library, 4);
			for (;;) {
				const step = steps.next();
				if (step.done) return step.value;
			}
		};
		const twinTried: TriedProgramme = { ...tried([...guarded.passes]), name: guarded.name, inhibitors: 'with' };
		const spring = { ...tried(passes), name: 'spring' };
		const outcome = last([tried(autumn), twinTried, spring]);
		expect(outcome.notRanked).toEqual(['plan', guarded.name]);
		expect(outcome.programmes.map(({ name }) => name)).toEqual(['spring']);
		expect(outcome.inhibitors).toBeUndefined();
		expect(last([tried(autumn)])).toMatchObject({ programmes: [], notRanked: ['plan'] });
		// What phosphate brings along does not count.
		expect(last([tried([pass('map', 180, '2026-11-05'), ...passes])]).notRanked).toEqual([]);
	});
	it('sets a plan that has them beside itself without them, and nothing where nothing is to be guarded', () => {
		expect(twin).toMatchObject({ guarded: true });
		const bare = inhibitorTwin(twin.passes, planContext())!;
		expect(bare.guarded).toBe(false);
		expect(bare.passes).toEqual(passes);
		expect(inhibitorTwin([pass('calcium-nitrate', 400, '2027-06-01')], planContext())).toBeUndefined();
	});
});

describe('what trips cost', () => {
	const of = (passes: Pass[], prices: Record<string, number>) =>
		tripsCost(
			passes,
			(one) => productOf(one, library.products),
			(item) => prices[item]
		);
	const uan = pass('uan-28', 300, '2027-06-08', 'row-base stream');
	it('one price for each trip, by the dearest machine; the planter and the water go anyway', () => {
		const planter = pass('uan-28', 100, '2027-05-01', '2x2 band');
		const trip = [uan, { ...pass('ammonia', 100, '2027-06-08', 'injected'), id: 'b' }].map((one) => ({
			...one,
			trip: 't'
		}));
		const prices = { 'trip:spray': 9, 'trip:knife': 15 };
		expect(of([uan, planter], prices)).toMatchObject({ value: 9, cautions: [] });
		expect(of(trip, prices).value).toBe(15);
		expect(of([uan, { ...uan, id: 'c', date: '2027-06-22' }], prices).value).toBe(18);
	});
	it('says which kind has no price and is not counted', () => {
		const spread = { ...pass('urea', 100, '2027-04-20', 'broadcast'), id: 'd' };
		expect(of([uan, spread], { 'trip:spray': 9 })).toMatchObject({
			value: 9,
			cautions: ['Trip: spreader: no price is known, so it is not counted.']
		});
	});
});
