import { readFileSync } from 'node:fs';
import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import type { PlanBagsAction } from '../../../../core/schema-types';
import { undo, undoable } from '../../book/act';
import { fillBook } from '../../book/fill-book';
import { openBook } from '../../book/open-book';
import { libraryOf } from '../../current-library';
import { Desk } from '../../desk';
import { commitImport } from '../../files/lab-file/commit-import';
import { readLabFile } from '../../files/lab-file/read-file';
import { theLibrary } from '../../knowledge';
import { samplingPage } from '../../pages/office/sampling-page';
import { zonesPage } from '../../pages/zones-page';
import { listFields, listFieldSamples, listSamples } from '../fields';
import { listLayers, listZones } from '../ground-maps';
import { findImport, saveDraft, startImport } from '../lab-imports';
import { listBags, markBags, planBags, removeBags, stageOf } from './bags';

const TODAY = '2026-11-23';
const district = JSON.parse(readFileSync('demo/district.json', 'utf8')) as unknown;
let db: Database;
let idOf: (name: string) => string;
beforeEach(() => {
	db = openBook(':memory:');
	fillBook(db, district);
	const ids = new Map(listFields(db).map(({ name, id }) => [name, id]));
	idOf = (name) => ids.get(name)!;
});
const desk = () => new Desk(db, libraryOf(db, theLibrary()), TODAY);
const depth = { top: 0, bottom: 6, depthUnit: 'in' } as const;
const plan = (more: Partial<PlanBagsAction>) =>
	planBags(db, { year: 2027, fields: [], depths: [depth], byZone: true, cores: 15, ...more }, TODAY);
const bagsOf = (name: string) => listBags(db).filter(({ field }) => field === name);

describe('a sampling plan', () => {
	it('has a bag of each zone and depth, else of the whole field, with running codes', () => {
		const deep = { top: 6, bottom: 24, depthUnit: 'in' } as const;
		const codes = plan({ fields: [idOf('Brick Kiln'), idOf('Heronry')], depths: [depth, deep] });
		// After the four bags of the demo: three zones and a field without any, each at two depths.
		expect(codes.map((code) => code.slice(0, 7))).toEqual(
			[5, 6, 7, 8, 9, 10, 11, 12].map((serial) => `27-${String(serial).padStart(4, '0')}`)
		);
		expect(bagsOf('Heronry').map(({ bag }) => [bag.zone, bag.depth.bottom])).toEqual([
			[undefined, 24],
			[undefined, 6]
		]);
		expect(new Set(bagsOf('Heronry').map(({ bag }) => bag.round)).size).toBe(1);
	});

	it('takes a field with zones as a whole where that is said', () => {
		plan({ fields: [idOf('Brick Kiln')], byZone: false });
		expect(bagsOf('Brick Kiln').map(({ bag }) => bag.zone)).toContain(undefined);
	});

	it('of points needs a boundary, and not too many of them', () => {
		expect(() => plan({ fields: [idOf('Lagoon One')], byZone: false, acresEach: 2.5 })).toThrow(
			'Lagoon One has no boundary for a grid of points: draw it, or leave the field out.'
		);
		expect(() => plan({ fields: [idOf('Heronry')], byZone: false, acresEach: 0.05 })).toThrow(
			'more than 500 in Heronry'
		);
	});

	it('never gives a code twice, not even after bags were removed or their plan undone', () => {
		const [code] = plan({ fields: [idOf('Heronry')] });
		removeBags(db, [listBags(db).find((one) => one.code === code)!.id]);
		const [next] = plan({ fields: [idOf('Heronry')] });
		undo(db, undoable(db)!.id);
		const given = [code, next, ...plan({ fields: [idOf('Heronry')] })];
		expect(new Set(given).size).toBe(3);
	});

	it('refuses a second bag of the same ground while one is on its way, and plans nothing then', () => {
		const before = listBags(db).length;
		const eight = { top: 0, bottom: 8, depthUnit: 'in' } as const;
		expect(() => plan({ fields: [idOf('Heronry'), idOf('Old Orchard Piece')], depths: [eight] })).toThrow(
			'Old Orchard Piece has a bag of 0-8 in on its way: 27-0004-36'
		);
		expect(listBags(db)).toHaveLength(before);
	});

	it('names the fields that are due, and why', () => {
		const { fields } = samplingPage(desk(), new URLSearchParams('year=2027'));
		expect(fields.flatMap(({ name, due }) => (due ? [[name, due]] : []))).toEqual([
			['Old Orchard Piece', 'the last is of 18 Oct 2021']
		]);
		expect(fields.find(({ name }) => name === 'Brick Kiln')).toMatchObject({ zones: 3, underWay: 3 });
		const next = samplingPage(desk(), new URLSearchParams('year=2028'));
		expect(next.bags).toEqual([]);
		const later = next.fields.filter(({ due }) => due);
		// Orchards yearly, sand every other year.
		expect(later.map(({ name }) => name)).toEqual(expect.arrayContaining(['Pippin Block', 'Bramble Rows']));
		expect(later.map(({ name }) => name)).not.toContain('Crow Acre');
	});
});

