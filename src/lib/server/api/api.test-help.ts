import { readFileSync } from 'node:fs';
import Sqlite, { type Database } from 'better-sqlite3';
import { partsOf } from '../../../core/ground/shapes/shape';
import { fillBook } from '../book/fill-book';
import { openBook } from '../book/open-book';
import { libraryOf } from '../current-library';
import { Desk } from '../desk';
import { asGeoJson } from '../files/prescription-file/as-geojson';
import { findWork } from '../field/work/runs';
import { theLibrary } from '../knowledge';
import { listCropTests } from '../stores/tests/crop-tests';
import { listLeafTests } from '../stores/tests/leaf-tests';
import { listOwnLeafRanges } from '../stores/tests/own-leaf-ranges';
import { listSpreadChecks } from '../stores/tests/spread-checks';
import { listFields, listSamples } from '../stores/fields';
import { findFieldYear, listPasses } from '../stores/field-years';
import { listLayers } from '../stores/ground-maps';
import { findImport } from '../stores/lab-imports';
import { listOwnProducts } from '../stores/own-products';
import { findPrescription, listPrescriptions } from '../stores/plan/prescriptions';
import { listCurves } from '../stores/response-curves';
import { listBags } from '../stores/sampling/bags';
import { changeSettings } from '../stores/settings';
import { listWaterSources } from '../stores/water/water-sources';
import { answerCall } from './answer-call';
import { CURVE_EXAMPLE, PASS_EXAMPLE } from './examples';
import { EXAMPLE_IDS, type Operation } from './operation';
import { methodAndPath } from './path';
import { OPERATIONS } from './table';

const district = readFileSync('demo/district.json', 'utf8');
const YEAR = '2027';

/** The parts of an address and the ids in bodies that one field of a book goes by. */
export type Ids = Record<string, string>;

/** A book of the demo with one of everything on a field, and the same on another. */
export class World {
	/** Filled once, through the API itself: each test has a copy. */
	static #first: Promise<World> | undefined;
	today = '2026-11-23';

	constructor(
		readonly book: Database = openBook(':memory:'),
		readonly own: Ids = {},
		readonly foreign: Ids = {}
	) {}

	static async make(): Promise<World> {
		World.#first ??= World.#filled();
		const { book, own, foreign } = await World.#first;
		const copy = new Sqlite(book.serialize());
		copy.pragma('foreign_keys = ON');
		const world = new World(copy, { ...own }, { ...foreign });
		// What is worked out stands on the book in which it was begun.
		for (const ids of [world.foreign, world.own]) ids.run = await world.#worked(ids);
		return world;
	}

	static async #filled(): Promise<World> {
		const world = new World();
		fillBook(world.book, JSON.parse(district));
		changeSettings(world.book, { preparedBy: 'Ada' });
		const [own, other] = ['Kingfisher Bend', 'Heronry'].map((name) => world.#idOf(name));
		Object.assign(world.foreign, await world.#fill(other!, own!));
		Object.assign(world.own, await world.#fill(own!, other!));
		return world;
	}

	/** Calls an operation as a page would. */
	call(key: string, ids: Ids, body?: unknown, about: { query?: string; init?: RequestInit } = {}): Promise<Response> {
		const { method, path } = methodAndPath(key);
		const address = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(ids[name]!));
		const init: RequestInit = about.init ?? {
			headers: { 'content-type': 'application/json' },
			...(body === undefined ? {} : { body: JSON.stringify(body) })
		};
		const request = new Request(`http://127.0.0.1${address}${about.query ?? ''}`, { method, ...init });
		return answerCall(OPERATIONS, request, this.desk(), (error) => {
			throw error;
		});
	}

	/** What a request finds of the book. */
	desk(): Desk {
		return new Desk(this.book, libraryOf(this.book, theLibrary()), this.today);
	}

	/** Calls an operation with its own example, or with a file that it takes. */
	callExample(operation: Operation, ids: Ids): Promise<Response> {
		const { key, example, file } = operation;
		if (file) {
			const { name, text, query } = this.#fileFor(key, ids);
			const headers = { 'content-type': 'application/octet-stream', 'x-file-name': name };
			return this.call(key, ids, undefined, { query, init: { headers, body: text } });
		}
		return this.call(key, ids, example === undefined ? undefined : this.exampleOf(operation, ids));
	}

	/** The example of a body, with ids of the book. */
	exampleOf({ example }: Operation, ids: Ids): unknown {
		return withIds(example, ids);
	}

	/** Grows with every row that is written, also with one that is taken back at once. */
	changes(): number {
		return this.book.prepare<[], number>('SELECT total_changes()').pluck().get()!;
	}

	/** Every row of the book. */
	everything(): string {
		const tables = this.book
			.prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name")
			.all();
		return JSON.stringify(tables.map(({ name }) => this.book.prepare(`SELECT * FROM ${name}`).all()));
	}

	#idOf(name: string): string {
		return listFields(this.book).find((field) => field.name === name)!.id;
	}

