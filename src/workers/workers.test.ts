import { readFileSync } from 'node:fs';
import { describe, expect, it, vi } from 'vitest';
import type { OpenFields } from '../core/rates/open-fields';
import type { FitRequest, PlacedPoint } from '../core/schema-types';
import { cornRequest, library } from '../core/testing.test-help';
import type { Shape } from '../core/ground/shapes/shape';
import type { FitReply } from './fit-messages';
import type { GroundReply } from './ground-messages';
import type { GuideAnswer } from './guide-messages';
import type { StressReply } from './stress-messages';

/** What a worker sees of the page: where it hears, and where it answers. */
interface Scope<Reply> {
	onmessage: (event: { data: unknown }) => void;
	postMessage: (reply: Reply) => void;
	replies: Reply[];
}
let scope: Scope<never>;

/** Loads a worker afresh, in a scope of its own. */
async function start<Reply>(load: () => Promise<unknown>): Promise<Scope<Reply>> {
	vi.resetModules();
	const replies: Reply[] = [];
	const own = { onmessage: () => undefined, postMessage: (reply: Reply) => replies.push(reply), replies };
	vi.stubGlobal('self', own);
	await load();
	scope = own as never;
	return own as never;
}
const ask = (data: unknown) => scope.onmessage({ data });
/** Lets the steps between two answers run, until one of the kind has come. */
const until = (kind: string, replies: readonly { kind: string }[]) =>
	vi.waitFor(() => expect(replies.map((reply) => reply.kind)).toContain(kind), { timeout: 60_000, interval: 5 });

const FIELD: Shape = {
	type: 'Polygon',
	coordinates: [
		[
			[-35, 41],
			[-34.996, 41],
			[-34.996, 41.003],
			[-35, 41.003],
			[-35, 41]
		]
	]
};
/** Low in the west, high in the east. */
const POINTS: PlacedPoint[] = Array.from({ length: 30 }, (_, at) => {
	const [column, row] = [at % 6, Math.floor(at / 6)];
	return [-34.9997 + column * 0.0007, 41.0003 + row * 0.0006, column < 3 ? 10 + row * 0.1 : 40 + row * 0.1];
});

describe('the worker of surfaces and zones', () => {
	const load = () => import('./ground.worker');

	it('gives a surface with its error and its corners, and says what cannot be made', async () => {
		const { replies } = await start<GroundReply>(load);
		ask({ id: 1, kind: 'surface', boundary: FIELD, cellM: 20, points: POINTS, method: 'inverse distance' });
		ask({ id: 2, kind: 'surface', boundary: FIELD, cellM: 20, points: [], method: 'kriging' });
		const [made, none] = replies;
		if (made?.kind !== 'surface') throw new Error(JSON.stringify(made));
		const { bounds, columns, rows, values, points } = made.surface;
		expect([made.id, points, values.length]).toEqual([1, 30, columns * rows]);
		expect(bounds[0]).toBeLessThanOrEqual(-34.9999);
		expect(bounds[2]).toBeGreaterThanOrEqual(-34.9961);
		const known = values.filter((value) => !Number.isNaN(value));
		expect(Math.min(...known)).toBeGreaterThanOrEqual(10);
		expect(Math.max(...known)).toBeLessThanOrEqual(40.4);
		expect(none).toMatchObject({ id: 2, kind: 'problem' });
	});

	it('parts a field into its low and its high half, and a grid into squares', async () => {
		const { replies } = await start<GroundReply>(load);
		ask({ id: 3, kind: 'zones', boundary: FIELD, cellM: 15, layers: [POINTS], zones: 2, leastAcres: 0.5 });
		ask({ id: 4, kind: 'grid', boundary: FIELD, cellM: 100 });
		const [zones, grid] = replies;
		if (zones?.kind !== 'zones' || grid?.kind !== 'grid') throw new Error(JSON.stringify(replies));
		expect(zones.shapes).toHaveLength(2);
		expect(zones.suggested).toBeGreaterThanOrEqual(2);
		expect(grid.squares.length).toBeGreaterThan(6);
		expect(new Set(grid.squares.map(({ name }) => name)).size).toBe(grid.squares.length);
	});

	it('says in words what goes wrong', async () => {
		const { replies } = await start<GroundReply>(load);
		ask({ id: 5, kind: 'zones', boundary: FIELD, cellM: 15, layers: [[]], zones: 2, leastAcres: 1 });
		expect(replies[0]).toMatchObject({ id: 5, kind: 'problem' });
		expect((replies[0] as { problem: string }).problem).toMatch(/[a-z]{3,} /);
	});
});

