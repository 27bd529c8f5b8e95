import { severityCount } from '../../../core/figure/severity-word';
import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Answer } from '../../../core/figure/figure';
import { boardYear, liveSeason } from '../../../core/season/live/live-season';
import { library } from '../../../core/testing.test-help';
import { fillBook } from '../book/fill-book';
import { openBook } from '../book/open-book';
import { SCHOOL_ORDER } from '../../school-names';
import { Desk } from '../desk';
import { listFields } from '../stores/fields';
import { bookHarvest, choose, markDone } from '../stores/field-years';
import { startImport } from '../stores/lab-imports';
import { changeSettings } from '../stores/settings';
import { bookPage } from './book-page';
import { groundPage } from './ground-page';
import { importPage } from './import-page';
import { ratesPage } from './rates-page';
import { readingPage } from './reading-page';
import { seasonPage } from './season-page';
import { sheetPage } from './sheet-page';
import { supplyPage } from './supply-page';
import { walkPage } from './walk-page';
import { workLine } from './work-line';
import { zonesPage } from './zones-page';

const district = readFileSync('demo/district.json', 'utf8');
let db: Database;
let desk: Desk;

beforeEach(() => {
	db = openBook(':memory:');
	fillBook(db, JSON.parse(district));
	desk = new Desk(db, library, '2026-11-23');
});

const at = (name: string, year = '2027') => ({ field: listFields(db).find((field) => field.name === name)!.id, year });
const value = (answer: Answer | undefined) => (answer?.applies ? answer.value : answer?.reason);

describe('the desk of a request', () => {
	it('loads a field-year once, whoever asks; another year is another one', () => {
		const address = at('Crow Acre');
		expect(desk.fieldYear(address)).toBe(desk.fieldYear({ ...address }));
		expect(desk.fieldYear(address)).not.toBe(desk.fieldYear({ ...address, year: '2026' }));
		expect(() => desk.fieldYear({ ...address, year: 'next' })).toThrow();
		expect(() => desk.fieldYear({ ...address, field: 'none' })).toThrow();
	});
});

describe('the line of work above a field', () => {
	it('says what each word stands at', () => {
		expect(workLine(desk.fieldYear(at('Kingfisher Bend')), [], 'us')).toEqual({
			ground: '62 ac, silt loam, 4 samples',
			reading: 'pH 5.6, CEC 16',
			rates: 'N 161 P 84 K 63 lime 4.7 ton',
			season: 'no passes',
			supply: 'nothing to buy',
			sheet: 'draft',
			book: 'nothing applied'
		});
		expect(workLine(desk.fieldYear(at('Mill Strip')), [], 'us').reading).toBe('pH 6.6');
	});

	it('writes rates and cost in the reader’s units', () => {
		const line = workLine(desk.fieldYear(at('Kingfisher Bend')), [], 'metric');
		// 160.6 lb/ac x 1.12085, 4.72 short tons/ac x 2.2417.
		expect(line.rates).toBe('N 180 P 94 K 71 lime 10.6 t');
	});

	it('counts what the board counts, and what the page of the board shows', () => {
		for (const name of ['Heronry', 'Crow Acre', 'Long Meadow']) {
			const fieldYear = desk.fieldYear(at(name));
			const { ground } = seasonPage(desk, at(name), null).season!;
			const { checks } = liveSeason(ground, boardYear(ground), [...ground.request.passes]);
			expect(fieldYear.advice!.checks().map(({ rule, pass }) => [rule, pass])).toEqual(
				checks.map(({ rule, pass }) => [rule, pass])
			);
			const minds = checks.filter(({ severity }) => severity === 'mind').length;
			const season = workLine(fieldYear, [], 'us').season!;
			expect(/\d+ cautions?/.exec(season)?.[0] ?? '', name).toBe(minds > 0 ? severityCount('mind', minds) : '');
		}
		expect(
			desk
				.fieldYear(at('Heronry'))
				.advice!.checks()
				.map(({ rule }) => rule)
		).toEqual(['modelled-capacity']);
	});

	it('tells what went on and what came off', () => {
		const { advice, goal } = desk.fieldYear(at('Heronry'));
		markDone(db, goal!, advice!.passes[0]!.plan, '2027-04-20');
		const later = new Desk(db, library, '2027-05-01');
		expect(workLine(later.fieldYear(at('Heronry')), [], 'us').book).toBe('1 applied');
		bookHarvest(db, goal!, 171);
		const autumn = new Desk(db, library, '2027-10-20');
		expect(workLine(autumn.fieldYear(at('Heronry')), [], 'us').book).toBe('harvested 171 bu/ac');
	});
});

