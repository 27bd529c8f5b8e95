// A second crop of a year, set through the operation that the pages call: what rates, season, records, sheet and the next year say of it.
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { undo, undoable } from '../../book/act';
import { fillBook } from '../../book/fill-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { theLibrary } from '../../knowledge';
import { bookPage } from '../../pages/book-page';
import { yearsPage } from '../../pages/office/years-page';
import { ratesPage } from '../../pages/rates-page';
import { seasonPage } from '../../pages/season-page';
import { sheetPage } from '../../pages/sheet-page';
import { goalPage } from '../../pages/goal-page';
import { nitrogenPage } from '../../pages/nitrogen-page';
import { findFieldYear } from '../../stores/field-years';
import { listFields } from '../../stores/fields';
import { World } from '../../api/api.test-help';

let world: World;
let field: string;
beforeEach(() => {
	world = new World();
	fillBook(world.book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
	field = listFields(world.book).find(({ name }) => name === 'Mill Strip')!.id;
});
const desk = () => new Desk(world.book, libraryOf(world.book, theLibrary()), '2026-11-23');
const at = (year: number) => ({ field, year: String(year) });
const soybean = { id: 'soybean', yieldGoal: 30, plantingDate: '2026-07-02' };
const set = (secondCrop: object | null, year = 2026) =>
	world.call('PUT /api/fields/{field}/{year}/second-crop', at(year), { secondCrop });

describe('a second crop', () => {
	it('has its rates beside those of the first, is on the sheet, and is undone', async () => {
		expect(ratesPage(desk(), at(2026)).second).toMatchObject({
			planted: undefined,
			summary: 'Second crop after the harvest: none'
		});
		expect((await set(soybean)).status).toBe(200);
		const { second, rows } = ratesPage(desk(), at(2026));
		expect(second).toMatchObject({
			summary: 'Second crop after the harvest: soybean, 30 bu/ac',
			both: 'Winter wheat and soybean',
			after: 'winter wheat'
		});
		const removal = second.rates.find(({ method }) => method === 'crop-removal/phosphorus')!;
		// IPNI removal, from memory: 30 bu x 0.73 lb.
		expect(removal.answer).toMatchObject({ applies: true, value: 30 * 0.73 });
		expect(removal.school).toBe('Replace removal');
		// A deficit of the exchange is made good with the first crop, and the adviser's curves are wheat's.
		expect(second.rates.filter(({ method }) => /^(cation-balance|own-curves)/.test(method))).toEqual([]);
		expect(second.own).toBe('Soybean fixes its own nitrogen: inoculate where it has not grown for years.');
		expect(second.lacking.join()).toContain('S by Soil and organic matter first');
		const potash = rows.find(({ nutrient }) => nutrient === 'K2O')!.opinions;
		expect(potash.some(({ bothYears }) => bothYears?.applies)).toBe(true);
		expect(JSON.stringify(sheetPage(desk(), at(2026)).draft?.crop)).toContain(
			'"second":{"name":"Soybean","yieldGoal":30,"yieldUnit":"bu/ac of 60 lb"}'
		);
		expect(undoable(world.book, field)!.label).toBe('Set soybean as second crop of 2026');
		undo(world.book, undoable(world.book, field)!.id);
		expect(ratesPage(desk(), at(2026)).second.planted).toBeUndefined();
	});

	it('takes off with its harvest, and stands in records and years', async () => {
		const phosphate = () => {
			const { ofYear } = bookPage(desk(), at(2026)).balance[0]!.nutrients.P2O5;
			return ofYear.applies ? ofYear.value : ofYear.reason;
		};
		const bare = phosphate() as number;
		await set(soybean);
		expect(bookPage(desk(), at(2026)).second).toMatchObject({
			name: 'Soybean',
			unit: 'bu/ac of 60 lb',
			planted: soybean
		});
		expect(phosphate()).toBe('the soybean harvest of 2026 is not in the book');
		await set({ ...soybean, harvestedYield: 27 });
		expect(phosphate()).toBeCloseTo(bare - 27 * 0.73, 9);
		const line = yearsPage(desk(), new URLSearchParams({ by: 'field', from: '2026', to: '2026' })).lines.find(
			({ fieldId }) => fieldId === field
		)!;
		expect(line.balance.P2O5).toBeCloseTo(bare - 27 * 0.73, 9);
		expect(line.costPerYield).toBeUndefined();
	});

	it('is what the next year comes after, by hand and in one step', async () => {
		await set(soybean);
		expect(goalPage(desk(), desk().fieldYear(at(2027))).lastCrop).toBe('soybean');
		const { advice, ...year } = desk().fieldYear(at(2027));
		expect(nitrogenPage(desk(), { ...year, advice }, advice!, 'us').lastYear).toMatchObject({
			applies: false,
			reason: 'two crops were grown in 2026'
		});
		await set(null);
		expect(undoable(world.book, field)!.label).toBe('Removed the second crop of 2026');
		expect(goalPage(desk(), desk().fieldYear(at(2027))).lastCrop).toBe('winter-wheat');
	});

	it('has nitrogen of its own: settled on, planned by its days, checked and on the sheet', async () => {
		const sunflower = { id: 'sunflower', yieldGoal: 1400, plantingDate: '2026-07-16' };
		// Planned in spring: no day of it is past.
		world.today = '2026-03-01';
		await set(sunflower);
		expect(ratesPage(desk(), at(2026)).second.nitrogen).toBeUndefined();
		const propose = () => world.call('POST /api/fields/{field}/{year}/programme', at(2026), {});
		const choose = (nutrient: string, ownRate: number) =>
			world.call('POST /api/fields/{field}/{year}/choices', at(2026), {
				choices: [{ nutrient, ownRate, reason: 'Usual here' }]
			});
		await choose('N', 70);
		const passes = () =>
			desk()
				.fieldYear(at(2026))
				.advice!.passes.map(({ plan }) => plan);
		const then = () => passes().filter(({ date }) => date >= '2026-07-09');
		await propose();
		expect(then()).toEqual([]);
		await set({ ...sunflower, nitrogen: { ownRate: 55, reason: 'Trial next door' } });
		expect(ratesPage(desk(), at(2026)).second.nitrogen).toMatchObject({
			by: 'the adviser',
			why: 'Trial next door',
			rate: { value: 55 }
		});
		const totals = () =>
			desk()
				.fieldYear(at(2026))
				.advice!.checks()
				.filter(({ rule }) => rule === 'totals')
				.map(({ text }) => text);
		expect(totals().join()).toContain('N for sunflower: the passes supply 0 lb, 55 lb short of the chosen 55 lb.');
		const first = passes();
		await propose();
		expect(passes().length).toBe(first.length + then().length);
		expect(then().map(({ label, date }) => label.endsWith(', sunflower') && date >= '2026-07-09')).not.toContain(false);
		expect(then().length).toBeGreaterThan(0);
		expect(totals().join()).not.toContain('N for sunflower');
		const { secondN, totals: carried } = seasonPage(desk(), at(2026), null).season!;
		expect(secondN).toMatchObject({ name: 'N for sunflower', wanted: { rate: { value: 55 } }, carried: { value: 55 } });
		expect(carried.find(({ label }) => label === 'N')).toMatchObject({ value: expect.closeTo(70, 6) as number });
		expect(sheetPage(desk(), at(2026)).draft?.rates.at(-1)).toMatchObject({
			nutrient: 'N',
			secondCrop: 'Sunflower',
			why: 'Trial next door'
		});
		// Without a choice what was planned for it stays when the first is proposed anew.
		await set(sunflower);
		await propose();
		expect(then().length).toBeGreaterThan(0);
	});
	it('has its nitrogen by a guide as the goal and the crop before it have it', async () => {
		const corn = (yieldGoal: number) => ({
			id: 'corn-grain',
			yieldGoal,
			plantingDate: '2026-07-16',
			nitrogen: { method: 'tri-state-1995/nitrogen' }
		});
		const settled = () => ratesPage(desk(), at(2026)).second;
		await set(corn(120));
		// E-2567, from memory: -27 + 1.36 x 120, no credit after wheat.
		expect(settled().nitrogen).toMatchObject({
			rate: { value: expect.closeTo(136.2, 9) as number },
			by: 'Tri-state guide 1995'
		});
		// Sulfur by its share of the nitrogen goes by that of the corn: 10 to 1.
		const sulfur = settled().rates.filter(({ nutrient, title }) => nutrient === 'S' && title.includes('10:1'));
		expect(sulfur.map(({ answer }) => answer)).toEqual([
			expect.objectContaining({ value: expect.closeTo(13.62, 9) as number })
		]);
		await set(corn(100));
		expect(settled().nitrogen).toMatchObject({ rate: { value: 109 } });
		await set({ ...corn(100), nitrogen: { method: 'northern-plains/nitrogen' } });
		expect(settled()).toMatchObject({ nitrogen: undefined, lapsed: true });
	});

	it('runs on in the season model where its uptake is known, and says why not where it is not', async () => {
		const after = () => {
			const season = seasonPage(desk(), at(2026), null).season!;
			return { ...season.after!, named: season.second?.name };
		};
		await set(soybean);
		const reason = 'the season model does not know how soybean takes nitrogen up';
		expect(after()).toMatchObject({ named: 'Soybean', second: { applies: false, reason } });
		await set({ id: 'sunflower', yieldGoal: 1400 });
		expect(after().second).toMatchObject({ reason: 'the day on which it is planted is not known' });
		await set({ id: 'sunflower', yieldGoal: 1400, plantingDate: '2026-07-16' });
		const grown = after().second!;
		expect(grown.applies && grown.caught.name).toBe('Sunflower');
		const rye = (sownOn: string) =>
			world.call('PUT /api/fields/{field}/{year}/catch-crop', at(2026), {
				catchCrop: { crop: 'cereal-rye', sownOn, endedOn: '2027-05-05' }
			});
		await rye('2026-11-01');
		expect(after()).toMatchObject({ applies: false, reason: expect.stringContaining('2026-11-') as string });
		await rye('2026-11-25');
		const caught = after();
		expect(caught.applies && caught.caught.name).toBe('Cereal rye');
		expect(caught.second).toEqual(grown);
		await set(soybean);
		expect(after()).toMatchObject({ applies: false, reason: `of the second crop before it, ${reason}` });
	});
});

it.each([
	['outside its year', { ...soybean, plantingDate: '2027-07-02' }, '/secondCrop/plantingDate'],
	['that stands for years', { ...soybean, id: 'apple' }, 'must be an annual after an annual'],
	[
		'by a method that gives it no nitrogen',
		{ ...soybean, nitrogen: { method: 'tri-state-1995/nitrogen' } },
		'no guide does'
	],
	['by an own rate without a reason', { ...soybean, nitrogen: { ownRate: 40 } }, '/secondCrop/nitrogen'],
	['that nobody can harvest', { ...soybean, harvestedYield: 900 }, '/secondCrop/harvestedYield']
])('a second crop %s is refused, and nothing is written', async (_, secondCrop, said) => {
	const before = world.everything();
	const answer = await set(secondCrop);
	expect([answer.status, JSON.stringify(await answer.json())]).toEqual([422, expect.stringContaining(said)]);
	expect(world.everything()).toBe(before);
});

it('the demo has soybean after wheat', () => {
	field = listFields(world.book).find(({ name }) => name === 'Long Meadow')!.id;
	expect(findFieldYear(world.book, field, 2027)?.second_crop).toContain('soybean');
	expect(bookPage(desk(), at(2024)).balance[0]!.crop).toBe('Winter wheat, then soybean');
});
