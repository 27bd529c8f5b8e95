import type { Database } from 'better-sqlite3';
import { beforeEach, describe, expect, it } from 'vitest';
import { undo, undoable } from '../../book/act';
import { openBook } from '../../book/open-book';
import { addField, listFields, listFieldSamples, listSamples } from '../../stores/fields';
import { findImport, listLabs, listOutcomes, saveDraft, startImport } from '../../stores/lab-imports';
import { listLeafTests, removeLeafTest } from '../../stores/tests/leaf-tests';
import { commitImport } from './commit-import';
import { previewImport } from './preview';
import { readLabFile } from './read-file';

const CROPS = [{ id: 'soybean', name: 'Soybean' }] as const;
const HEADER = 'Field,Sampled,Crop,Plant part,Stage,N %,P %,K %,Mn ppm';
/** What is wrong in the ten bad rows. */
const BAD = [
	'F1,2026-13-08,Soybean,top trifoliate,R1,4.6,0.3,2.1,60',
	'F2,,Soybean,top trifoliate,R1,4.6,0.3,2.1,60',
	'F3,2026-07-08,Soy bean,top trifoliate,R1,4.6,0.3,2.1,60',
	'F4,2026-07-08,Soybean,,R1,4.6,0.3,2.1,60',
	'F5,2026-07-08,Soybean,top trifoliate,,4.6,0.3,2.1,60',
	'F6,2026-07-08,Soybean,top trifoliate,R1,46,0.3,2.1,60',
	'F7,2026-07-08,Soybean,top trifoliate,R1,"4,6",0.3,2.1,60',
	'F8,2026-07-08,Soybean,top trifoliate,R1,,,,',
	',2026-07-08,Soybean,top trifoliate,R1,4.6,0.3,2.1,60',
	'F200,2026-07-08,Soybean,top trifoliate,R1,4.6,0.3,2.1,60'
];

/** 200 rows of leaves; every twentieth is bad. */
function leaves(): string {
	const rows = Array.from({ length: 200 }, (_, at) =>
		at % 20 === 10
			? BAD[Math.floor(at / 20)]!
			: `F${at + 1},2026-07-08,Soybean,top trifoliate,R1,${(4 + (at % 10) / 10).toFixed(1)},0.3,2.1,60`
	);
	return [HEADER, ...rows].join('\n');
}

describe('an import of leaf tests', () => {
	let db: Database;
	beforeEach(() => {
		db = openBook(':memory:');
		addField(db, { name: 'F1', grower: 'Tarrow', areaAcres: 40 });
	});
	const start = async (text: string) =>
		startImport(db, 'leaves.csv', await readLabFile('leaves.csv', new TextEncoder().encode(text)));
	const decide = (id: string, change: object) =>
		saveDraft(db, id, { ...findImport(db, id)!.draft, lab: 'Fenmoor', grower: 'Tarrow', ...change });
	const preview = (id: string) => previewImport(db, findImport(db, id)!.grid, findImport(db, id)!.draft, CROPS);
	const commit = (id: string) => commitImport(db, findImport(db, id)!, CROPS);

	it('of 200 rows waits for ten, imports none before, and accounts for each', async () => {
		const id = await start(leaves());
		decide(id, {});
		const bad = preview(id).rows.filter(({ status }) => status === 'undecided');
		const says = (text: string): unknown => expect.stringContaining(text);
		expect(bad.map(({ problems }) => problems[0]?.message)).toEqual([
			says('“2026-13-08” is no date'),
			says('the day is missing'),
			says('“Soy bean” is no crop'),
			says('the part is missing'),
			says('the stage is missing'),
			says('“46” % cannot be'),
			says('decimal comma'),
			'the row holds no result',
			'the field name is missing',
			says('as line 192')
		]);
		expect(() => commit(id)).toThrow('nothing was imported');
		expect(listFields(db)).toHaveLength(1);
		decide(id, { leftOut: bad.slice(1).map(({ line }) => line), corrections: { 12: { 1: '2026-07-09' } } });
		commit(id);
		const outcomes = listOutcomes(db, id);
		expect(outcomes).toHaveLength(200);
		expect(outcomes.filter(({ outcome }) => outcome === 'imported')).toHaveLength(191);
		expect(outcomes.find(({ line }) => line === 12)).toMatchObject({ outcome: 'imported', field: 'F1' });
		const first = listFields(db).find(({ name }) => name === 'F1')!;
		expect(listLeafTests(db, first.id)).toMatchObject([
			{ takenOn: '2026-07-09', lab: 'Fenmoor', results: { N: 4.6 } },
			{ takenOn: '2026-07-08', spot: 'whole', results: { N: 4, P: 0.3, K: 2.1, Mn: 60 } }
		]);
	});

	it('is undone whole, is known when it comes again, and holds its tests', async () => {
		const id = await start(`${HEADER}\nF1,2026-07-08,Soybean,top trifoliate,R1,4.6,0.3,2.1,60\n`);
		decide(id, {});
		commit(id);
		const { id: field } = listFields(db)[0]!;
		const [test] = listLeafTests(db, field);
		expect(() => removeLeafTest(db, field, test!.id)).toThrow('undo that import');
		const again = await start(
			`${HEADER}\nF1,2026-07-08,Soybean,Top  trifoliate,R1,4.6,0.3,2.1,60\nF1,2026-07-08,Soybean,top trifoliate,R1,4.6,0.3,2.1,60\n`
		);
		expect(preview(again).rows.map(({ problems }) => problems[0]?.message)).toEqual([
			undefined,
			'F1 already has this leaf test in the book'
		]);
		undo(db, undoable(db)!.id);
		expect(listLeafTests(db, field)).toEqual([]);
		expect(listOutcomes(db, id)).toEqual([]);
	});

	it('keeps the columns of a lab for leaves apart from those for soil', async () => {
		const leaf = await start(`${HEADER}\nF1,2026-07-08,Soybean,top trifoliate,R1,4.6,0.3,2.1,60\n`);
		decide(leaf, {});
		commit(leaf);
		const soil = await start('Field,Date,Spot,pH\nF1,2026-07-08,bad,5.4\nF1,2026-07-08,good,6.2\nF1,2026-07-08,,6\n');
		decide(soil, {});
		commit(soil);
		expect(listLabs(db).map(({ lab, mapping }) => [lab, mapping.leaf !== undefined])).toEqual([
			['Fenmoor', true],
			['Fenmoor', false]
		]);
		const { id } = listFields(db)[0]!;
		expect(listSamples(db, id).map(({ report }) => report.spot)).toEqual(
			expect.arrayContaining(['bad', 'good', undefined])
		);
		// The rates go by the whole field alone.
		expect(listFieldSamples(db, id).map(({ report }) => report.layers[0]?.results[0]?.value)).toEqual([6]);
	});
});