describe('the page of rates', () => {
	const rowOf = (page: ReturnType<typeof ratesPage>, nutrient: string) =>
		page.rows.find((row) => row.nutrient === nutrient)!;

	it('sets every school’s answer beside what was chosen', () => {
		const page = ratesPage(desk, at('Kingfisher Bend'));
		const phosphate = rowOf(page, 'P2O5');
		// Tri-state guide 1995: (15 - 10) x 5 + 160 bu x 0.37.
		expect(value(phosphate.chosen)).toBeCloseTo(84.2, 6);
		const chosen = phosphate.opinions.find(({ method }) => method === phosphate.choice?.method)!;
		expect(value(chosen.answer)).toBeCloseTo(84.2, 6);
		// Its price in the demo book: $0.58 a pound.
		expect(value(chosen.cost)).toBeCloseTo(84.2 * 0.58, 6);
		expect(phosphate.own).toBeUndefined();
		const olsen = phosphate.opinions.find(({ title }) => title.endsWith('Olsen'))!;
		expect(value(olsen.answer)).toMatch(/gives phosphorus by Bray P1, and this is calibrated on Olsen/);
		expect(olsen).toMatchObject({ notForCrop: false, answer: { lacks: 'P by Olsen' } });
	});

	it('says what a rate of none rests on, which guides are silent on the crop, and what the choices cost', () => {
		const page = ratesPage(desk, at('Kingfisher Bend'));
		const costs = page.rows.flatMap(({ cost }) => cost ?? []);
		expect(costs.length).toBeGreaterThan(2);
		expect(value(page.cost)).toBeCloseTo(
			costs.reduce((sum, cost) => sum + Number(value(cost)), 0),
			9
		);
		expect(page.notForCrop).toContain('Wheat tiller count (nitrogen)');
		const tillers = rowOf(page, 'N').opinions.find(({ guide }) => guide === 'Wheat tiller count')!;
		expect(tillers.notForCrop).toBe(true);
		const soybean = rowOf(ratesPage(desk, at('Brick Kiln')), 'N');
		expect(soybean.instead).toBe('Soybean fixes its own nitrogen: inoculate where it has not grown for years.');
		expect(rowOf(page, 'N').instead).toBeUndefined();
	});

	it('names an approach by its guide where two guides take it, else by itself', () => {
		const names = (field: string, nutrient: string) =>
			rowOf(ratesPage(desk, at(field)), nutrient)
				.opinions.filter(({ answer }) => answer.applies)
				.map(({ name }) => name);
		expect(names('Crow Acre', 'N')).toEqual([
			'Mass balance, Northern plains guides',
			'Mass balance, Tri-state guide 1995',
			'Mass balance, Western corn guide',
			'Economic optimum'
		]);
		expect(new Set(names('Crow Acre', 'K2O')).size).toBe(5);
	});

	it('puts schools in one order for every nutrient, and says of which lime a rate is', () => {
		const page = ratesPage(desk, at('Kingfisher Bend'));
		for (const { opinions } of page.rows) {
			const places = opinions.map(({ schoolId }) => SCHOOL_ORDER.indexOf(schoolId));
			expect(places).toEqual([...places].sort((a, b) => a - b));
		}
		const lime = rowOf(page, 'lime').opinions.filter(({ answer }) => answer.applies);
		expect(lime.length).toBeGreaterThan(1);
		expect(
			lime.every(({ of }) => /^of (pure CaCO3|lime with an effective neutralizing value of [\d.]+ %)$/.test(of ?? ''))
		).toBe(true);
	});

	it('puts more than four tons of lime on in two seasons that add up', () => {
		const { lime } = ratesPage(desk, at('Kingfisher Bend'));
		const parts = lime!.plan!.applications.map(({ rate }) => value(rate) as number);
		expect(parts).toHaveLength(2);
		expect(parts[0]! + parts[1]!).toBeCloseTo(4.718185, 6);
		expect(lime!.materials.map(({ id }) => id)).toContain(lime!.material);
		// The price of an effective ton is that of a ton over what acts of it.
		const used = lime!.materials.find(({ id }) => id === 'aglime')!;
		expect(value(used.price)).toBeCloseTo(32 / (value(used.fraction) as number), 6);
	});

	it('speaks metric where the book does', () => {
		changeSettings(db, { units: 'metric' });
		const page = ratesPage(new Desk(db, library, '2026-11-23'), at('Kingfisher Bend'));
		expect(rowOf(page, 'P2O5')).toMatchObject({ unit: 'kg/ha', ownUnit: 'lb/ac' });
		// 84.2 lb/ac x 1.120851 kg/ha.
		expect(value(rowOf(page, 'P2O5').chosen)).toBeCloseTo(94.3757, 3);
	});

	it('has rows without answers, not none, where goal or sample is missing', () => {
		const page = ratesPage(desk, at('Kingfisher Bend', '2031'));
		expect(page.rows.map(({ opinions }) => opinions.length)).toEqual(page.rows.map(() => 0));
		expect(page).toMatchObject({ lime: undefined, nitrogen: undefined, outlooks: [], hasPasses: false });
		expect(page.goalPage.goal).toBeUndefined();
	});
});

