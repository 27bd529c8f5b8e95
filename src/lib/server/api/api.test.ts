import SwaggerParser from '@apidevtools/swagger-parser';
import { beforeEach, describe, expect, it } from 'vitest';
import { validator } from '../../../core/check/validator';
import { World, type Ids } from './api.test-help';
import { methodAndPath, routeOf } from './path';
import { OPERATIONS } from './table';

let world: World;
beforeEach(async () => {
	world = await World.make();
});

interface Refused {
	message: string;
	problems: { path: string; message: string }[];
	now?: unknown;
}
const asRefusal = validator<Refused>('answers#/definitions/Refusal');
const refused = async (answer: Promise<Response> | Response) => {
	const response = await answer;
	return { status: response.status, ...asRefusal(await response.json()) };
};

describe('every operation, with its own example', () => {
	// Copies of a book need one in a file: book/copies.test.ts.
	const here = OPERATIONS.filter(({ key }) => !/ \/api\/(backups|book)(\/|$)/.test(key));
	it.each(here.map((operation) => [operation.key, operation] as const))('%s', async (_, operation) => {
		// A harvest is recorded once the crop stands.
		if (operation.key.endsWith('/harvest')) world.today = '2027-10-20';
		const before = world.everything();
		const response = await world.callExample(operation, world.own);
		const text = await response.text();
		expect([response.status, response.ok ? '' : text]).toEqual([200, '']);
		const answer: unknown = JSON.parse(text);
		const check = operation.answer?.check ?? validator('answers#/definitions/DoneAnswer');
		expect(() => check(answer)).not.toThrow();
		const { method } = methodAndPath(operation.key);
		if (method === 'GET') expect(world.everything()).toBe(before);
		else if (method !== 'POST') expect(world.everything()).not.toBe(before);
	});
});

describe('what an address or a body names belongs to its field and year', () => {
	const named = OPERATIONS.filter(({ key, names }) => /\{(sample|layer|test)\}/.test(key) || names);
	it.each(named.map((operation) => [operation.key, operation] as const))(
		'%s with ids of elsewhere',
		async (key, one) => {
			const { field, otherField, year, ...things } = world.foreign;
			// The own field's address with what belongs to the other field, then the own pass in another year.
			const crossed: Ids = { ...world.own, ...things };
			const ids = one.names && key.includes('{field}') ? crossed : key.includes('{field}') ? crossed : null;
			const before = world.everything();
			if (ids) {
				const answer = await refused(world.callExample(one, ids));
				expect([404, 409]).toContain(answer.status);
				expect(answer.message).toMatch(/There is no such|belongs to another field or year/);
			}
			const nowhere = { ...world.own, field: 'none', sample: 'none', layer: 'none', test: 'none', pass: 'none' };
			const lost = await refused(world.callExample(one, { ...nowhere, otherField: 'none' }));
			expect([404, 409]).toContain(lost.status);
			expect(world.everything()).toBe(before);
			expect([field, otherField, year]).not.toContain(undefined);
		}
	);

	it('another year of the same field is another year', async () => {
		await world.call(
			'PUT /api/fields/{field}/{year}/goal',
			{ ...world.own, year: '2026' },
			{ crop: 'soybean', yieldGoal: 50 }
		);
		const before = world.everything();
		for (const key of ['PUT /api/fields/{field}/{year}/done', 'POST /api/fields/{field}/{year}/prescriptions']) {
			const operation = OPERATIONS.find((one) => one.key === key)!;
			const answer = await refused(world.callExample(operation, { ...world.own, year: '2026' }));
			expect(answer).toMatchObject({ status: 409, message: 'This belongs to another field or year. Reload the page.' });
		}
		expect(world.everything()).toBe(before);
	});
});

