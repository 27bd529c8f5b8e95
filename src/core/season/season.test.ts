import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figure, notApplicable } from '../figure/figure';
import type { CropId, Pass } from '../schema-types';
import { library } from '../testing.test-help';
import { checkSeason } from './checks/check-season';
import { cautionsFor, planCautions } from './plan/hazards';
import { passCost, planCost } from './plan/pass/pass-cost';
import { gallonsPerAcre, passNutrients, passRate, wholeField } from './plan/pass/pass-figures';
import { passNutrient, productFor } from './plan/pass/pass-nutrients';
import { evenly } from './propose/place-nitrogen';
import { productOf, type PlanContext } from './plan/plan-context';
import { planContext } from './plan/plan-context.test-help';
import { carried } from './plan/pass/carried';
import { proposeProgramme } from './propose/propose-programme';
import { usualPlantingDate } from './schedule/usual-planting';
import { seasonTotals } from './plan/season-totals';

const { products, cautions } = library;
const product = (id: string) => productOf({ product: id }, products);
const limit = (value: number) => figure({ label: 'holding limit', value, unit: 'lb/ac', basis: 'practice' });
const unknown = notApplicable('room', 'the report gives no nitrate-N', 'Take a nitrate sample.');

const context = (chosen: PlanContext['chosen'], change: Parameters<typeof planContext>[0] = {}) =>
	planContext({
		chosen,
		holdingRoom: unknown,
		allowances: { seasonDays: 0, seasonShareOfLimit: 0, slowReleaseShareOfLimit: 0 },
		yieldGoal: 160,
		...change
	});
const pass = (change: Partial<Pass>): Pass => ({
	id: 'a',
	date: '2027-06-08',
	label: 'Side-dress',
	product: 'uan-28',
	rate: 100,
	unit: 'lb/ac',
	placement: 'row-base stream',
	reason: '',
	...change
});

describe('product from nutrient (trade arithmetic, common practice)', () => {
	it('60 lb N is 176 lb of 34-0-0, and back', () => {
		expect(productFor(60, product('ammonium-nitrate'), 'N')).toBeCloseTo(176.47, 2);
		expect(passNutrient({ rate: 176.47, unit: 'lb/ac' }, product('ammonium-nitrate'), 'N')).toBeCloseTo(60, 2);
	});
	it('is refused for a nutrient the product lacks', () => {
		expect(() => productFor(60, product('potash'), 'N')).toThrow('supplies no N');
	});
	it('counts every nutrient of a product, each with its steps', () => {
		const map = passNutrients(pass({ product: 'map', rate: 200 }), product('map'));
		expect(map.map(({ nutrient, pounds }) => [nutrient, pounds.value])).toEqual([
			['N', 22],
			['P2O5', 104]
		]);
		expect(map[0]?.pounds.inputs.map(({ value }) => value)).toEqual([200, 11]);
	});
	it('gallons by density, and the whole field by its area', () => {
		const rate = passRate(pass({ rate: 510 }), product('uan-28'));
		const gallons = gallonsPerAcre(rate, product('uan-28'));
		expect(gallons.applies && gallons.value).toBeCloseTo(510 / 10.67, 9);
		expect(gallonsPerAcre(rate, product('urea'))).toMatchObject({ applies: false });
		expect(wholeField(rate, 62)).toMatchObject({ value: 31620, unit: 'lb' });
		expect(wholeField(rate, undefined)).toMatchObject({ applies: false, reason: 'the area is not known' });
	});
});