describe('the page of the reading', () => {
	it('reads pH, the room for nitrogen and the cations with what they rest on', () => {
		const { reading, lab, sampleDate } = readingPage(desk, at('Kingfisher Bend'));
		expect([lab, sampleDate]).toEqual(['Fenmoor Soil Bench', '2026-10-12']);
		expect(value(reading!.ph.soilPh)).toBe(5.6);
		expect(value(reading!.ph.calciumChloride)).toMatch(/calibrated on CaCl2/);
		// Ten pounds for each unit of CEC.
		expect(value(reading!.holding.limit)).toBe(160);
		expect(value(reading!.holding.room)).toMatch(/no nitrate/);
		// 1650 ppm Ca over 200.4 ppm in a meq (40.08 / 2 x 10), against CEC 16.
		const calcium = reading!.cations.find(({ cation }) => cation === 'Ca')!;
		expect(value(calcium.share)).toBeCloseTo((100 * 1650) / 200.4 / 16, 4);
		expect(reading!.cations.map(({ cation }) => cation)).toEqual(['Ca', 'Mg', 'K']);
		expect(reading!.others.map(({ name, says }) => [name, says])).toEqual([['zinc', 'enough: 1 ppm and above']]);
		expect(reading!.inCm).toBe(false);
	});

	it('draws the curve of yield by pH from 4.5 to 8, rising to its top', () => {
		const { points } = readingPage(desk, at('Kingfisher Bend')).reading!.ph;
		expect([points[0]![0], points.at(-1)![0], points.length]).toEqual([4.5, 8, 36]);
		expect(Math.max(...points.map(([, share]) => share))).toBe(100);
		const here = points.find(([ph]) => ph === 5.6)!;
		expect(here[1]).toBeCloseTo(value(readingPage(desk, at('Kingfisher Bend')).reading!.ph.relativeYield) as number, 9);
	});

	it('has no reading without a goal, and still names field and sample', () => {
		expect(readingPage(desk, at('Kingfisher Bend', '2031'))).toMatchObject({
			reading: undefined,
			fieldName: 'Kingfisher Bend',
			sampleDate: '2026-10-12'
		});
	});
});

