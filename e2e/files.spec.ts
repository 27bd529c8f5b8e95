import { rowsWithoutEnd } from '../src/lib/server/files/apart/worst-files.test-help';
import { expect, hydrated, test } from './app';

test('a file that takes long: the adviser sees it and gives it up', async ({ page, app }) => {
	const { name, bytes } = rowsWithoutEnd();
	await page.goto(`${app.server.origin}/import`);
	await hydrated(page);
	await page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(bytes) });
	const reading = page.getByRole('status').filter({ hasText: 'Reading rows.xlsx' });
	await reading.getByRole('button', { name: 'Cancel' }).click();
	await expect(page.getByText('rows.xlsx was given up.')).toBeVisible();
	await expect(reading).toHaveCount(0);
	await expect(page.getByRole('link', { name: 'rows.xlsx' })).toHaveCount(0);
});

test('while a file is read that never ends, others are answered', async ({ app }) => {
	const left = new AbortController();
	const { name, bytes } = rowsWithoutEnd();
	const file = fetch(`${app.server.origin}/api/imports`, {
		method: 'POST',
		headers: { 'content-type': 'application/octet-stream', 'x-file-name': name },
		body: bytes.slice().buffer,
		signal: left.signal
	});
	const fields = fetch(`${app.server.origin}/api/fields?find=Crow`);
	expect(await Promise.race([file.then(() => 'the file'), fields.then(({ status }) => status)])).toBe(200);
	left.abort();
	await expect(file).rejects.toThrow('aborted');
});