describe('a proposed programme', () => {
	it('carries what was chosen, counting the N of phosphate and sulfur products', () => {
		const plan = context({ N: 120, P2O5: 80, K2O: 60, S: 15, lime: 2 });
		const { passes, notes } = proposeProgramme(plan);
		expect(notes).toEqual([]);
		for (const [nutrient, wanted] of [
			['N', 120],
			['P2O5', 80],
			['K2O', 60],
			['S', 15]
		] as const) {
			expect(carried(passes, nutrient, plan), nutrient).toBeCloseTo(wanted, 9);
		}
		expect(passes.find(({ unit }) => unit === 'short ton/ac')).toMatchObject({ rate: 2, date: '2026-12-02' });
		expect(passes.map(({ date }) => date)).toEqual([...passes.map(({ date }) => date)].sort());
	});

	it('splits N over the holding limit and says why, with the numbers', () => {
		const plan = context({ N: 160.6 }, { holdingLimit: limit(120), holdingRoom: limit(120), yieldGoal: 200 });
		const { passes } = proposeProgramme(plan);
		expect(passes).toHaveLength(4);
		for (const one of passes) expect(passNutrient(one, product(one.product), 'N')).toBeLessThanOrEqual(120 + 1e-9);
		// Once, not on every line of the sheet.
		expect(passes.filter(({ reason }) => reason.includes('holds about 120 lb N/ac at a time'))).toHaveLength(1);
		expect(carried(passes, 'N', plan)).toBeCloseTo(160.6, 9);
		expect(checkSeason(passes, plan)).toEqual([]);
	});

	it('keeps one pass where the ground holds it, and gives no split reason', () => {
		const { passes } = proposeProgramme(context({ N: 160 }));
		expect(passes).toHaveLength(1);
		expect(passes[0]?.reason).not.toContain('Split');
	});

	it('shares the day with sulfur on wheat: both together stay within the room', () => {
		const plan = context(
			{ N: 110, S: 20 },
			{ cropId: 'winter-wheat', plantingDate: '2026-10-05', holdingLimit: limit(60) }
		);
		const { passes } = proposeProgramme(plan);
		expect(checkSeason(passes, plan).filter(({ rule }) => rule === 'holding-limit')).toEqual([]);
		expect(carried(passes, 'N', plan)).toBeCloseTo(110, 9);
	});

	it('says what found no place, what has no schedule, and what needs no nitrogen', () => {
		const plan = context({ N: 160 }, { holdingLimit: limit(30) });
		const { passes, notes } = proposeProgramme(plan);
		expect(passes.length).toBeLessThanOrEqual(5);
		const short = 160 - carried(passes, 'N', plan);
		expect(short).toBeGreaterThan(20);
		expect(notes[0]).toContain(`${short.toFixed(1)} lb N/ac short`);
		expect(proposeProgramme(context({ N: 60 }, { cropId: 'apple', schedule: undefined })).notes[0]).toContain(
			'No schedule of passes is known for apple'
		);
		expect(proposeProgramme(context({ N: 60 }, { cropId: 'soybean' })).notes[0]).toContain('without nitrogen passes');
	});

	it('takes the usual planting date of the crop, in the year before for winter wheat', () => {
		const of = (crop: CropId) =>
			usualPlantingDate(
				library.schedules.find((one) => one.crop === crop)!,
				2027
			);
		expect([of('corn-grain'), of('winter-wheat')]).toEqual(['2027-05-01', '2026-10-05']);
	});
});

it('evenly puts an amount into caps: none over its cap, all of it where it fits, and none more than another that has room', () => {
	const caps = fc.array(fc.double({ min: 0, max: 200, noNaN: true }), { maxLength: 6 });
	fc.assert(
		fc.property(fc.double({ min: 0, max: 600, noNaN: true }), caps, (amount, given) => {
			const shares = evenly(amount, given);
			const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0);
			shares.forEach((share, at) => {
				expect(share).toBeGreaterThanOrEqual(0);
				expect(share).toBeLessThanOrEqual(given[at]! + 1e-9);
				if (share < given[at]! - 1e-9) for (const other of shares) expect(other).toBeLessThanOrEqual(share + 1e-9);
			});
			expect(sum(shares)).toBeCloseTo(Math.min(amount, sum(given)), 6);
		})
	);
});