describe('the page of the season', () => {
	it('gives each pass its product, what it carries, its cost and its cautions', () => {
		const { season } = seasonPage(desk, at('Crow Acre'), 'wet');
		expect(season!.ground.kind).toBe('wet');
		const map = season!.passes.find(({ plan }) => plan.product === 'map')!;
		expect(map.productName).toBe('MAP 11-52-0');
		// 174 lb of 11-52-0 at $760 a ton.
		expect(map.nutrients.map(({ nutrient, amount }) => [nutrient, +(value(amount) as number).toFixed(2)])).toEqual([
			['N', 19.14],
			['P2O5', 90.48]
		]);
		expect(value(map.cost)).toBeCloseTo((174 / 2000) * 760, 6);
		const lime = season!.passes.find(({ plan }) => plan.product === 'aglime')!;
		expect(lime.cautions.join(' ')).toMatch(/Dust/);
		expect(lime.nutrients).toEqual([]);
	});

	it('takes a kind of year that there is, else the normal one', () => {
		expect(seasonPage(desk, at('Crow Acre'), 'dry').season!.ground.kind).toBe('dry');
		expect(seasonPage(desk, at('Crow Acre'), 'frosty').season!.ground.kind).toBe('normal');
		expect(seasonPage(desk, at('Crow Acre'), null).season!.ground.kind).toBe('normal');
	});

	it('tells what the water of its irrigation brings: 36 in of 5 ppm nitrate-N, 2.72 lb to the ppm and foot', () => {
		expect(value(seasonPage(desk, at('Almond Reach, old'), null).season!.byWater.N)).toBeCloseTo(40.8, 1);
		expect(seasonPage(desk, at('Crow Acre'), null).season!.byWater).toEqual({});
	});

	it('the sheet and the rates tell what a leaf test of this or last year found, not one of before', () => {
		const titles = (year: string) => ratesPage(desk, at('Brick Kiln', year)).leafTests.map(({ title }) => title);
		expect(titles('2026')).toEqual(['9 Jul 2025, soybean at R1, bad spot']);
		expect(titles('2027')).toEqual([]);
		const [test] = sheetPage(desk, at('Brick Kiln', '2026')).draft!.leafTests!;
		expect(test!.findings.map(({ severity }) => severity)).toEqual(['note', 'note', 'mind']);
		expect(sheetPage(desk, at('Crow Acre')).draft).not.toHaveProperty('leafTests');
	});

	it('tells the forms of nitrogen for corn only', () => {
		expect(seasonPage(desk, at('Crow Acre'), null).season!.forms).toBeDefined();
		expect(seasonPage(desk, at('Coulee North'), null).season!.forms).toBeUndefined();
	});
});

describe('the page of supply', () => {
	it('says what must be bought for the whole field', () => {
		const page = supplyPage(desk, at('Crow Acre'));
		const lime = page.needs.find(({ name }) => name.startsWith('Agricultural lime'))!;
		// 8.2 short tons an acre on 17.5 acres.
		expect(value(lime.order)).toBeCloseTo(8.2 * 17.5, 6);
		expect(
			page.open.every(({ id }) => desk.fieldYear(at('Crow Acre')).advice!.passes.some((p) => p.plan.id === id))
		).toBe(true);
	});

	it('sets sources side by side, the cheapest pound first', () => {
		const { compared, ofProduct } = supplyPage(desk, at('Crow Acre'));
		for (const { products } of compared) {
			const prices = products.map(({ price }) => value(price)).filter((one) => typeof one === 'number');
			expect(prices).toEqual([...prices].sort((a, b) => a - b));
		}
		const urea = compared
			.find(({ nutrient }) => nutrient === 'N')!
			.products.find(({ name }) => name.startsWith('Urea'))!;
		expect(value(urea.price)).toBeCloseTo(ofProduct.get('urea')! / 2000 / 0.46, 9);
	});

	it('speaks for dolomite and for potassium magnesium sulfate where magnesium is short', () => {
		expect(supplyPage(desk, at('Crow Acre')).advice.flatMap(({ instead }) => instead)).toEqual([
			'dolomitic-lime',
			'potassium-magnesium-sulfate'
		]);
	});

	it('leaves out what was applied', () => {
		const open = supplyPage(desk, at('Long Meadow')).open;
		const { passes } = desk.fieldYear(at('Long Meadow')).advice!;
		expect(open).toHaveLength(passes.filter(({ doneOn }) => doneOn === null).length);
		expect(open.length).toBeLessThan(passes.length);
	});
});