describe('a bag', () => {
	const mark = (stage: 'planned' | 'pulled' | 'sent', on: string, who?: string) =>
		markBags(db, { bags: [bagsOf('Heronry')[0]!.id], stage, on, ...(who ? { who } : {}) });
	beforeEach(() => void plan({ fields: [idOf('Heronry')] }));

	it('goes from planned to pulled to sent, each with its day, and back', () => {
		expect(stageOf(bagsOf('Heronry')[0]!)).toBe('planned');
		mark('pulled', '2026-11-20', 'Wren');
		mark('sent', '2026-11-21', 'Fenmoor');
		expect(bagsOf('Heronry')[0]?.bag).toMatchObject({
			pulledOn: '2026-11-20',
			pulledBy: 'Wren',
			sentOn: '2026-11-21',
			lab: 'Fenmoor'
		});
		expect(stageOf(bagsOf('Heronry')[0]!)).toBe('sent');
		mark('pulled', '2026-11-19');
		expect(stageOf(bagsOf('Heronry')[0]!)).toBe('pulled');
		expect(bagsOf('Heronry')[0]?.bag.pulledBy).toBeUndefined();
		mark('planned', '2026-11-19');
		expect(stageOf(bagsOf('Heronry')[0]!)).toBe('planned');
	});

	it('is not sent before it was pulled', () => {
		expect(() => mark('sent', '2026-11-21')).toThrow('is not pulled yet');
		mark('pulled', '2026-11-20');
		expect(() => mark('sent', '2026-11-19')).toThrow('it cannot have been sent on 19 Nov 2026');
	});
});