describe('the checks: each fires, its near miss does not, and its remedy clears it', () => {
	const rules = (passes: Pass[], plan: PlanContext) => checkSeason(passes, plan).map(({ rule }) => rule);
	const remedied = (passes: Pass[], plan: PlanContext, rule: string) => {
		const check = checkSeason(passes, plan).find((one) => one.rule === rule)!;
		const remedy = check.remedies[0]!;
		return [...passes.filter(({ id }) => id !== check.pass), ...remedy.passes];
	};

	it('more nitrogen on one day than the ground can hold', () => {
		const plan = context({});
		const heavy = [pass({ rate: 600 })];
		expect(checkSeason(heavy, plan)[0]).toMatchObject({ rule: 'holding-limit', severity: 'stop', pass: 'a' });
		expect(rules([pass({ rate: 160 / 0.28 })], plan)).toEqual([]);
		const split = remedied(heavy, plan, 'holding-limit');
		expect(split.map(({ date }) => date)).toEqual(['2027-06-08', '2027-06-22']);
		expect(rules(split, plan)).toEqual([]);
		expect(carried(split, 'N', plan)).toBeCloseTo(168, 9);
	});

	it('splits onto days that have room', () => {
		const busy = [pass({ rate: 600 }), pass({ id: 'b', date: '2027-06-22', rate: 400 })];
		const split = remedied(busy, context({}), 'holding-limit');
		expect(split.slice(1).map(({ date }) => date)).toEqual(['2027-06-08', '2027-06-22', '2027-07-06', '2027-07-20']);
		expect(rules(split, context({}))).not.toContain('holding-limit');
	});

	it('counts the products of one day together, and names the larger', () => {
		const day = [
			pass({ rate: 400 }),
			pass({ id: 'b', product: 'ammonium-sulfate', placement: 'broadcast', rate: 300 })
		];
		expect(checkSeason(day, context({}))[0]).toMatchObject({ rule: 'holding-limit', pass: 'a' });
		// The day after, what went on the day before still lies there; some weeks later the crop has taken it.
		expect(rules([day[0]!, { ...day[1]!, date: '2027-06-09' }], context({}))).toEqual(['holding-limit']);
		expect(rules([day[0]!, { ...day[1]!, date: '2027-06-24' }], context({}))).toEqual([]);
	});

	it('counts what earlier passes left there: 70 lb on three days of April in room for 70', () => {
		const plan = context({}, { holdingRoom: limit(70) });
		const three = ['10', '11', '12'].map((day) =>
			pass({ id: day, date: `2027-04-${day}`, placement: 'broadcast', rate: 70 / 0.28 })
		);
		const found = checkSeason(three, plan).filter(({ rule }) => rule === 'holding-limit');
		expect(found.map(({ pass: id }) => id)).toEqual(['11', '12']);
		expect(found[0]!.text).toContain('the soil can take up 0, where 70 lb of earlier passes still lie');
	});

	it('offers what is too much in autumn for spring, and nothing where no day has room', () => {
		const autumn = [pass({ product: 'ammonia', placement: 'injected', date: '2026-11-10', rate: 200 / 0.82 })];
		const plan = context({}, { holdingLimit: limit(120) });
		const [check] = checkSeason(autumn, plan).filter(({ rule }) => rule === 'holding-limit');
		expect(check!.remedies[0]!.label).toMatch(/^The rest in spring/);
		const [now, ...spring] = check!.remedies[0]!.passes;
		expect(now!.date).toBe('2026-11-10');
		expect(now!.rate * 0.82).toBeLessThanOrEqual(120);
		expect(spring.length).toBeGreaterThan(0);
		for (const { date } of spring) expect(date > '2027-03-01').toBe(true);
		// 150 lb N as urea on 10 July on sand that holds 60: this once looped without end.
		const july = [pass({ product: 'urea', placement: 'broadcast', date: '2027-07-10', rate: 150 / 0.46 })];
		const sand = context({}, { holdingLimit: limit(6) });
		const late = checkSeason(july, sand).find(({ rule }) => rule === 'holding-limit');
		expect(late!.remedies).toEqual([]);
	});

	it('says that no limit is known, rather than none there', () => {
		const plan = context(
			{},
			{ holdingLimit: notApplicable('holding limit', 'the report gives no CEC', 'Ask the lab for CEC.') }
		);
		expect(checkSeason([pass({})], plan)[0]).toMatchObject({ rule: 'holding-limit', severity: 'mind' });
		expect(checkSeason([pass({ product: 'potash', placement: 'broadcast', date: '2027-04-01' })], plan)).toEqual([]);
	});

	it('a product where it does not go', () => {
		const ammonia = [pass({ product: 'ammonia', placement: 'broadcast', rate: 100, date: '2027-04-05' })];
		expect(rules(ammonia, context({}))).toEqual(['placement']);
		expect(rules(remedied(ammonia, context({}), 'placement'), context({}))).toEqual([]);
	});

	it('more than 4 short tons of lime at once', () => {
		const lime = (rate: number) => [
			pass({ date: '2026-12-08', product: 'aglime', placement: 'incorporated', unit: 'short ton/ac', rate })
		];
		expect(rules(lime(4.72), context({}))).toEqual(['heavy-lime']);
		expect(rules(lime(4), context({}))).toEqual([]);
		const halves = remedied(lime(4.72), context({}), 'heavy-lime');
		expect(halves.map(({ rate, date }) => [rate, date])).toEqual([
			[2.36, '2026-12-08'],
			[2.36, '2027-12-08']
		]);
	});

	it('lime on the surface, more than 2 short tons at a time', () => {
		const plan = context({}, { liming: { product: 'aglime', placement: 'surface' } });
		const lime = (rate: number) => [pass({ product: 'aglime', placement: 'broadcast', unit: 'short ton/ac', rate })];
		expect(rules(lime(4.72), plan)).toEqual(['surface-lime']);
		const inPounds = lime(4.72).map((pass) => ({ ...pass, rate: pass.rate * 2000, unit: 'lb/ac' as const }));
		expect(rules(inPounds, plan)).toEqual(['surface-lime']);
		expect(rules(lime(2), plan)).toEqual([]);
		const parts = remedied(lime(4.72), plan, 'surface-lime');
		expect(parts.map(({ date }) => date)).toEqual(['2027-06-08', '2028-06-08', '2029-06-08']);
		expect(rules(parts, plan)).toEqual([]);
	});

	it('sulfur that is not ready for this season', () => {
		const elemental = [pass({ product: 'elemental-sulfur', placement: 'broadcast', date: '2027-04-01', rate: 22 })];
		expect(rules(elemental, context({ S: 20 }))).toContain('sulfur-form');
		expect(rules(elemental, context({}))).not.toContain('sulfur-form');
		const gypsum = remedied(elemental, context({ S: 20 }), 'sulfur-form');
		expect(rules(gypsum, context({ S: 20 }))).toEqual([]);
		// Thiosulfate counts half this season (common practice), so beside it elemental sulfur is still not enough.
		const half = [...elemental, pass({ id: 'b', product: 'ammonium-thiosulfate', rate: (10 / 26) * 100 })];
		expect(rules(half, context({ S: 20 }))).toContain('sulfur-form');
	});

	it('sulfate in autumn, but not before alfalfa, and not the little that zinc sulfate carries', () => {
		const autumn = [pass({ product: 'gypsum', placement: 'broadcast', date: '2026-10-20', rate: 100 })];
		expect(rules(autumn, context({}))).toEqual(['autumn-sulfate']);
		expect(rules(remedied(autumn, context({}), 'autumn-sulfate'), context({}))).toEqual([]);
		expect(rules(autumn, context({}, { cropId: 'alfalfa' }))).toEqual([]);
		const zinc = [pass({ product: 'zinc-sulfate', placement: 'incorporated', date: '2026-10-20', rate: 8 })];
		expect(rules(zinc, context({}))).toEqual([]);
		const wheat = context({}, { cropId: 'winter-wheat', plantingDate: '2026-10-05' });
		expect(remedied(autumn, wheat, 'autumn-sulfate')[0]?.date).toBe('2027-03-20');
	});

	it('more boron than a crop stands, and boron beside the seed', () => {
		const borate = (pounds: number) => [pass({ product: 'borate', placement: 'broadcast', rate: (pounds / 15) * 100 })];
		expect(rules(borate(1.5), context({}))).toEqual(['boron-ceiling']);
		expect(rules(borate(1), context({}))).toEqual([]);
		expect(rules(borate(1.5), context({}, { cropId: 'alfalfa' }))).toEqual([]);
		expect(rules(remedied(borate(1.5), context({}), 'boron-ceiling'), context({}))).toEqual([]);
		const beside = [{ ...borate(0.5)[0]!, placement: '2x2 band' as const }];
		expect(rules(beside, context({}))).toContain('boron-by-seed');
		expect(rules(remedied(beside, context({}), 'boron-by-seed'), context({}))).toEqual([]);
	});

	it('passes that do not carry what was chosen', () => {
		expect(checkSeason([pass({ rate: 357 })], context({ N: 110 }))[0]?.text).toContain('10 lb short of the chosen 110');
		expect(rules([pass({ rate: 357 })], context({ N: 100 }))).toEqual([]);
	});
});

