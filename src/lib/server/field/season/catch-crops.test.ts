// A catch crop of a year, set through the operation that the page calls: what the season, the records and the next year say of it.
import { readFileSync } from 'node:fs';
import { beforeEach, expect, it } from 'vitest';
import { undo, undoable } from '../../book/act';
import { fillBook } from '../../book/fill-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { seasonRequestOf } from './season-run';
import { theLibrary } from '../../knowledge';
import { bookPage } from '../../pages/book-page';
import { seasonPage } from '../../pages/season-page';
import { setNitrogenTerms, findFieldYear } from '../../stores/field-years';
import { listFields } from '../../stores/fields';
import { World } from '../../api/api.test-help';

let world: World;
let field: string;
beforeEach(() => {
	world = new World();
	fillBook(world.book, JSON.parse(readFileSync('demo/district.json', 'utf8')));
	field = listFields(world.book).find(({ name }) => name === 'Brick Kiln')!.id;
});
const desk = () => new Desk(world.book, libraryOf(world.book, theLibrary()), '2026-11-23');
const at = (year: number) => ({ field, year: String(year) });
const rye = { crop: 'cereal-rye', sownOn: '2026-10-01', endedOn: '2027-04-20' };
const set = (catchCrop: object | null) =>
	world.call('PUT /api/fields/{field}/{year}/catch-crop', at(2026), { catchCrop });
const coverOf2027 = () => {
	const { advice } = desk().fieldYear(at(2027));
	return seasonRequestOf(advice!, 'normal', 'us').soil.coverKilledOn;
};

it('stands in season and records with what it catches, ties nitrogen up in the next year, and is undone', async () => {
	expect(bookPage(desk(), at(2026)).catchCrop).toBeUndefined();
	expect((await set(rye)).status).toBe(200);
	const { season } = seasonPage(desk(), at(2026), null);
	const { after } = season!;
	if (!after?.applies) throw new Error('it says nothing');
	// What is left is what the board's own year leaves at harvest.
	const wet = seasonPage(desk(), at(2026), 'wet').season!.after!;
	expect(wet.applies && wet.caught.caught).not.toBe(after.caught.caught);
	expect(after.caught.caught).toBeGreaterThan(5);
	expect(after.caught.lost).toBeLessThan(after.caught.lostWithout);
	expect(bookPage(desk(), at(2026)).catchCrop).toMatchObject({ sown: rye, after: { caught: after.caught } });
	expect(coverOf2027()).toBe('2027-04-20');
	const goal = findFieldYear(world.book, field, 2027)!;
	setNitrogenTerms(world.book, goal, { coverKilledOn: '2027-04-10' });
	expect(coverOf2027()).toBe('2027-04-10');
	undo(world.book, undoable(world.book, field)!.id);
	await set(null);
	expect(coverOf2027()).toBeUndefined();
	expect(undoable(world.book, field)!.label).toBe('Removed the catch crop after the 2026 harvest');
});
it.each([
	['before the crop of the year', { ...rye, sownOn: '2026-01-01' }, 'must lie after the crop of the year'],
	['that nobody knows', { ...rye, crop: 'moss' }, 'is no catch crop of the model'],
	['that ends before it is sown', { ...rye, endedOn: '2026-09-01' }, 'must lie within 300 days']
])('%s is refused, and nothing is written', async (_, catchCrop, said) => {
	const before = world.everything();
	const answer = await set(catchCrop);
	expect([answer.status, JSON.stringify(await answer.json())]).toEqual([422, expect.stringContaining(said)]);
	expect(world.everything()).toBe(before);
});
it('sown before the model’s harvest, or after a crop whose uptake is not known, says why nothing is worked out', async () => {
	await set({ ...rye, sownOn: '2026-08-01' });
	expect(seasonPage(desk(), at(2026), null).season!.after).toMatchObject({
		applies: false,
		reason: expect.stringContaining('must lie after the crop of the year') as string
	});
	const soybean = { crop: 'cereal-rye', sownOn: '2027-10-05', endedOn: '2028-04-20' };
	await world.call('PUT /api/fields/{field}/{year}/catch-crop', at(2027), { catchCrop: soybean });
	expect(seasonPage(desk(), at(2027), null).season!.after).toMatchObject({
		applies: false,
		reason: 'the season model does not know how soybean takes nitrogen up'
	});
});
it('legumes after the harvest are next year’s legume cover, credited once their stand is known', async () => {
	const { advice: before } = desk().fieldYear(at(2027));
	await set({ ...rye, crop: 'legume-cover' });
	const cover2027 = () => {
		const { advice } = desk().fieldYear(at(2027));
		const { soil } = seasonRequestOf(advice!, 'normal', 'us');
		return { typed: advice!.site.nitrogen.legumeCover, soil };
	};
	expect(cover2027().typed).toEqual({ killedOn: '2027-04-20' });
	expect([cover2027().soil.coverKilledOn, cover2027().soil.legumeCover]).toEqual([undefined, undefined]);
	const legumeCover = { dryMatterLbAc: 3000, left: 'incorporated' };
	await world.call('PUT /api/fields/{field}/{year}/nitrogen', at(2027), { legumeCover });
	expect(cover2027().typed).toEqual({ killedOn: '2027-04-20', ...legumeCover });
	// 3,000 lb x 3.5 % x 50 %.
	expect(cover2027().soil.legumeCover).toEqual({
		killedOn: '2027-04-20',
		nitrogenLbAc: expect.closeTo(52.5, 9) as number
	});
	expect(before!.site.coverNitrogen).toBeUndefined();
});
it('the demo has rye after corn', () => {
	field = listFields(world.book).find(({ name }) => name === 'Upper Saltlick')!.id;
	expect(bookPage(desk(), at(2026)).catchCrop?.after.applies).toBe(true);
});
