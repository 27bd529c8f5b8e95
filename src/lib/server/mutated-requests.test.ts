import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shiftDate } from '../../core/season/weather/season-weather';
import { isDay } from '../../core/units/day-text';
import { entriesOf } from '../../core/check/typed-object';
import type { Desk, FieldAddress } from './desk';
import { bookPage } from './pages/book-page';
import { groundPage } from './pages/ground-page';
import { ratesPage } from './pages/rates-page';
import { readingPage } from './pages/reading-page';
import { seasonPage } from './pages/season-page';
import { sheetPage } from './pages/sheet-page';
import { supplyPage } from './pages/supply-page';
import { tanksPage } from './pages/tanks-page';
import { walkPage } from './pages/walk-page';
import { zonesPage } from './pages/zones-page';
import { listFields } from './stores/fields';
import { World, type Ids } from './api/api.test-help';
import type { Operation } from './api/operation';
import { OPERATIONS } from './api/table';

const REQUESTS = 1000;
/** After so many, accepted ones have changed too much of the book. */
const PER_BOOK = 125;
/** Every page of the field is opened about so often: whatever was let in must be shown. */
const PER_PAGES = 8;
const SEED = 20261130;

/** Values that no field of a body means, and some that a few do. */
const strange = fc.oneof(
	fc.json({ maxDepth: 2 }).map((text): unknown => JSON.parse(text)),
	fc.constantFrom<unknown>(
		...[-1, 0, 1e308, -1e308, 1e-320, 2 ** 53, 0.1, 2027, '2027-02-30', '1950-01-01', '=1+1', '9'.repeat(500)],
		...[
			'',
			null,
			[],
			{},
			'__proto__',
			'constructor',
			'a\u0000b',
			'\ud800',
			'../../etc',
			'none',
			true,
			'2027-06-14',
			'lb/ac'
		],
		// Right somewhere, and seldom here.
		...[
			'gal/ac',
			'short ton/ac',
			'urea',
			'uan-28',
			'ag-lime',
			'leaf',
			'seed row',
			'soybean',
			'winter-wheat',
			'almond',
			'N',
			'lime'
		]
	),
	fc.string({ maxLength: 20, unit: 'binary' })
);

interface Mutation {
	at: number;
	how: 'replaced' | 'left out' | 'repeated' | 'more' | 'scaled' | 'moved on';
	value: unknown;
	/** For a number, times so much; for a day, so many days on. */
	times: number;
}
const mutation: fc.Arbitrary<Mutation> = fc.record({
	at: fc.nat({ max: 10_000 }),
	how: fc.constantFrom('replaced', 'left out', 'repeated', 'more', 'scaled', 'scaled', 'moved on'),
	value: strange,
	times: fc.constantFrom(-1, 0, 0.001, 0.5, 1.9, 30, 400, 1e6)
});
const request = fc.record({
	operation: fc.nat({ max: 10_000 }),
	mutations: fc.array(mutation, { minLength: 1, maxLength: 4 }),
	/** What stands in the address in place of an id, now and then. */
	id: fc.option(fc.record({ at: fc.nat({ max: 10 }), value: fc.string({ minLength: 1, maxLength: 12 }) }), { freq: 6 }),
	query: fc.string({ maxLength: 12 })
});

/** Every place in a body that holds something, as what it is in and under what name. */
function placesIn(body: unknown): [Record<string, unknown>, string][] {
	if (typeof body !== 'object' || body === null) return [];
	const holder = body as Record<string, unknown>;
	return Object.keys(holder).flatMap((key) => [[holder, key] as [typeof holder, string], ...placesIn(holder[key])]);
}

function mutate(body: unknown, mutations: readonly Mutation[]): unknown {
	const root = { body: structuredClone(body) };
	for (const { at, how, value, times } of mutations) {
		const places = placesIn(root);
		const [holder, key] = places[at % places.length]!;
		const here = holder[key];
		if (how === 'scaled') {
			if (typeof here === 'number') holder[key] = here * times;
		} else if (how === 'moved on') {
			if (typeof here === 'string' && isDay(here)) holder[key] = shiftDate(here, Math.round(times));
		} else if (how === 'replaced') holder[key] = value;
		else if (how === 'repeated' && Array.isArray(here)) holder[key] = [...here, ...here, ...here];
		else if (how === 'more' && typeof here === 'object' && here !== null) Object.assign(here, { 'not-there': value });
		else if (holder !== root) Reflect.deleteProperty(holder, key);
	}
	return root.body;
}

// Files go to their readers: files/mutated-files.test.ts; copies need a book in a file.
const CALLED = (OPERATIONS as readonly Operation[]).filter(
	({ key, file }) => !file && !/ \/api\/(backups|book)(\/|$)/.test(key)
);

test(`of ${REQUESTS} mutated requests none breaks the program, and none that is refused writes to the book`, async () => {
	const statuses: Record<number, number> = {};
	let world!: World;
	let before = '';
	for (const [run, one] of fc.sample(request, { numRuns: REQUESTS, seed: SEED }).entries()) {
		if (run % PER_BOOK === 0) {
			world = await World.make();
			before = world.everything();
		}
		const operation = CALLED[one.operation % CALLED.length]!;
		const ids = withOther(world.own, one.id);
		const body = operation.body && mutate(world.exampleOf(operation, world.own), one.mutations);
		const query = operation.query ? `?${Object.keys(operation.query)[0]}=${encodeURIComponent(one.query)}` : '';
		const told = `${operation.key}${query} ${JSON.stringify(ids === world.own ? {} : ids)} ${JSON.stringify(body)}`;
		const changes = world.changes();
		const response = await world.call(operation.key, ids, body, { query }).catch((error: unknown) => {
			throw new Error(`run ${run}: ${told}`, { cause: error });
		});
		const answer = await response.text();
		statuses[response.status] = (statuses[response.status] ?? 0) + 1;
		expect(answer, told).not.toMatch(/:(NaN|-?Infinity)\b/);
		if (world.changes() === changes) continue;
		const after = world.everything();
		if (!response.ok) expect(after === before, `${told}: ${response.status}, and yet something was written`).toBe(true);
		before = after;
		if (run % PER_PAGES === 0) openPages(world, told);
	}
	// They reach past the schemas, and are not all let in.
	expect(statuses[200]).toBeGreaterThan(50);
	expect(statuses[409]).toBeGreaterThan(10);
	expect(statuses[422]).toBeGreaterThan(250);
});

const PAGES = {
	bookPage,
	groundPage,
	ratesPage,
	readingPage,
	seasonPage: (desk: Desk, address: FieldAddress) => seasonPage(desk, address, null),
	sheetPage,
	supplyPage,
	tanksPage,
	walkPage,
	zonesPage
};

function openPages(world: World, told: string): void {
	// Some requests remove the field itself; then there is nothing to open.
	if (!listFields(world.book).some(({ id }) => id === world.own.field)) return;
	for (const [name, page] of entriesOf(PAGES)) {
		try {
			page(world.desk(), { field: world.own.field!, year: world.own.year! });
		} catch (error) {
			throw new Error(`${name} after ${told}`, { cause: error });
		}
	}
}

function withOther(own: Ids, id: { at: number; value: string } | null): Ids {
	if (!id) return own;
	const names = Object.keys(own);
	return { ...own, [names[id.at % names.length]!]: id.value };
}
