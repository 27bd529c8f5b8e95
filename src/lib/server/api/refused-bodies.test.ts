import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from 'vitest';
import { World } from './api.test-help';
import { PASS_EXAMPLE, SQUARE, SURFACE_SAMPLE } from './examples';

const FIELD = '/api/fields/{field}';
const YEAR = `${FIELD}/{year}`;
let world: World;
beforeEach(async () => {
	world = await World.make();
});

interface Refused {
	status: number;
	message: string;
	problems: { path: string; message: string }[];
}

async function refused(key: string, body: unknown, own: Record<string, string> = {}): Promise<Refused> {
	const response = await world.call(key, { ...world.own, ...own }, body);
	return { status: response.status, ...((await response.json()) as Omit<Refused, 'status'>) };
}

/** Operation, what is wrong, body, status, path of the problem or words of the message. */
type Case = [key: string, what: string, body: unknown, status: number, says: string];

const GOAL = { crop: 'corn-grain', yieldGoal: 150 };
const MANURE = { name: 'Barn', kind: 'dairy-manure', handling: 'surface', totalN: 10, p2o5: 5, k2o: 9 };
const PRODUCT = {
	id: 'new',
	name: 'Pond ash',
	state: 'dry',
	analysis: { K2O: 5 },
	placements: ['broadcast'],
	hazards: [],
	basis: 'adviser'
};
const CURVE = {
	id: 'x',
	title: 'X',
	crop: 'corn-grain',
	curve: { model: 'quadratic', coefficients: { a: 90, b: 0.8, c: 0.002 } },
	lowestRate: 0,
	highestRate: 240,
	basis: 'measured',
	source: 'strips'
};
const plan = (change: object) => ({ removed: [], added: [{ ...PASS_EXAMPLE, ...change }] });

