import { expect, hydrated, test } from './app';

const FIELDS = 300;

test.describe('a book of many fields', () => {
	test.use({ demo: false });
	test('the roster draws what is in view, keeps its header in sight, sorts and filters over all', async ({
		page,
		app
	}) => {
		for (let at = 0; at < FIELDS; at++)
			await app.post('/api/fields', { name: `Piece ${at + 1}`, grower: `Grower ${at % 9}`, areaAcres: 1000 - at });
		await page.goto(app.server.origin);
		await hydrated(page);
		const table = page.getByRole('table', { name: 'Fields' });
		await expect(page.getByRole('heading', { name: `${FIELDS} fields, 9 growers` })).toBeVisible();
		const drawn = () => table.locator('tbody tr[data-row]').count();
		expect(await drawn()).toBeLessThan(60);

		await table.getByRole('button', { name: 'Area' }).click();
		await expect(table.getByRole('columnheader', { name: 'Area' })).toHaveAttribute('aria-sort', 'ascending');
		await expect(table.getByRole('link', { name: `Piece ${FIELDS}` })).toBeInViewport();
		await table.getByRole('link', { name: `Piece ${FIELDS}` }).hover();
		await page.mouse.wheel(0, 20_000);
		await expect(table.getByRole('link', { name: 'Piece 1', exact: true })).toBeInViewport();
		await expect(table.getByRole('columnheader', { name: 'Area' })).toBeInViewport({ ratio: 1 });
		expect(await drawn()).toBeLessThan(60);

		await page.getByRole('searchbox', { name: /^Filter by/ }).fill('piece 217');
		await expect(table.locator('tbody tr[data-row]')).toHaveCount(1);
		// The row opens what is next on it, its name the ground.
		await table.getByText('Grower 0').click();
		await expect(page).toHaveURL(/\/ground$/);
	});
});