describe('cautions', () => {
	it('stand with the product and the placement that call for them', () => {
		expect(cautionsFor(product('ammonia'), { placement: 'injected' }, cautions)[0]).toContain(
			'First aid: water for at least 15 minutes'
		);
		expect(cautionsFor(product('urea'), { placement: 'top-dress' }, cautions)[0]).toContain('loses ammonia');
		expect(cautionsFor(product('urea'), { placement: 'incorporated' }, cautions)).toEqual([]);
	});
	it('are all on the plan, each once, with the general one last', () => {
		const all = planCautions(
			[pass({}), pass({ id: 'b' }), pass({ id: 'c', product: 'aglime', placement: 'broadcast' })],
			products,
			cautions
		);
		expect(all).toHaveLength(3);
		expect(all.at(-1)).toContain('Follow the label and local code');
	});
	it('are written for every hazard that a product has', () => {
		for (const { hazards, name } of products)
			for (const hazard of hazards) expect(cautions.cautions[hazard], name).toBeTruthy();
	});
});

describe('money and sums', () => {
	it('a ton price becomes dollars per acre, and lime is priced by the ton', () => {
		expect(passCost(pass({ rate: 500 }), product('uan-28'), () => 365)).toMatchObject({ value: 91.25, unit: '$/ac' });
		const lime = pass({ product: 'aglime', unit: 'short ton/ac', rate: 2.5 });
		expect(passCost(lime, product('aglime'), () => 32)).toMatchObject({ value: 80 });
	});
	it('a missing price makes the plan’s cost unknown, not smaller', () => {
		const known = passCost(pass({}), product('uan-28'), () => 365);
		const missing = passCost(pass({}), product('uan-28'), () => undefined);
		expect(planCost([known, missing])).toMatchObject({ applies: false, reason: 'no price for UAN-28 is known' });
		expect(planCost([known, known])).toMatchObject({ applies: true, value: 36.5 });
	});
	it('an inhibitor is priced by the treated acre, both of them as two, and an unknown price says which', () => {
		const prices = new Map([
			['product:uan-28', 365],
			['additive:urease inhibitor', 6.5],
			['additive:nitrification inhibitor', 11]
		]);
		const cost = (additive: Pass['additive']) =>
			passCost(pass({ rate: 500, additive }), product('uan-28'), (item) => prices.get(item));
		expect(cost('urease inhibitor')).toMatchObject({ value: 97.75 });
		expect(cost('both inhibitors')).toMatchObject({ value: 108.75 });
		prices.delete('additive:nitrification inhibitor');
		expect(cost('both inhibitors')).toMatchObject({ reason: 'no price for the nitrification inhibitor is known' });
	});
	it('gallons become pounds by the density, in nutrients, cost and the whole field', () => {
		const streamed = pass({ unit: 'gal/ac', rate: 30 });
		const uan = product('uan-28');
		// 30 gal of UAN-28 at 10.67 lb/gal (trade density, from memory) are 320.1 lb, 89.6 lb N.
		expect(passNutrient(streamed, uan, 'N')).toBeCloseTo(89.628, 6);
		expect(passCost(streamed, uan, () => 300)).toMatchObject({ value: expect.closeTo(48.015, 6) as number });
		expect(wholeField(passRate(streamed, uan), 100)).toMatchObject({ value: 3000, unit: 'gal' });
		expect(() => passNutrient(streamed, product('urea'), 'N')).toThrow('Urea 46-0-0 is not measured in gallons');
	});
	it('totals open into their passes', () => {
		const totals = seasonTotals([pass({ rate: 100 }), pass({ id: 'b', product: 'map', rate: 100 })], { products });
		expect(totals.map(({ label, value }) => [label, +value.toFixed(6)])).toEqual([
			['N', 39],
			['P2O5', 52]
		]);
		expect(totals[0]?.inputs).toHaveLength(2);
	});
});