describe('bags that come back in a lab’s file', () => {
	async function bring(change: (text: string) => string = (text) => text): Promise<void> {
		const text = change(readFileSync('demo/lab-bags-fenmoor.csv', 'utf8'));
		const id = startImport(db, 'back.csv', await readLabFile('back.csv', new TextEncoder().encode(text)));
		saveDraft(db, id, { ...findImport(db, id)!.draft, lab: 'Fenmoor' });
		commitImport(db, findImport(db, id)!, []);
	}
	const zones = () => listZones(db, idOf('Brick Kiln'));
	const newest = () => listFieldSamples(db, idOf('Brick Kiln'))[0]!;
	const mean = (values: readonly number[]) => {
		const acres = zones().map(({ areaAcres }) => areaAcres);
		return values.reduce((sum, value, at) => sum + value * acres[at]!, 0) / acres.reduce((sum, one) => sum + one, 0);
	};
	const potassium = () => newest().report.layers[0]!.results.find(({ analyte }) => analyte === 'K')!.value;

	it('give each zone its values and the field their mean by acres, as one action', async () => {
		const before = listSamples(db, idOf('Brick Kiln')).length;
		await bring();
		expect(zones().map(({ facts }) => facts.values?.K)).toEqual([88, 141, 176]);
		expect(zones()[0]?.facts).toMatchObject({ values: { pH: 5.7, bufferPh: 6.7, P: 31 } });
		expect(newest().report).toMatchObject({
			date: '2026-11-18',
			meanOf: ['Sand knob', 'Middle slope', 'Bottom, dark ground']
		});
		expect(potassium()).toBeCloseTo(mean([88, 141, 176]), 1);
		expect(bagsOf('Brick Kiln').map(stageOf)).toEqual(['back', 'back', 'back']);
		const back = bagsOf('Brick Kiln').map(({ id }) => id);
		expect(() => removeBags(db, back)).toThrow('is back from the lab');
		undo(db, undoable(db)!.id);
		expect(bagsOf('Brick Kiln').map(stageOf)).toEqual(['sent', 'sent', 'sent']);
		expect(listSamples(db, idOf('Brick Kiln'))).toHaveLength(before);
		expect(zones()[0]?.facts.values).toBeUndefined();
	});

	it('are rated zone by zone from the values of their own', async () => {
		await bring();
		const { rates } = zonesPage(desk(), { field: idOf('Brick Kiln'), year: '2027' });
		expect(rates.map(({ holds }) => holds)).toEqual([
			expect.stringContaining('K 88'),
			expect.stringContaining('K 141'),
			expect.stringContaining('K 176')
		]);
		expect(rates.map(({ notes }) => notes)).toEqual([[], [], []]);
	});

	it('that come later join the mean of those that came before', async () => {
		await bring((text) => text.replace(/^5242.*\n/m, ''));
		expect(newest().report.meanOf).toEqual(['Sand knob', 'Middle slope']);
		expect(zones()[2]?.facts.values).toBeUndefined();
		await bring((text) => text.replace(/^524[01].*\n/gm, ''));
		expect(newest().report.meanOf).toHaveLength(3);
		expect(potassium()).toBeCloseTo(mean([88, 141, 176]), 1);
		expect(listFieldSamples(db, idOf('Brick Kiln')).filter(({ report }) => report.meanOf)).toHaveLength(1);
	});

	it('that come depth by depth stand together, the zone read at its top', async () => {
		const deep = { top: 8, bottom: 24, depthUnit: 'in' } as const;
		const codes = plan({ fields: [idOf('Brick Kiln')], depths: [{ ...deep, top: 0, bottom: 6 }, deep] });
		const pulled = listBags(db).filter(({ code }) => codes.includes(code));
		markBags(db, { bags: pulled.map(({ id }) => id), stage: 'pulled', on: '2026-11-20' });
		const back = (layer: 0 | 1, potassium: number) =>
			bring(
				() => `Lab No,Sample,K (ppm)\n${[0, 2, 4].map((at) => `${at},${codes[at + layer]},${potassium}`).join('\n')}\n`
			);
		await back(0, 150);
		await back(1, 90);
		expect(
			newest()
				.report.layers.map(({ top, results }) => [top, results[0]?.value])
				.sort()
		).toEqual([
			[0, 150],
			[8, 90]
		]);
		expect(zones().map(({ facts }) => facts.values?.K)).toEqual([150, 150, 150]);
	});

	it('of points: each stands by itself, all make layers of the map, and the field takes their mean', async () => {
		const heronry = idOf('Heronry');
		const codes = plan({ fields: [heronry], byZone: false, acresEach: 6 });
		expect(codes).toHaveLength(6);
		const named = bagsOf('Heronry').filter(({ code }) => codes.includes(code));
		expect(named.map(({ bag }) => bag.point!.number).toSorted()).toEqual([1, 2, 3, 4, 5, 6]);
		markBags(db, { bags: named.map(({ id }) => id), stage: 'pulled', on: '2026-11-20' });
		const sampled = () => listSamples(db, heronry).filter(({ report }) => report.point);
		const before = listFieldSamples(db, heronry).length;
		const file = (from: number, to: number) => () =>
			`Lab No,Sample,P Bray P1 (ppm),K (ppm)\n${codes
				.slice(from, to)
				.map((code, at) => `${at},${code},${20 + from + at},${100 + 10 * (from + at)}`)
				.join('\n')}\n`;
		await bring(file(0, 4));
		await bring(file(4, 6));
		expect(sampled()).toHaveLength(6);
		const fieldSamples = listFieldSamples(db, heronry);
		expect(fieldSamples).toHaveLength(before + 1);
		expect(fieldSamples[0]!.report).toMatchObject({ meanOfPoints: 6, date: '2026-11-20' });
		expect(fieldSamples[0]!.report.layers[0]!.results.find(({ analyte }) => analyte === 'K')!.value).toBe(125);
		const layers = listLayers(db, heronry).filter(({ name }) => name.includes('by points of 20 Nov 2026'));
		expect(layers.map(({ quantity, unit, points }) => [quantity, unit, points.length])).toEqual([
			['K', 'ppm', 6],
			['P', 'ppm', 6]
		]);
		const first = named.find(({ code }) => code === codes[0])!.bag.point!;
		expect(layers[0]!.points).toContainEqual([...first.at, 100]);
		undo(db, undoable(db)!.id);
		expect(listLayers(db, heronry).find(({ quantity }) => quantity === 'K')!.points).toHaveLength(4);
	});

	it('of a zone that was cut anew stay readable, and the mean is of the others', async () => {
		db.prepare("UPDATE zone SET name = 'Knob and slope' WHERE name = 'Sand knob'").run();
		await bring();
		expect(newest().report.meanOf).toEqual(['Middle slope', 'Bottom, dark ground']);
		expect(listSamples(db, idOf('Brick Kiln')).some(({ report }) => report.zone === 'Sand knob')).toBe(true);
	});
});
