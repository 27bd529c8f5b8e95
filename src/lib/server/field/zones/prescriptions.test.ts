import Database from 'better-sqlite3';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { areaAcres } from '../../../../core/ground/shapes/geodesic-area';
import { boundsOf, type Shape } from '../../../../core/ground/shapes/shape';
import type { CropId, BookDocument, Pass } from '../../../../core/schema-types';
import { sheetDifferences } from '../../../../core/sheet/sheet-differences';
import { workOrders } from '../../../../core/sheet/work-orders';
import { orderOf } from '../../../../core/supply/order';
import { asApplied } from '../../../../core/zones/prescription/as-applied';
import { prescriptionDifferences } from '../../../../core/zones/prescription/prescription-differences';
import { prescriptionTotal } from '../../../../core/zones/prescription/prescription-totals';
import { undo, undoable } from '../../book/act';
import { migrate } from '../../book/migrate';
import { oldBook } from '../../old-book.test-help';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { draftSheet } from '../draft-sheet';
import { loadFieldYear } from '../field-year';
import { theLibrary } from '../../knowledge';
import { makePrescription, type PrescriptionGround } from './make-prescription';
import { workOrderDocument } from '../../files/print/work-order-document';
import { listFields } from '../../stores/fields';
import { changePasses } from '../../stores/field-years';
import { addLayers, listLayers, listZones, replaceZones, setZoneFacts } from '../../stores/ground-maps';
import { listOpenPasses } from '../../stores/order-passes';
import { addAsApplied, addPrescription, findPrescription, newestPrescriptions } from '../../stores/plan/prescriptions';
import { adviseZones, compareZones } from './zone-advice';

const TODAY = '2026-11-23';
const demo = JSON.parse(readFileSync('demo/district.json', 'utf8')) as BookDocument;
const library = theLibrary();
const SETTINGS = {
	units: 'us' as const,
	preparedBy: 'Ada',
	loads: { tankGal: 1000, boxLb: 12_000, batchLb: 12_000, weighLb: 50 }
};

function bookOf(name: string, year = 2027) {
	const db = openBook(':memory:');
	fillBook(db, demo);
	const id = listFields(db).find((field) => field.name === name)!.id;
	const ground = (): PrescriptionGround => {
		const fieldYear = loadFieldYear(db, library, id, year, TODAY);
		return {
			fieldYear,
			advice: fieldYear.advice!,
			zones: listZones(db, id, { crop: fieldYear.goal!.crop, year }),
			layers: listLayers(db, id),
			library,
			today: TODAY,
			preparedBy: 'Ada'
		};
	};
	return { db, id, ground };
}

/** The west and east half of a field, cut by nothing but its bounds. */
function halves(boundary: Shape, west: object, east: object) {
	const [x, y, right, top] = boundsOf([boundary])!;
	const middle = (x + right) / 2;
	const box = (from: number, to: number): Shape => ({
		type: 'Polygon',
		coordinates: [
			[
				[from, y],
				[to, y],
				[to, top],
				[from, top],
				[from, y]
			]
		]
	});
	return [
		{ name: 'West', shape: box(x, middle), facts: west },
		{ name: 'East', shape: box(middle, right), facts: east }
	] as Parameters<typeof replaceZones>[3];
}