const CASES: Case[] = [
	[`PUT ${YEAR}/goal`, 'a yield that no corn has', { ...GOAL, yieldGoal: 9000 }, 422, '/yieldGoal'],
	[`PUT ${YEAR}/goal`, 'a planting day of another year', { ...GOAL, plantingDate: '2029-05-01' }, 422, '/plantingDate'],
	[`PUT ${YEAR}/goal`, 'a crop that is none', { ...GOAL, crop: 'kelp' }, 422, '/crop'],
	[`PUT ${YEAR}/harvest`, 'a harvest before planting', { harvestedYield: 150 }, 422, '/harvestedYield'],
	[`PUT ${YEAR}/done`, 'a day to come', { pass: 'pass-1', doneOn: '2026-11-24' }, 422, '/doneOn'],
	[`PUT ${YEAR}/harvest`, 'a harvest that no corn has', { harvestedYield: 1310 }, 422, '/harvestedYield'],
	[`PUT ${YEAR}/next-crop`, 'a goal that no soybean has', { crop: 'soybean', yieldGoal: 900 }, 422, '/yieldGoal'],
	[`PUT ${YEAR}/next-crop`, 'a crop without its goal', { crop: 'soybean' }, 422, ''],
	[`PUT ${YEAR}/liming`, 'a lime that is none', { product: 'urea' }, 409, '“urea” is no lime'],
	[`PUT ${YEAR}/nitrogen`, 'pounds below nothing', { manureN: -1 }, 422, '/manureN'],
	[
		`POST ${YEAR}/choices`,
		'a method that says nothing here',
		{ choices: [{ nutrient: 'N', method: 'no/such' }] },
		409,
		'gives no rate for N here'
	],
	[
		`POST ${YEAR}/choices`,
		'an own rate without its reason',
		{ choices: [{ nutrient: 'N', ownRate: 90 }] },
		422,
		'/choices/0'
	],
	[`POST ${YEAR}/choices`, 'no choice', { choices: [] }, 422, '/choices'],
	[
		`POST ${YEAR}/crop-tests`,
		'a test without its day',
		{ kind: 'nitrate', found: { nitratePpm: 9, depthIn: 12 } },
		422,
		'/found/date'
	],
	[`POST ${YEAR}/passes`, 'a day outside the season', plan({ date: '2031-04-20' }), 422, '/added/0/date'],
	[`POST ${YEAR}/passes`, 'a product that is none', plan({ product: 'dust' }), 422, '/added/0/product'],
	[`POST ${YEAR}/passes`, 'gallons of what has no density', plan({ unit: 'gal/ac' }), 422, '/added/0/unit'],
	[`POST ${YEAR}/passes`, 'a rate of nothing', plan({ rate: 0 }), 422, '/added/0/rate'],
	[`PUT ${YEAR}/done`, 'a day outside the season', { pass: 'pass-1', doneOn: '2019-04-20' }, 422, '/doneOn'],
	[`POST ${YEAR}/programme`, 'a method that places nothing', { placed: 'tri-state-1995/nitrogen' }, 409, ''],
	[`PUT ${FIELD}/boundary`, 'a boundary that crosses itself', { boundary: crossing() }, 422, '/boundary'],
	[
		`PUT ${FIELD}/zones`,
		'a zone outside the field',
		{ zones: [{ name: 'Away', shape: moved(5), facts: {} }] },
		422,
		'Away'
	],
	[
		`PUT ${FIELD}/zones`,
		'two zones of one name',
		{ zones: ['Low', 'low'].map((name) => ({ name, shape: SQUARE, facts: {} })) },
		409,
		'name of its own'
	],
	[
		`PUT ${FIELD}/zones/facts`,
		'a zone that is none',
		{ zone: 'Away', facts: {}, year: 2027 },
		409,
		'no zone named Away'
	],
	[`PUT ${FIELD}/zones/facts`, 'a goal without its year', { zone: 'Bottom', facts: { yieldGoal: 90 } }, 422, '/year'],
	[
		`POST ${FIELD}/layers`,
		'a point outside the field',
		{ layer: { name: 'P', quantity: 'P', unit: 'ppm', points: [[9, 9, 1]] } },
		422,
		'/layer/points/0'
	],
	[`PUT ${FIELD}/samples/{sample}`, 'a layer upside down', upsideDown(), 422, '/report/layers/0/bottom'],
	[`POST ${FIELD}/samples`, 'a layer upside down', upsideDown(), 422, '/report/layers/0/bottom'],
	[
		`PUT ${FIELD}/facts`,
		'the name of another field',
		{ name: 'Crow Acre', irrigated: false, note: '' },
		409,
		'already has a field named Crow Acre'
	],
	[
		'POST /api/fields',
		'a field that is there',
		{ name: 'Crow Acre', grower: 'Tarrow & Daughters' },
		409,
		'already has a field'
	],
	['PATCH /api/prices', 'a thing that is none', { prices: { 'product:dust': 5 } }, 422, '/prices/product:dust'],
	['PATCH /api/prices', 'a price below nothing', { prices: { 'product:urea': -5 } }, 422, '/prices/product:urea'],
	['POST /api/products', 'a shipped name', { product: { ...PRODUCT, name: 'Urea 46-0-0' } }, 422, '/product/name'],
	[
		'POST /api/products',
		'more than all of it',
		{ product: { ...PRODUCT, analysis: { N: 60, K2O: 60 } } },
		422,
		'/product/analysis'
	],
	[
		'POST /api/products/file',
		'a file without own products',
		{ csv: 'id,name,state,N,placements\nurea,Urea,dry,46,broadcast\n' },
		422,
		'file'
	],
	['POST /api/manure', 'a kind that is none', { ...MANURE, kind: 'dragon' }, 422, '/kind'],
	['POST /api/manure', 'a handling that is none', { ...MANURE, handling: 'thrown' }, 422, '/handling'],
	['POST /api/manure', 'more ammonium than nitrogen', { ...MANURE, ammoniumN: 11 }, 422, '/ammoniumN'],
	['PUT /api/dealers', 'a product that is none', { product: 'dust', dealer: 'Elevator' }, 422, '/product'],
	['POST /api/orders/mix', 'one field alone', { year: 2027, fields: ['field-1'] }, 422, '/fields'],
	['POST /api/curves', 'a curve without a top', { curve: CURVE }, 422, '/curve/curve/coefficients/c'],
	['POST /api/guides', 'text that is no guide', { text: '{"id": ' }, 422, ''],
	[
		'POST /api/guides',
		'the id of a shipped guide',
		{ text: readFileSync('packs/tri-state-1995.json', 'utf8') },
		409,
		'comes with the program'
	],
	['PATCH /api/guides/{guide}', 'a guide that is none', { off: true }, 404, 'no such guide'],
	['POST /api/undo', 'a change that is none', { event: 999_999 }, 409, 'no such change'],
	['PATCH /api/settings', 'a system that is none', { units: 'imperial' }, 422, '/units'],
	[
		'POST /api/weather',
		'a day that is none',
		{ name: 'W', latitude: 41, units: 'us', csv: 'date,min,max,rain\n2026-02-30,1,2,0\n' },
		422,
		'line 2'
	],
	['PUT /api/weather/station', 'a station that is none', { station: 'moon' }, 422, '/station'],
	[
		'PUT /api/weather/outlook',
		'rain below nothing',
		{ outlook: { from: '2026-11-23', rainMm: [-1] } },
		422,
		'/outlook'
	],
	['PUT /api/imports/{import}/draft', 'a draft of another shape', { lab: 'x' }, 422, '']
];