describe('the other pages', () => {
	it('zones: the field’s choices, open passes with what may drive them, and no points of layers', () => {
		const page = zonesPage(desk, at('Crow Acre'));
		expect(page.chosen.map(({ nutrient }) => nutrient)).toEqual(['N', 'P2O5', 'K2O', 'lime']);
		const map = page.passes.find(({ plan }) => plan.product === 'map')!;
		// It carries more phosphate than nitrogen.
		expect(map.drives).toEqual(['P2O5', 'N']);
		expect(page.passes.find(({ plan }) => plan.product === 'aglime')!.drives).toEqual(['lime']);
		const layered = zonesPage(desk, at('Long Meadow'));
		for (const layer of layered.layers) expect(layer).not.toHaveProperty('points');
		expect(zonesPage(desk, at('Kingfisher Bend', '2031')).rates).toEqual([]);
	});

	it('sheet: a draft with what the board has against the plan, nothing issued yet', () => {
		const page = sheetPage(desk, at('Heronry'));
		expect(page.draft!.checks.map(({ rule }) => rule)).toEqual(['modelled-capacity']);
		expect(page).toMatchObject({ openChoices: false, sheets: [] });
		expect(sheetPage(desk, at('Mill Strip')).openChoices).toBe(true);
	});

	it('sheet: the mark of a draft changes with what it advises, not with who prints it or when', () => {
		const markOf = (day: string) => sheetPage(new Desk(db, library, day), at('Heronry')).mark;
		const mark = markOf('2026-11-23');
		expect(mark).toMatch(/^[0-9a-f]{16}$/);
		changeSettings(db, { preparedBy: 'Somebody else' });
		expect(markOf('2026-11-24')).toBe(mark);
		const { goal } = desk.fieldYear(at('Heronry'));
		choose(db, goal!, [{ nutrient: 'S', ownRate: 12, reason: 'thin ground' }], 'Chose');
		expect(markOf('2026-11-24')).not.toBe(mark);
		expect(sheetPage(desk, at('Heronry', '2031')).mark).toBeUndefined();
	});

	it('import: a draft with examples, then what became of its lines', () => {
		const grid = {
			headers: ['Grower', 'Field', 'pH'],
			rows: [
				['', 'Crow Acre', ''],
				['Tarrow & Daughters', 'Crow Acre', '5.1']
			],
			firstLine: 2
		};
		const id = startImport(db, 'spring.csv', grid);
		const page = importPage(desk, id, null);
		expect(page).toMatchObject({ fileName: 'spring.csv', year: 2027, committed: false, outcomes: [] });
		expect(page.sampleCells).toEqual(['Tarrow & Daughters', 'Crow Acre', '5.1']);
		expect(page.growers).toContain('Tarrow & Daughters');
		expect(page.fields.map(({ name }) => name)).toContain('Crow Acre (Tarrow & Daughters)');
		expect(() => importPage(desk, 'none', null)).toThrow();
	});

	it('import: of a long file some rows, those that wait first, and more when they are asked for', () => {
		const line = (at: number) => ['Tarrow & Daughters', `Field ${at}`, at < 449 ? '6.1' : 'wet'];
		const grid = {
			headers: ['Grower', 'Field', 'pH'],
			rows: Array.from({ length: 450 }, (_, at) => line(at)),
			firstLine: 2
		};
		const id = startImport(db, 'long.csv', grid);
		const shown = (asked: string | null) => importPage(desk, id, asked).preview!;
		const [first, second, all] = [shown(null), shown('400'), shown('600')];
		expect(first.count).toMatchObject({ all: 450, leftOut: 0 });
		expect([first, second, all].map(({ rows, more }) => [rows.length, more])).toEqual([
			[200, 200],
			[400, 50],
			[450, 0]
		]);
		expect(first.rows[0]!.problems.some(({ message }) => message.includes('wet'))).toBe(true);
		expect(new Set(all.rows.map(({ line }) => line)).size).toBe(450);
		expect(shown('many').rows).toHaveLength(200);
	});

	it('book: goal, passes and harvest in the crop’s unit', () => {
		const page = bookPage(desk, at('Crow Acre'));
		expect(page.goal).toEqual({ crop: 'Corn', unit: 'bu/ac of 56 lb', yieldGoal: 150, harvested: null });
		expect(page.passes).toHaveLength(6);
		expect(bookPage(desk, at('Crow Acre', '2026')).goal?.harvested).toBe(121);
		expect(bookPage(desk, at('Crow Acre', '2031'))).toMatchObject({ goal: undefined, passes: [], logs: [] });
	});

	it('ground: the samples newest first and the years with what they brought', () => {
		const page = groundPage(desk, at('Crow Acre'));
		expect(page.samples.map(({ date }) => date)).toEqual(['2026-10-12', '2023-10-20']);
		expect(page.history.map(({ year, crop, goal, harvested }) => [year, crop, goal, harvested])).toEqual([
			[2027, 'Corn', 150, null],
			[2026, 'Corn', 150, 121],
			[2025, 'Corn', 150, 138]
		]);
		expect(page.setbacks).toEqual([]);
	});

	it('walk: only the tests that a guide has for the crop', () => {
		const kinds = (name: string) => walkPage(desk, at(name)).walk!.kinds.map(({ kind }) => kind);
		expect(kinds('Crow Acre')).toEqual(['nitrate', 'strips']);
		expect(walkPage(desk, at('Crow Acre')).walk!.kinds.every(({ result }) => result === undefined)).toBe(true);
		expect(walkPage(desk, at('Crow Acre', '2031')).walk).toBeUndefined();
	});
});