describe('zones of a field', () => {
	it('go by the field’s choices with what holds in them, or by a rate of their own', () => {
		const { db, id, ground } = bookOf('Crow Acre');
		const boundary = JSON.parse(ground().fieldYear.field.boundary!) as Shape;
		const own = { K2O: { rate: 33, reason: 'Drowned out twice' } };
		const season = { crop: ground().advice.goal.crop, year: 2027 };
		replaceZones(db, id, 'Two halves', halves(boundary, { values: { K: 60 } }, { own }), season);
		const { advice, zones, layers, fieldYear } = ground();
		const [west, east] = adviseZones(advice, zones, layers, library, TODAY);
		const field = advice.chosen.find(({ nutrient }) => nutrient === 'K2O')!.rate.value;
		expect(west!.rates.get('K2O')!.rate).toMatchObject({ applies: true });
		expect((west!.rates.get('K2O')!.rate as { value: number }).value).toBeGreaterThan(field);
		expect(east!.rates.get('K2O')).toMatchObject({ rate: { value: 33, basis: 'adviser' }, by: 'Drowned out twice' });
		const compared = compareZones(advice, [west!, east!], fieldYear.prices);
		const potash = compared.find(({ nutrient }) => nutrient === 'K2O')!;
		expect(potash.over.map(({ amount }) => Math.sign(amount))).toEqual([-1, 1]);
		expect(compared.find(({ nutrient }) => nutrient === 'N')!.over.every(({ amount }) => Math.abs(amount) < 1e-9)).toBe(
			true
		);
	});
	it('of the strip field: nitrogen low, high, low again from the knob to the dark bottom', () => {
		const { ground } = bookOf('Brick Kiln', 2026);
		const { advice, zones, layers } = ground();
		const advised = adviseZones(advice, zones, layers, library, TODAY);
		const strip = library.packs.rules.find(({ kind }) => kind.byZone)!.method;
		const rates = advised.map(({ answer }) => answer.rates.find(({ method }) => method === strip)!.rate!);
		// Yield with plenty less yield without in each, by the made-up strips: 56, 98 and 30 bu.
		expect(rates[1]! / rates[0]!).toBeCloseTo(98 / 56, 6);
		expect(rates[2]! / rates[0]!).toBeCloseTo(30 / 56, 6);
	});
	it('goals of a corn year stand in no other year, and come back with it', () => {
		const { db, id } = bookOf('Brick Kiln');
		const goals = (crop: CropId, year: number) => listZones(db, id, { crop, year }).map(({ facts }) => facts.yieldGoal);
		expect(goals('corn-grain', 2026)).toEqual([120, 195, 215]);
		expect(goals('soybean', 2027)).toEqual([undefined, undefined, undefined]);
		const zones = listZones(db, id);
		setZoneFacts(db, id, zones[0]!.name, { yieldGoal: 30, values: { K: 90 } }, { crop: 'soybean', year: 2027 });
		expect(goals('soybean', 2027)[0]).toBe(30);
		expect(goals('corn-grain', 2026)).toEqual([120, 195, 215]);
		expect(listZones(db, id)[0]!.facts).toEqual({ values: { K: 90 } });
	});
	it('goals kept without a year go to the newest year of the field when a book of before is opened', () => {
		const db = new Database(':memory:');
		migrate(db, 6);
		fillBook(db, oldBook(demo));
		const zone = db
			.prepare("SELECT z.id FROM zone z JOIN field f ON f.id = z.field_id WHERE f.name = 'Brick Kiln'")
			.get() as {
			id: string;
		};
		db.prepare('UPDATE zone SET facts = ? WHERE id = ?').run('{"yieldGoal":150,"values":{"K":70}}', zone.id);
		migrate(db);
		const { facts } = db.prepare('SELECT facts FROM zone WHERE id = ?').get(zone.id) as { facts: string };
		expect(JSON.parse(facts)).toEqual({
			values: { K: 70 },
			seasons: [{ crop: 'soybean', year: 2027, yieldGoal: 150 }]
		});
	});
	it('a zone of the same name keeps what is known of it; two of one name are refused', () => {
		const { db, id, ground } = bookOf('Brick Kiln', 2026);
		const zones = ground().zones.map(({ name, shape }) => ({ name, shape, facts: {} })) as Parameters<
			typeof replaceZones
		>[3];
		replaceZones(db, id, 'Again', zones);
		expect(ground().zones[0]!.facts.yieldGoal).toBe(120);
		expect(() => replaceZones(db, id, 'Twice', [zones[0]!, zones[0]!])).toThrow('Two zones are named Sand knob');
	});
});