function crossing() {
	return {
		type: 'Polygon',
		coordinates: [
			[
				[-35, 41],
				[-34.99, 41.01],
				[-34.99, 41],
				[-35, 41.01],
				[-35, 41]
			]
		]
	};
}

function moved(degrees: number) {
	return { ...SQUARE, coordinates: [(SQUARE.coordinates[0] as number[][]).map(([x, y]) => [x! + degrees, y!])] };
}

function upsideDown() {
	const [layer] = SURFACE_SAMPLE.report.layers;
	return { ...SURFACE_SAMPLE, report: { ...SURFACE_SAMPLE.report, layers: [{ ...layer, top: 8, bottom: 6 }] } };
}

describe('a body that cannot be taken is refused with what is wrong, and nothing is kept', () => {
	it.each(CASES)('%s: %s', async (key, what, body, status, says) => {
		const before = world.everything();
		const ids = JSON.parse(
			JSON.stringify(body).replaceAll('"pass-1"', `"${world.own.pass}"`).replaceAll('"field-1"', `"${world.own.field}"`)
		) as unknown;
		const answer = await refused(key, ids, what === 'a guide that is none' ? { guide: 'none' } : {});
		expect(answer.status, answer.message).toBe(status);
		if (status === 422) {
			expect(answer.problems.length).toBeGreaterThan(0);
			expect(answer.problems[0]!.path).toContain(says);
			expect(answer.problems[0]!.message.length).toBeGreaterThan(8);
		} else {
			expect(answer.message).toContain(says);
			expect(answer.problems).toEqual([]);
		}
		expect(world.everything()).toBe(before);
	});
});