describe('what cannot be answered', () => {
	const goal = 'PUT /api/fields/{field}/{year}/goal';
	it('has one shape, whatever it is', async () => {
		const type = { 'content-type': 'application/json' };
		const send = (init: RequestInit) => refused(world.call(goal, world.own, undefined, { init }));
		expect((await send({ headers: type, body: '{' })).status).toBe(400);
		expect((await send({ headers: { 'content-type': 'text/plain' }, body: '{}' })).status).toBe(415);
		expect((await send({ body: null })).status).toBe(415);
		expect((await send({ headers: type, body: `"${'x'.repeat(1024 * 1024)}"` })).status).toBe(413);
		const wrong = await send({ headers: type, body: '{"crop":"corn-grain","yieldGoal":-1}' });
		expect(wrong).toMatchObject({ status: 422, problems: [{ path: '/yieldGoal' }] });
		expect(await refused(world.call('GET /api/nothing', {}))).toMatchObject({ status: 404, problems: [] });
		expect(
			(await refused(world.call('GET /api/fields/{field}/{year}/seasons', { ...world.own, year: 'soon' }))).status
		).toBe(404);
	});

	it('says which methods an address knows', async () => {
		const response = await world.call('DELETE /api/settings', {});
		expect([response.status, response.headers.get('allow')]).toEqual([405, 'PATCH']);
		expect(asRefusal(await response.json()).message).toContain('knows PATCH; got DELETE');
	});

	it('a plain path goes before one with names', () => {
		const route = routeOf(OPERATIONS, 'GET', '/api/guides/fields');
		expect(route).toMatchObject({ operation: { key: 'GET /api/guides/fields' }, params: {} });
		expect(routeOf(OPERATIONS, 'GET', '/api/fields/%E0%A4%A/2027/seasons')).toEqual({ methods: [] });
	});

	it('what goes wrong by accident is no refusal: it is told as such, and not what it was', async () => {
		world.book.close();
		const seen: unknown[] = [];
		const { answerCall } = await import('./answer-call');
		const { Desk } = await import('../desk');
		const { theLibrary } = await import('../knowledge');
		const request = new Request('http://127.0.0.1/api/fields');
		const answer = await answerCall(OPERATIONS, request, new Desk(world.book, theLibrary(), ''), (error) =>
			seen.push(error)
		);
		expect(await refused(answer)).toMatchObject({ status: 500, problems: [] });
		expect(String(seen[0])).toContain('not open');
	});
});