it('the product cards carry the densities of the trade tables (lb/gal at 60 F, from memory)', () => {
	const density = (id: string) => product(id).densityLbPerGal;
	expect(['uan-28', 'app-10-34-0', 'ammonium-thiosulfate', 'ammonia'].map(density)).toEqual([10.67, 11.65, 11.1, 5.15]);
});

describe('a programme with more than N, P and K', () => {
	it('puts each nutrient on once and counts what others carry along', () => {
		const plan = context({ K2O: 60, S: 20, Mg: 15, Zn: 5, B: 1 });
		const { passes } = proposeProgramme(plan);
		// 15 lb of magnesium as magnesium sulfate bring 20 lb of sulfur: then no other sulfur is needed.
		expect(passes.map(({ product: name }) => name).sort()).toEqual(['borate', 'kieserite', 'potash', 'zinc-sulfate']);
		for (const [nutrient, wanted] of Object.entries({ K2O: 60, Mg: 15, Zn: 5, B: 1, S: 20 })) {
			expect(carried(passes, nutrient as 'S', plan), nutrient).toBeGreaterThanOrEqual(wanted - 1e-9);
		}
	});

	it('takes the starter off the total of phosphate and nitrogen', () => {
		const step = library.starter;
		const plan = context({ N: 120, P2O5: 60 }, { starter: { step, p2o5: 20 } });
		const { passes } = proposeProgramme(plan);
		expect(carried(passes, 'P2O5', plan)).toBeCloseTo(60, 9);
		expect(carried(passes, 'N', plan)).toBeCloseTo(120, 9);
		expect(passes.find(({ product: name }) => name === 'app-10-34-0')).toMatchObject({ placement: '2x2 band' });
	});

	it('puts on this season’s share of the lime, with the material and the way chosen, and says what is left', () => {
		const { passes, notes } = proposeProgramme(
			context({ lime: 5 }, { liming: { product: 'dolomitic-lime', placement: 'surface' } })
		);
		expect(passes[0]).toMatchObject({ product: 'dolomitic-lime', placement: 'broadcast', unit: 'short ton/ac' });
		expect(passes[0]?.rate).toBeCloseTo(5 / 3, 9);
		expect(notes[0]).toContain('3.33 short ton/ac of it are left for the next 2 seasons');
	});
});