describe('what is taken', () => {
	const row = (columns: string) =>
		world.book
			.prepare<[string], Record<string, unknown>>(
				`SELECT ${columns} FROM field_year WHERE field_id = ? AND year = 2027`
			)
			.get(world.own.field!);

	it('a next crop with its goal, and nothing again by an empty body', async () => {
		await world.call(`PUT ${YEAR}/next-crop`, world.own, { crop: 'soybean', yieldGoal: 55 });
		expect(row('next_crop, next_yield_goal')).toEqual({ next_crop: 'soybean', next_yield_goal: 55 });
		await world.call(`PUT ${YEAR}/next-crop`, world.own, {});
		expect(row('next_crop, next_yield_goal')).toEqual({ next_crop: null, next_yield_goal: null });
	});

	it('a goal as it was sent, and no column of another form', async () => {
		await world.call(`PUT ${YEAR}/liming`, world.own, { depthIn: 5, placement: 'surface' });
		await world.call(`PUT ${YEAR}/nitrogen`, world.own, { manureN: 20 });
		await world.call(`PUT ${YEAR}/goal`, world.own, {
			...GOAL,
			rowSpacingIn: 20,
			targetPh: 6.2,
			targetPhScale: 'cacl2'
		});
		expect(row('crop, yield_goal, row_spacing_in, target_ph, target_ph_scale, previous_crop')).toEqual({
			crop: 'corn-grain',
			yield_goal: 150,
			row_spacing_in: 20,
			target_ph: 6.2,
			target_ph_scale: 'cacl2',
			previous_crop: null
		});
		expect(row('lime_depth_in, lime_placement, nitrogen')).toEqual({
			lime_depth_in: 5,
			lime_placement: 'surface',
			nitrogen: '{"manureN":20}'
		});
	});

	it('hail leaves nothing: a harvest of 0 is one, null takes it back', async () => {
		world.today = '2027-10-20';
		await world.call(`PUT ${YEAR}/harvest`, world.own, { harvestedYield: 0 });
		expect(row('harvested_yield')).toEqual({ harvested_yield: 0 });
		await world.call(`PUT ${YEAR}/harvest`, world.own, { harvestedYield: null });
		expect(row('harvested_yield')).toEqual({ harvested_yield: null });
	});

	it('a method is a method for its own nutrient only', async () => {
		const choose = (nutrient: string) => ({ choices: [{ nutrient, method: 'crop-removal/potassium' }] });
		expect((await refused(`POST ${YEAR}/choices`, choose('P2O5'))).message).toContain('gives no rate for P2O5 here');
	});

	it('only what is named of the settings is changed', async () => {
		await world.call('PATCH /api/settings', world.own, { units: 'metric' });
		await world.call('PATCH /api/settings', world.own, { preparedBy: '  Ada Verhulst ' });
		const settings = world.book
			.prepare("SELECT id, value FROM setting WHERE id IN ('units', 'preparedBy') ORDER BY id")
			.all();
		expect(settings).toEqual([
			{ id: 'preparedBy', value: 'Ada Verhulst' },
			{ id: 'units', value: 'metric' }
		]);
	});

	it('a product of the same name is replaced and keeps its id; its price is kept by the day', async () => {
		const post = async (product: object) =>
			((await (await world.call('POST /api/products', world.own, { product })).json()) as { id: string }).id;
		const first = await post({ ...PRODUCT, name: 'Slag' });
		expect(first).toMatch(/^own-/);
		expect(await post({ ...PRODUCT, name: 'Slag', analysis: { K2O: 7 } })).toBe(first);
		const kept = world.book
			.prepare<[string], { product: string }>('SELECT product FROM own_product WHERE id = ?')
			.get(first)!;
		expect(JSON.parse(kept.product)).toMatchObject({ analysis: { K2O: 7 }, own: true, id: first });
		await world.call('PATCH /api/prices', world.own, { prices: { [`product:${first}`]: 80 } });
		expect(world.book.prepare('SELECT amount, since FROM price WHERE item = ?').all(`product:${first}`)).toEqual([
			{ amount: 80, since: '2026-11-23' }
		]);
	});

	it('the history says what was done, in the server’s words', async () => {
		const { pass } = world.own;
		const seen = (await refused(`POST ${YEAR}/passes`, { removed: [pass], added: [], seen: [] })) as unknown as {
			now: object[];
		};
		const [plan] = seen.now as [Record<string, unknown>];
		const actions: [string, object, string][] = [
			[
				`POST ${YEAR}/passes`,
				{ removed: [pass], added: [{ ...plan, date: '2027-04-25' }] },
				'Moved Urea before planting to 25 Apr 2027'
			],
			[`POST ${YEAR}/passes`, { removed: [pass], added: [{ ...plan, rate: 130 }] }, 'Changed Urea before planting'],
			[`PUT ${YEAR}/done`, { pass, doneOn: '2026-11-20' }, 'Recorded Urea before planting as applied'],
			[`PUT ${YEAR}/done`, { pass, doneOn: null }, 'Undid that Urea before planting was applied'],
			[`POST ${YEAR}/passes`, { removed: [pass], added: [] }, 'Removed Urea before planting'],
			[`PUT ${YEAR}/goal`, { ...GOAL, yieldGoal: 148 }, 'Set the goal for 2027'],
			[`PUT ${FIELD}/boundary`, { boundary: null }, 'Deleted the boundary'],
			['PUT /api/dealers', { product: 'urea', dealer: ' River Elevator ' }, 'Urea 46-0-0 comes from River Elevator'],
			['PUT /api/dealers', { product: 'urea', dealer: '' }, 'No dealer for Urea 46-0-0']
		];
		for (const [key, body, label] of actions) {
			expect((await world.call(key, world.own, body)).status, label).toBe(200);
			expect(world.book.prepare<[], { label: string }>('SELECT label FROM event ORDER BY id DESC').get()!.label).toBe(
				label
			);
		}
	});
});

