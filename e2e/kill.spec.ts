import Database from 'better-sqlite3';
import { expect, test } from '@playwright/test';
import { bookFolder, startServer } from './server';

const ROWS = 2000;
const KILLS = 7;

test('killed in the middle of an import, the book is whole each time', async () => {
	test.setTimeout(600_000);
	const rows = Array.from({ length: ROWS }, (_, at) => `Grower ${at % 40},Field ${at},2026-10-01,5.6,6.4,10,120,16`);
	const csv = ['Grower,Field,Date,pH (1:1),Buffer pH (SMP),P Bray (ppm),K (ppm),CEC', ...rows].join('\n');
	const found = { whole: 0, none: 0 };
	for (let kill = 0; kill < KILLS; kill++) {
		const book = bookFolder();
		const server = await startServer(book.file);
		const upload = await fetch(`${server.origin}/api/imports`, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream', 'x-file-name': 'big.csv' },
			body: csv
		});
		const { id } = (await upload.json()) as { id: string };
		const draft = new Database(book.file, { readonly: true });
		const kept = JSON.parse((draft.prepare('SELECT draft FROM lab_import').get() as { draft: string }).draft) as object;
		draft.close();
		await fetch(`${server.origin}/api/imports/${id}/draft`, {
			method: 'PUT',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ ...kept, lab: 'Fenmoor' })
		});
		const commit = fetch(`${server.origin}/api/imports/${id}/commit`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: '{}'
		}).then(
			({ ok }) => ok,
			() => false
		);
		// The kills are spread from before the first write to after the answer.
		await killAfter(kill / (KILLS - 1), book.file, commit);
		await server.stop();
		const answered = await commit;

		const after = new Database(book.file);
		const count = (table: string) => (after.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n;
		expect(after.pragma('integrity_check', { simple: true })).toBe('ok');
		expect(after.pragma('foreign_key_check')).toEqual([]);
		const counts = ['field', 'sample', 'lab_import_row'].map(count);
		expect([
			[0, 0, 0],
			[ROWS, ROWS, ROWS]
		]).toContainEqual(counts);
		expect(count('event')).toBe(counts[0] === 0 ? 0 : 1);
		// What was answered is on disk.
		if (answered) expect(counts[0]).toBe(ROWS);
		found[counts[0] === 0 ? 'none' : 'whole']++;
		after.close();
		book.remove();
	}
	expect(found.none).toBeGreaterThan(0);
	expect(found.whole).toBeGreaterThan(0);
});

/** Waits for a share of an import's work: 0 none of it, 1 until it was answered; between, by the growth of the WAL. */
async function killAfter(share: number, file: string, commit: Promise<boolean>): Promise<void> {
	if (share === 1) return void (await commit);
	let answered = false;
	void commit.then(() => (answered = true));
	const started = performance.now();
	const wait = share * 450;
	while (!answered && performance.now() - started < wait) await new Promise((resolve) => setImmediate(resolve));
}