describe('a prescription', () => {
	const limits = { least: 50, most: 400, step: 5 };
	const potash = (ground: PrescriptionGround) =>
		ground.advice.passes.find(({ plan }) => plan.label === 'K before planting')!.plan;

	it('by zone: each as its own rate is to the field’s; sheet, work order and order of the book follow it', () => {
		const { db, id, ground } = bookOf('Crow Acre');
		const boundary = JSON.parse(ground().fieldYear.field.boundary!) as Shape;
		replaceZones(db, id, 'Two halves', halves(boundary, { values: { K: 60 } }, { values: { K: 150 } }));
		const made = ground();
		const pass = potash(made);
		const content = makePrescription(made, { pass: pass.id, drivenBy: 'K2O', limits, outside: 100 });
		const { advice } = made;
		const advised = adviseZones(advice, made.zones, [], library, TODAY);
		const field = advice.chosen.find(({ nutrient }) => nutrient === 'K2O')!.rate.value;
		content.parts.forEach((part, at) => {
			const own = (advised[at]!.rates.get('K2O')!.rate as { value: number }).value;
			expect(Math.abs(part.rate - (pass.rate * own) / field)).toBeLessThanOrEqual(2.5);
		});
		expect(content).toMatchObject({ pass: pass.id, flat: pass.rate, outside: 100, product: { id: pass.product } });
		const before = orderOf(listOpenPasses(db, 2027, library.products), library.products).find(
			({ product }) => product.id === pass.product
		)!;
		const prescription = addPrescription(db, id, advice.goal.id, content);
		const total = prescriptionTotal(content).value;
		const after = orderOf(listOpenPasses(db, 2027, library.products), library.products).find(
			({ product }) => product.id === pass.product
		)!;
		expect(after.pounds - before.pounds).toBeCloseTo(total - pass.rate * made.fieldYear.field.area_ac!, 6);
		const sheet = draftSheet(made.fieldYear, advice, SETTINGS, newestPrescriptions(db, advice.goal.id), {
			leafTests: [],
			decisions: []
		});
		const line = sheet.passes.find((one) => one.pass.id === pass.id)!;
		expect(line.wholeField).toMatchObject({ value: total });
		expect(line.prescription!.parts.map(({ zone }) => zone)).toEqual(['West', 'East']);
		expect(workOrders(sheet).find(({ passes }) => passes.includes(line))!.cautions).toEqual(
			expect.arrayContaining(content.cautions)
		);
		const even = draftSheet(made.fieldYear, advice, SETTINGS, new Map(), { leafTests: [], decisions: [] });
		expect(sheetDifferences(even, sheet).join(' ')).toMatch(
			/by prescription West .* lb\/ac on .* ac; East .*, before at one rate/
		);
		expect(sheetDifferences(sheet, even).join(' ')).toContain('no longer by prescription');
		const paper = JSON.stringify(
			workOrderDocument([
				{ number: 1, issuedAt: '2026-11-23T00:00:00Z', content: sheet } as Parameters<
					typeof workOrderDocument
				>[0][number]
			])
		);
		expect(paper).toContain('by prescription');
		expect(() => db.prepare('UPDATE prescription SET made_at = 1').run()).toThrow('a prescription is frozen');
		// Another rate of the pass, and the prescription is void until it is made anew.
		changePasses(db, advice.goal, 'More', [pass.id], [{ ...pass, rate: pass.rate + 10 }]);
		const moved = ground().advice.passes.find(({ plan }) => plan.label === pass.label)!.plan;
		expect(newestPrescriptions(db, advice.goal.id).get(moved.id)).toBeUndefined();
		undo(db, undoable(db, id)!.id);
		expect(newestPrescriptions(db, advice.goal.id).get(pass.id)).toBeDefined();
		const record = findPrescription(db, prescription)!;
		const logged = content.parts.map(({ shape, rate }) => {
			const [x, y, right, top] = boundsOf([shape as Shape])!;
			return [(x + right) / 2, (y + top) / 2, rate] as const;
		});
		addAsApplied(db, record, asApplied(logged, content, '2027-04-06')!);
		expect(findPrescription(db, prescription)!.applied[0]!.content.zones.map(({ applied }) => applied)).toEqual(
			content.parts.map(({ rate }) => rate)
		);
		// The pass is done with; what counts is the mean of the log over the ground that was passed over.
		const went = () => ground().advice.passes.filter(({ plan }) => plan.label === pass.label);
		const acres = content.parts.reduce((sum, part) => sum + part.areaAcres, 0);
		const mean = content.parts.reduce((sum, part) => sum + part.rate * part.areaAcres, 0) / acres;
		const share = asApplied(logged, content, '2027-04-06')!.share;
		expect(went()).toMatchObject([{ doneOn: '2027-04-06', plan: { date: '2027-04-06' } }]);
		expect(went()[0]!.plan.rate).toBeCloseTo(mean, 9);
		expect(went()[0]!.plan.share).toBeCloseTo(share, 9);
		expect(() =>
			addAsApplied(db, findPrescription(db, prescription)!, asApplied(logged, content, '2027-04-06')!)
		).toThrow('is in the book already');
		undo(db, undoable(db, id)!.id);
		expect(ground().advice.passes.find(({ plan }) => plan.id === pass.id)!.doneOn).toBeNull();
	});
	it('by cells of the layers: levels that together are the field, near the rates of its samples', () => {
		const { db, ground } = bookOf('Kingfisher Bend');
		const { advice, fieldYear } = ground();
		const plan: Pass = {
			id: 'p',
			date: '2027-04-10',
			label: 'P',
			product: 'triple-superphosphate',
			rate: 180,
			unit: 'lb/ac',
			placement: 'broadcast',
			reason: ''
		};
		const product = library.products.find(
			({ analysis, state }) => state === 'dry' && analysis.P2O5 === 46 && !analysis.N
		)!;
		changePasses(db, advice.goal, 'P', [], [{ ...plan, product: product.id }]);
		const made = ground();
		const pass = made.advice.passes[0]!.plan;
		const content = makePrescription(made, {
			pass: pass.id,
			drivenBy: 'P2O5',
			limits: { ...limits, least: 0, classes: 6 },
			outside: 0,
			cellM: 15
		});
		expect(content.parts.length).toBeGreaterThan(1);
		expect(content.parts.length).toBeLessThanOrEqual(6);
		const acres = content.parts.reduce((sum, part) => sum + part.areaAcres, 0);
		expect(acres).toBeCloseTo(areaAcres(JSON.parse(fieldYear.field.boundary!) as Shape), 1);
		expect(content.parts.every(({ rate }) => rate <= 400)).toBe(true);
	});
	it.each([
		['no such pass', { pass: 'x', drivenBy: 'K2O' }, '"x" is no pass of this plan'],
		['least over most', { limits: { least: 500, most: 400, step: 5 } }, 'must not be above the most, 400; got 500'],
		['a nutrient without a rate', { drivenBy: 'Mg' }, 'No rate of Mg is chosen for the field'],
		['no zones', {}, 'The field has no zones yet'],
		['no layers', { cellM: 15 }, 'No layer of soil values has enough points']
	] as const)('with %s says what is missing', (_, change, message) => {
		const { ground } = bookOf('Crow Acre');
		const made = ground();
		const action = { pass: potash(made).id, drivenBy: 'K2O' as const, limits, outside: 0, ...change };
		expect(() => makePrescription(made, action as Parameters<typeof makePrescription>[1])).toThrow(message);
	});
	it('differences of a file are told', () => {
		const shape = halves(
			{
				type: 'Polygon',
				coordinates: [
					[
						[0, 0],
						[0.01, 0],
						[0.01, 0.01],
						[0, 0.01],
						[0, 0]
					]
				]
			},
			{},
			{}
		)[0]!.shape;
		const part = { zone: 'West', rate: 100, areaAcres: 10, shape };
		const prescription = { parts: [part], unit: 'lb/ac' as const, outside: 0 };
		expect(prescriptionDifferences(prescription, { parts: [part], outside: undefined })).toEqual([]);
		expect(
			prescriptionDifferences(prescription, {
				parts: [
					{ ...part, rate: 90, areaAcres: 11 },
					{ ...part, zone: 'New' }
				],
				outside: 5
			})
		).toEqual([
			'West: 90 lb/ac in the file, 100 lb/ac prescribed.',
			'West: 11 ac in the file, 10 ac prescribed.',
			'New is not in the prescription.',
			'Outside: 5 lb/ac in the file, 0 lb/ac prescribed.'
		]);
		expect(prescriptionDifferences(prescription, { parts: [], outside: 0 })).toEqual(['West is missing.']);
	});
});

it('a layer of the same name takes the place of the old one, and undo brings it back', () => {
	const { db, id } = bookOf('Crow Acre');
	const layer = (value: number) => ({
		name: 'K',
		quantity: 'K' as const,
		unit: 'ppm',
		points: [[-35, 41, value] as [number, number, number]]
	});
	addLayers(db, id, [layer(1)]);
	addLayers(db, id, [layer(2)]);
	expect(listLayers(db, id).map(({ points }) => points[0]![2])).toEqual([2]);
	undo(db, undoable(db, id)!.id);
	expect(listLayers(db, id).map(({ points }) => points[0]![2])).toEqual([1]);
});