describe('the worker of trials', () => {
	const load = () => import('./fit.worker');
	const request = (replicates: number): FitRequest => ({
		...(JSON.parse(readFileSync('demo/requests/corn-fit.json', 'utf8')) as FitRequest),
		replicates
	});

	it('tells its progress and ends in the answer', async () => {
		const { replies } = await start<FitReply>(load);
		ask({ kind: 'fit', id: 1, request: request(400) });
		await until('fitted', replies);
		const last = replies.at(-1)!;
		if (last.kind !== 'fitted') throw new Error('no answer');
		expect(last.answer.best).not.toBeNull();
		const progress = replies.flatMap((reply) => (reply.kind === 'progress' ? [reply.done] : []));
		expect(progress).toEqual([...progress].sort((a, b) => a - b));
	});

	it('leaves off when it is cancelled, and when another trial takes its place', async () => {
		const { replies } = await start<FitReply>(load);
		ask({ kind: 'fit', id: 1, request: request(20_000) });
		ask({ kind: 'fit', id: 2, request: request(200) });
		await until('fitted', replies);
		expect(replies.filter(({ kind }) => kind === 'fitted').map(({ id }) => id)).toEqual([2]);
		ask({ kind: 'fit', id: 3, request: request(20_000) });
		ask({ kind: 'cancel' });
		const before = replies.length;
		await new Promise((resume) => setTimeout(resume));
		await new Promise((resume) => setTimeout(resume));
		expect(replies.slice(before).filter(({ kind }) => kind === 'fitted')).toEqual([]);
	});
});

describe('the worker of guides', () => {
	const load = () => import('./guide.worker');
	const shipped = readFileSync('packs/tri-state-1995.json', 'utf8');
	const open = (): OpenFields => ({
		year: 2027,
		today: '2026-11-20',
		crops: library.crops,
		coverCrops: library.coverCrops,
		guides: [library.packs.packs.find(({ id }) => id === 'tri-state-1995')!],
		fields: [{ id: 'f', name: 'Kingfisher Bend', grower: 'Tarrow', request: cornRequest() }]
	});

	it('says which worked examples come out, and which rates of the open fields move', async () => {
		const { replies } = await start<GuideAnswer>(load);
		ask({ kind: 'fields', open: open() });
		const changed = JSON.parse(shipped) as {
			rules: { id: string; parameters?: object; crops?: Record<string, object> }[];
		};
		const potassium = changed.rules.find(({ id }) => id === 'potassium')!;
		potassium.crops!['corn-grain'] = { ...potassium.crops!['corn-grain'], maintenanceExtra: 45 };
		ask({ kind: 'try', id: 1, text: JSON.stringify(changed) });
		await until('checked', replies);
		const [checked] = replies;
		if (checked?.kind !== 'checked') throw new Error('not checked');
		expect(checked.examples.length).toBeGreaterThan(3);
		// A worked example of the rule no longer comes out: it is named, and no rate is compared by a wrong guide.
		expect(checked.problems.length + checked.examples.filter(({ right }) => !right).length).toBeGreaterThan(0);
	});

	it('a guide that says the same moves nothing; without open fields nothing is compared', async () => {
		const { replies } = await start<GuideAnswer>(load);
		ask({ kind: 'try', id: 1, text: shipped });
		await until('checked', replies);
		await new Promise((resume) => setTimeout(resume));
		expect(replies.map(({ kind }) => kind)).toEqual(['checked']);
		ask({ kind: 'fields', open: open() });
		ask({ kind: 'try', id: 2, text: shipped });
		await until('moved', replies);
		expect(replies.at(-1)).toEqual({ kind: 'moved', id: 2, fields: 1, moved: [] });
	});

	it('text that is no guide has a problem with its line, and a newer text ends the older one', async () => {
		const { replies } = await start<GuideAnswer>(load);
		ask({ kind: 'fields', open: open() });
		ask({ kind: 'try', id: 1, text: shipped });
		ask({ kind: 'try', id: 2, text: '{ "id": ' });
		await until('checked', replies);
		await new Promise((resume) => setTimeout(resume));
		expect(replies.some(({ kind, id }) => kind === 'moved' && id === 1)).toBe(false);
		const broken = replies.find((reply) => reply.kind === 'checked' && reply.id === 2);
		if (broken?.kind !== 'checked') throw new Error('not checked');
		expect(broken.problems[0]).toMatchObject({ line: 1 });
	});
});

describe('the worker of simulated seasons', () => {
	it('tries each programme over the seasons asked for, and tells its progress in tens', async () => {
		const { replies } = await start<StressReply>(() => import('./stress.worker'));
		const { crops, products, schedules, seasonModel, stages, stations } = library;
		const request = JSON.parse(readFileSync('demo/requests/corn-season.json', 'utf8')) as { passes: unknown[] };
		const programmes = ['As planned', 'Nothing'].map((name, at) => ({
			name,
			passes: at === 0 ? 2 : 0,
			request: { ...request, passes: at === 0 ? request.passes : [] },
			nitrogenCost: undefined,
			inhibitors: undefined
		}));
		const knowledge = { crops, products, schedules, seasonModel, stages, stations: [stations[0]!] };
		ask({ setup: { programmes, knowledge, grainPrice: 4.6, yieldUnit: 'bu/ac' }, seasons: 20 });
		const last = replies.at(-1)!;
		if (last.kind !== 'tried') throw new Error('not tried');
		expect(last.outcome.programmes.map(({ name }) => name)).toEqual(['As planned', 'Nothing']);
		const done = replies.flatMap((reply) => (reply.kind === 'progress' ? [reply.done] : []));
		expect(done.every((count) => count % 10 === 0)).toBe(true);
		expect(done.length).toBeGreaterThan(0);
	});
});