	/** One of everything that an address can name, on a field, made through the API itself. */
	async #fill(field: string, otherField: string): Promise<Ids> {
		const ids: Ids = { field, otherField, year: YEAR, nutrient: 'N', event: '1', guide: 'central-plains-2003' };
		const make = async (key: string, change: (example: object) => object = (example) => example) => {
			const operation = OPERATIONS.find((one) => one.key === key)!;
			const response = await this.call(key, ids, change(withIds(operation.example as object, ids)));
			if (!response.ok) throw new Error(`${key}: ${await response.text()}`);
			return (await response.json()) as { id?: string };
		};
		await make('PUT /api/fields/{field}/{year}/goal', (example) => ({ ...example, yieldGoal: 155 }));
		await make('POST /api/fields/{field}/samples', (example) => ({ ...example, labNumber: field.slice(0, 8) }));
		ids.sample = listSamples(this.book, field).find(({ labNumber }) => labNumber === field.slice(0, 8))!.id;
		await make('POST /api/fields/{field}/{year}/choices', () => ({
			choices: [{ nutrient: 'N', ownRate: 140, reason: 'As in other years' }]
		}));
		await make('POST /api/fields/{field}/{year}/passes', () => ({ removed: [], added: [PASS_EXAMPLE] }));
		const year = findFieldYear(this.book, field, Number(YEAR))!.id;
		ids.pass = listPasses(this.book, year).find(({ plan }) => plan.label === PASS_EXAMPLE.label)!.plan.id;
		await make('POST /api/fields/{field}/{year}/crop-tests');
		ids.test = listCropTests(this.book, year)[0]!.id;
		ids.decision = (await make('POST /api/fields/{field}/{year}/decisions')).id!;
		ids.keptPlan = (await make('POST /api/fields/{field}/{year}/kept-plans')).id!;
		await make('POST /api/fields/{field}/{year}/spread-checks');
		await make('POST /api/fields/{field}/leaf-tests');
		ids.leaf = listLeafTests(this.book, field)[0]!.id;
		ids.check = listSpreadChecks(this.book, year)[0]!.id;
		if (!listWaterSources(this.book).some(({ name }) => name === 'Old well')) {
			await make('POST /api/water-sources', () => ({ name: 'Old well', kind: 'well' }));
		}
		await make('POST /api/leaf-ranges');
		ids.ranges = listOwnLeafRanges(this.book)[0]!.id;
		ids.source = listWaterSources(this.book).find(({ name }) => name === 'Old well')!.id;
		await make('POST /api/water-sources/{source}/reports');
		ids.report = listWaterSources(this.book).find(({ id }) => id === ids.source)!.reports[0]!.id;
		const shape = JSON.parse(listFields(this.book).find(({ id }) => id === field)!.boundary!) as unknown;
		await make('PUT /api/fields/{field}/zones', () => ({ zones: [{ name: 'Bottom', shape, facts: {} }] }));
		const [x, y] = this.#aPoint(field);
		await make('POST /api/fields/{field}/layers', () => ({
			layer: { name: 'Walked P', quantity: 'P', unit: 'ppm', points: [[x, y, 14]] }
		}));
		ids.layer = listLayers(this.book, field).find(({ name }) => name === 'Walked P')!.id;
		ids.prescription = (await make('POST /api/fields/{field}/{year}/prescriptions')).id!;
		await make('POST /api/fields/{field}/layers', () => ({
			layer: { name: 'Yield 2026', quantity: 'yield', unit: 'bu/ac', points: [[x, y, 181]] }
		}));
		ids.yieldLayer = listLayers(this.book, field).find(({ name }) => name === 'Yield 2026')!.id;
		ids.trial = (await make('POST /api/fields/{field}/{year}/trials')).id!;
		ids.curve = 'old-trials';
		if (!listCurves(this.book).some(({ id }) => id === ids.curve))
			await make('POST /api/curves', () => ({ curve: { ...CURVE_EXAMPLE, id: ids.curve, title: 'Old trials' } }));
		await make('POST /api/guides');
		await make('POST /api/products');
		ids.product = listOwnProducts(this.book)[0]!.id;
		const upload = OPERATIONS.find(({ key }) => key === 'POST /api/imports')!;
		ids.import = ((await (await this.callExample(upload, ids)).json()) as { id: string }).id;
		const { draft } = findImport(this.book, ids.import)!;
		await make('PUT /api/imports/{import}/draft', () => ({ ...draft, lab: 'Fenmoor Soil Bench' }));
		await make('POST /api/bags', (example) => ({ ...example, depths: [{ top: 6, bottom: 24, depthUnit: 'in' }] }));
		ids.bag = listBags(this.book).find(({ fieldId }) => fieldId === field)!.id;
		const programme = await make('POST /api/programmes', (example) => ({ ...example, name: `Corn of ${field}` }));
		ids.programme = programme.id!;
		return ids;
	}

	async #worked(ids: Ids): Promise<string> {
		const operation = OPERATIONS.find(({ key }) => key === 'POST /api/work')!;
		const { id } = (await (await this.callExample(operation, ids)).json()) as { id: string };
		while (findWork(id)!.state === 'working') await new Promise((resolve) => setImmediate(resolve));
		return id;
	}

	#aPoint(field: string): [number, number] {
		const { boundary } = listFields(this.book).find(({ id }) => id === field)!;
		const ring = partsOf(JSON.parse(boundary!))[0]![0]!;
		const mean = (at: 0 | 1) => ring.slice(1).reduce((sum, corner) => sum + corner[at]!, 0) / (ring.length - 1);
		return [mean(0), mean(1)];
	}

	#fileFor(key: string, ids: Ids): { name: string; text: string; query: string } {
		if (key === 'POST /api/imports') {
			const text = 'Grower,Field,Date,pH\nTarrow & Daughters,Kingfisher Bend,2026-11-01,6.2\n';
			return { name: 'lab.csv', text, query: '' };
		}
		if (key.includes('records/file')) return { name: 'plots.csv', text: 'plot,yield\n101,150\n', query: '' };
		const points = (column: string, value: number) =>
			JSON.stringify({
				type: 'FeatureCollection',
				features: [
					{
						type: 'Feature',
						properties: { [column]: value },
						geometry: { type: 'Point', coordinates: this.#aPoint(ids.field!) }
					}
				]
			});
		if (key.includes('read-back')) {
			const { content } = findPrescription(this.book, ids.prescription!)!;
			return { name: 'back.geojson', text: JSON.stringify(asGeoJson(content)), query: '' };
		}
		if (key.includes('as-applied')) return { name: 'log.geojson', text: points('rate', 100), query: '?on=2027-04-21' };
		const query = key.includes('layers/file') ? '?column=P&quantity=P&unit=ppm&name=From%20file' : '';
		return { name: 'points.geojson', text: points('P', 17), query };
	}

	/** The prescriptions of a field in the year, for tests that count them. */
	prescriptionsOf(field: string): number {
		return listPrescriptions(this.book, findFieldYear(this.book, field, Number(YEAR))!.id).length;
	}
}

/** An example with the ids of a book in place of those of the examples. */
function withIds<T>(example: T, ids: Ids): T {
	let text = JSON.stringify(example);
	for (const [name, id] of Object.entries(EXAMPLE_IDS))
		text = text.replaceAll(`"${id}"`, JSON.stringify(ids[name] ?? id));
	return JSON.parse(text) as T;
}