describe('what was changed after the page was loaded', () => {
	const cases: [string, object, object][] = [
		['PUT /api/fields/{field}/facts', { name: 'Kingfisher Bend', irrigated: true, note: '' }, { note: 'wet' }],
		['PUT /api/fields/{field}/{year}/goal', { crop: 'corn-grain', yieldGoal: 150 }, { yieldGoal: 170 }],
		['PUT /api/fields/{field}/block', { block: { plantedYear: 2021 } }, { block: { plantedYear: 2019 } }],
		[
			'PUT /api/fields/{field}/{year}/block',
			{ blockYear: { budBreak: '2027-03-20' } },
			{ blockYear: { budBreak: '2027-03-28' } }
		],
		['PATCH /api/prices', { prices: { 'product:urea': 555 } }, { prices: { 'product:urea': 600 } }]
	];
	it.each(cases)('%s is refused with what stands now, and taken once that was seen', async (key, first, change) => {
		const seen = await standing(key, first);
		expect((await world.call(key, world.own, { ...first, seen })).status).toBe(200);
		const before = world.everything();
		const stale = await refused(world.call(key, world.own, { ...first, ...change, seen }));
		expect(stale.status).toBe(409);
		expect(stale.now).toEqual(partOf(first));
		expect(world.everything()).toBe(before);
		expect((await world.call(key, world.own, { ...first, ...change, seen: stale.now })).status).toBe(200);
	});

	it('the irrigation of a year that was changed meanwhile is not written over', async () => {
		const key = 'PUT /api/fields/{field}/{year}/irrigation';
		const of = (inches: number) => ({ source: world.own.source!, inchesByMonth: { 6: inches } });
		expect((await world.call(key, world.own, { irrigation: of(4) })).status).toBe(200);
		const stale = await refused(world.call(key, world.own, { irrigation: of(8), seen: null }));
		expect([stale.status, stale.now]).toEqual([409, of(4)]);
		expect((await world.call(key, world.own, { irrigation: null, seen: stale.now })).status).toBe(200);
		expect((await world.call(key, world.own, { irrigation: of(2), seen: null })).status).toBe(200);
	});

	/** What of a body can be seen: its prices, its block, else all of it. */
	function partOf(body: object): unknown {
		const [[name, part] = []] = Object.entries(body);
		return ['prices', 'block', 'blockYear'].includes(name ?? '') ? part : body;
	}

	/** What a page would have shown: it is what a request with something else is answered with. */
	async function standing(key: string, body: object): Promise<unknown> {
		const seen =
			'prices' in body
				? { 'product:urea': -1 }
				: 'blockYear' in body
					? { budBreak: '2027-01-01' }
					: 'block' in body
						? { plantedYear: 1990 }
						: 'crop' in body
							? null
							: { name: 'x', irrigated: false, note: '' };
		return (await refused(world.call(key, world.own, { ...body, seen }))).now;
	}

	it('a pass that was moved elsewhere is neither changed nor recorded as applied', async () => {
		const passes = 'POST /api/fields/{field}/{year}/passes';
		const { pass } = world.own;
		const probe = await refused(world.call(passes, world.own, { removed: [pass], added: [], seen: [] }));
		const [plan] = probe.now as [Record<string, unknown>];
		const moved = { ...plan, date: '2027-04-25' };
		expect((await world.call(passes, world.own, { removed: [pass], added: [moved], seen: [plan] })).status).toBe(200);
		const late = { removed: [pass], added: [{ ...plan, rate: 90 }], seen: [plan] };
		expect(await refused(world.call(passes, world.own, late))).toMatchObject({ status: 409, now: [moved] });
		const done = { pass, doneOn: '2026-11-20', seen: plan };
		expect((await refused(world.call('PUT /api/fields/{field}/{year}/done', world.own, done))).now).toEqual(moved);
		expect((await world.call('PUT /api/fields/{field}/{year}/done', world.own, { ...done, seen: moved })).status).toBe(
			200
		);
	});

	it('zones that were drawn anew elsewhere are not replaced, nor is what is known of one', async () => {
		const zones = OPERATIONS.find(({ key }) => key === 'PUT /api/fields/{field}/zones')!;
		const body = { ...(zones.example as object), year: 2027 };
		const { now: seen } = await refused(world.call(zones.key, world.own, { ...body, seen: [] }));
		expect((await world.call(zones.key, world.own, { ...body, seen })).status).toBe(200);
		const stale = await refused(world.call(zones.key, world.own, { ...body, seen }));
		expect(stale).toMatchObject({ status: 409, now: [{ facts: {} }] });
		expect(stale.now).not.toEqual(seen);
		const facts = { zone: 'Bottom', facts: { values: { P: 9 } }, year: 2027, seen: { values: { P: 8 } } };
		expect((await refused(world.call('PUT /api/fields/{field}/zones/facts', world.own, facts))).now).toEqual({});
	});

	it('a sheet is issued once, and not where the draft says something else by now', async () => {
		const sheets = 'POST /api/fields/{field}/{year}/sheets';
		const [one, two] = await Promise.all([1, 2].map(async () => (await world.call(sheets, world.own, {})).json()));
		expect(two).toEqual({ ...(one as object), again: true });
		expect((await refused(world.call(sheets, world.own, { seen: 'another' }))).status).toBe(409);
	});
});

describe('the description of the API', () => {
	it('is a valid OpenAPI 3.1 document with every operation', async () => {
		const described = (await (await world.call('GET /api', {})).json()) as { paths: Record<string, object> };
		const document = structuredClone(described);
		await SwaggerParser.validate(document as never);
		const keys = Object.entries(described.paths).flatMap(([path, methods]) =>
			Object.keys(methods).map((method) => `${method.toUpperCase()} ${path}`)
		);
		expect(keys.sort()).toEqual(OPERATIONS.map(({ key }) => key).sort());
	});

	it('is kept in docs as it is served', async () => {
		// Written anew by `npx vitest run src/lib/server/api -u`.
		const described: unknown = await (await world.call('GET /api', {})).json();
		await expect(`${JSON.stringify(described, null, '\t')}\n`).toMatchFileSnapshot('../../../../docs/openapi.json');
	});
});