describe('what hangs on what was done before', () => {
	it('a change is undone once, and not over a later one', async () => {
		const events = () =>
			world.book.prepare<[], { id: number; label: string }>('SELECT id, label FROM event ORDER BY id').all();
		world.today = '2027-10-20';
		await world.call(`PUT ${YEAR}/harvest`, world.own, { harvestedYield: 150 });
		const first = events().at(-1)!;
		expect(first.label).toBe('Recorded the 2027 harvest');
		await world.call(`PUT ${YEAR}/harvest`, world.own, { harvestedYield: 155 });
		expect((await refused('POST /api/undo', { event: first.id })).message).toContain('changed again since');
		expect((await world.call('POST /api/undo', world.own, { event: events().at(-1)!.id })).status).toBe(200);
		expect((await world.call('POST /api/undo', world.own, { event: first.id })).status).toBe(200);
		expect((await refused('POST /api/undo', { event: first.id })).message).toContain('already undone');
	});

	it('an applied pass is neither removed nor changed, until that is taken back', async () => {
		const { pass } = world.own;
		await world.call(`PUT ${YEAR}/done`, world.own, { pass, doneOn: '2026-11-20' });
		const remove = { removed: [pass], added: [] };
		expect((await refused(`POST ${YEAR}/passes`, remove)).message).toContain('was applied on 20 Nov 2026');
		await world.call(`PUT ${YEAR}/done`, world.own, { pass, doneOn: null });
		expect((await world.call(`POST ${YEAR}/passes`, world.own, remove)).status).toBe(200);
		expect((await refused(`POST ${YEAR}/passes`, remove)).message).toContain('removed meanwhile');
	});

	it('a product that a plan needs stays; a sample that came from a lab file can go, and its line says so', async () => {
		const { product } = world.own;
		await world.call(`POST ${YEAR}/passes`, world.own, plan({ product, label: 'Ash' }));
		expect((await refused('DELETE /api/products/{product}', undefined)).message).toContain('stands in a plan');
		await world.call('POST /api/imports/{import}/commit', world.own, {});
		const row = world.book.prepare<[], { sample_id: string }>('SELECT sample_id FROM lab_import_row').get()!;
		const sample = { ...world.own, sample: row.sample_id };
		expect((await world.call(`DELETE ${FIELD}/samples/{sample}`, sample)).status).toBe(200);
		const left = world.book.prepare("SELECT 1 FROM lab_import_row WHERE reason = 'its sample was removed later'");
		expect(left.all()).toHaveLength(1);
		expect((await refused('POST /api/imports/{import}/commit', {})).message).toContain('already in the book');
	});

	it('a simulated curve is chosen only by who says so; a year without a goal takes nothing', async () => {
		const bare = { ...world.own, year: '2031' };
		for (const [key, body] of [
			[`PUT ${YEAR}/harvest`, { harvestedYield: 150 }],
			[`PUT ${YEAR}/liming`, {}],
			[`POST ${YEAR}/choices`, { choices: [{ nutrient: 'S', ownRate: 9, reason: 'pale' }] }],
			[`POST ${YEAR}/programme`, {}]
		] as const) {
			expect((await refused(key, body, bare)).message, key).toContain('Set the crop and the yield goal first');
		}
		expect((await refused(`POST ${YEAR}/sheets`, {}, bare)).message).toContain('no sample, crop and goal');
		const simulated = world.book
			.prepare<[], { id: string }>(
				"SELECT id FROM response_curve WHERE curve ->> '$.simulated' = 1 AND curve ->> '$.crop' = 'corn-grain' LIMIT 1"
			)
			.get();
		if (!simulated) throw new Error('the demo has simulated curves');
		const choose = {
			choices: [{ nutrient: 'N', method: `own-curves/${simulated.id}` }],
			nitrogen: { objective: 'most-yield' }
		};
		const asked = await refused(`POST ${YEAR}/choices`, choose);
		expect(asked.status).toBe(409);
		expect(asked.message).toMatch(/simulated curve, measured on no field|gives no rate/);
	});

	it('sheets for many fields are all or nothing where one is not known, and told field by field else', async () => {
		const before = world.everything();
		const { field, otherField } = world.own;
		expect((await refused('POST /api/sheets', { year: 2027, fields: [field, 'none'] })).status).toBe(409);
		expect(world.everything()).toBe(before);
		const bare = world.book.prepare<[], { id: string }>("SELECT id FROM field WHERE name = 'Filbert Hill'").get()!.id;
		const response = await world.call('POST /api/sheets', world.own, { year: 2027, fields: [field, bare, otherField] });
		const { issued, left } = (await response.json()) as {
			issued: { field: string }[];
			left: { field: string; why: string }[];
		};
		expect(issued.map((one) => one.field)).toEqual(['Kingfisher Bend', 'Heronry']);
		expect(left).toEqual([{ id: bare, field: 'Filbert Hill', stops: 0, why: expect.stringMatching(/\w+/) as string }]);
	});
});
