import { beforeEach, expect, test } from 'vitest';
import type { Pass, Product } from '../../../core/schema-types';
import { World } from '../api/api.test-help';
import { DECISION_EXAMPLE } from '../api/examples';
import { findFieldYear, listPasses } from '../stores/field-years';
import { keepOwnProducts, listOwnProducts, removeOwnProduct } from '../stores/own-products';

const brew: Product = {
	id: 'own-brew',
	name: 'Brew',
	state: 'liquid',
	densityLbPerGal: 10.6,
	analysis: { N: 28 },
	placements: ['broadcast'],
	hazards: [],
	basis: 'adviser',
	own: true
};
const weighed: Product = { ...brew };
delete weighed.densityLbPerGal;
const pass: Pass = {
	id: 'new',
	date: '2027-05-01',
	label: 'Brew',
	product: brew.id,
	rate: 20,
	unit: 'gal/ac',
	placement: 'broadcast',
	reason: ''
};

const YEAR = '/api/fields/{field}/{year}';
let world: World;
const send = async (key: string, body: object) => {
	const response = await world.call(key, world.own, body);
	expect([response.status, await response.clone().text()]).toEqual([200, expect.any(String)]);
};
const lay = (asGallons: boolean) => (asGallons ? pass : { ...pass, rate: 200, unit: 'lb/ac' as const });

beforeEach(async () => {
	world = await World.make();
	keepOwnProducts(world.book, [brew], 'Put Brew into the catalogue');
});

const PLANS: [string, (one: Pass) => Promise<void>][] = [
	['a plan', (one) => send(`POST ${YEAR}/passes`, { removed: [], added: [one] })],
	[
		'a decision',
		(one) => send(`POST ${YEAR}/decisions`, { ...DECISION_EXAMPLE, pass: { ...one, date: '2027-06-15' } })
	],
	[
		'a plan saved beside it',
		async (one) => {
			await send(`POST ${YEAR}/passes`, { removed: [], added: [one] });
			await send(`POST ${YEAR}/decisions`, { ...DECISION_EXAMPLE, pass: { ...one, date: '2027-06-15' } });
			await send(`POST ${YEAR}/kept-plans`, { name: 'With brew' });
			world.book.exec("DELETE FROM pass WHERE plan ->> '$.product' = 'own-brew'; DELETE FROM decision");
		}
	]
];

test.each(PLANS)('%s keeps its product, and its density where it goes by gallons', async (_what, plan) => {
	await plan(lay(true));
	expect(() => removeOwnProduct(world.book, brew)).toThrow('Brew stands in a plan; remove those passes first.');
	expect(() => keepOwnProducts(world.book, [weighed], 'Changed')).toThrow(
		'Brew is planned or recorded in gal/ac, so it needs its density.'
	);
	expect(listOwnProducts(world.book)).toContainEqual(brew);
});

test('a product that goes by pounds may lose its density, and one that nothing names may go', async () => {
	await PLANS[0]![1](lay(false));
	keepOwnProducts(world.book, [weighed], 'Changed');
	expect(listOwnProducts(world.book)).toContainEqual(weighed);
	const year = findFieldYear(world.book, world.own.field!, Number(world.own.year))!;
	const { id } = listPasses(world.book, year.id).find(({ plan }) => plan.product === brew.id)!.plan;
	await send(`POST ${YEAR}/passes`, { removed: [id], added: [] });
	removeOwnProduct(world.book, weighed);
	expect(listOwnProducts(world.book).map(({ name }) => name)).not.toContain('Brew');
});
