import type { Page } from '@playwright/test';
import { expect, hydrated, test } from './app';
import { act } from './row-menu';

const HEADING = 'Changed in the book meanwhile';

/** Two windows of the same page. */
async function twoTabs(page: Page, open: (page: Page) => Promise<void>): Promise<Page> {
	const other = await page.context().newPage();
	await open(page);
	await open(other);
	return other;
}

const dialog = (page: Page) => page.getByRole('dialog', { name: HEADING });
const row = (page: Page, what: string) => dialog(page).getByRole('row', { name: new RegExp(`^${what}`) });

test('facts: what another window changed is shown beside what was typed, and the adviser says which stands', async ({
	page,
	app
}) => {
	const id = await app.fieldId('Kingfisher Bend');
	const edit = async (tab: Page) => {
		await tab.goto(`${app.server.origin}/field/${id}/2027/ground`);
		await hydrated(tab);
		await tab.getByRole('button', { name: 'Change the facts' }).click();
	};
	const other = await twoTabs(page, edit);
	await page.getByLabel('Area, ac').fill('63');
	await page.getByRole('button', { name: 'Save the facts' }).click();
	await expect(page.getByRole('button', { name: 'Change the facts' })).toBeVisible();
	await other.getByLabel('Slope, %').fill('4');
	await other.getByRole('button', { name: 'Save the facts' }).click();
	await expect(row(other, 'Area, ac')).toContainText('63');
	await expect(row(other, 'Area, ac')).toContainText('62');
	await expect(row(other, 'Slope, %')).toContainText('4');
	// By the keyboard: the choice that loses nothing of the other window's comes first.
	await dialog(other).getByRole('button', { name: 'Leave it as it is in the book' }).press('Enter');
	await expect(dialog(other)).toHaveCount(0);
	await expect(other.getByText('63 ac').first()).toBeVisible();
	await edit(other);
	await page.getByRole('button', { name: 'Change the facts' }).click();
	await page.getByLabel('Area, ac').fill('64');
	await page.getByRole('button', { name: 'Save the facts' }).click();
	await expect(page.getByRole('button', { name: 'Change the facts' })).toBeVisible();
	await other.getByLabel('Area, ac').fill('65');
	await other.getByRole('button', { name: 'Save the facts' }).click();
	await dialog(other).getByRole('button', { name: 'Save mine' }).click();
	await expect(other.getByText('65 ac').first()).toBeVisible();
});

test('goal, pass and prices of a stale window are asked about, not written', async ({ page, app }) => {
	const id = await app.fieldId('Crow Acre');
	const origin = app.server.origin;
	await test.step('goal', async () => {
		const other = await twoTabs(page, async (tab) => {
			await tab.goto(`${origin}/field/${id}/2027/rates`);
			await hydrated(tab);
			await tab.getByRole('button', { name: 'Change the goal' }).click();
		});
		await page.getByLabel('Yield goal, bu/ac').fill('171');
		await page.getByRole('button', { name: 'Save the goal' }).click();
		await expect(page.getByText('171 bu/ac').first()).toBeVisible();
		await other.getByLabel('Yield goal, bu/ac').fill('150');
		await other.getByRole('button', { name: 'Save the goal' }).click();
		await expect(row(other, 'Yield goal')).toContainText('171');
		await expect(row(other, 'Yield goal')).toContainText('150');
		await dialog(other).getByRole('button', { name: 'Save mine' }).click();
		await expect(other.getByText('150 bu/ac').first()).toBeVisible();
		await other.close();
	});
	await test.step('pass', async () => {
		const other = await twoTabs(page, async (tab) => {
			await tab.goto(`${origin}/field/${id}/2027/book`);
			await hydrated(tab);
		});
		await page.goto(`${origin}/field/${id}/2027/season`);
		await hydrated(page);
		await page
			.getByRole('button', { name: /^Starter/ })
			.first()
			.focus();
		await page.keyboard.press('ArrowRight');
		await expect(page.getByRole('button', { name: /^Undo: Moved Starter/ })).toBeVisible();
		await other
			.getByRole('row', { name: /Starter/ })
			.first()
			.getByRole('button', { name: 'Applied as planned' })
			.click();
		await expect(dialog(other)).toBeVisible();
		await expect(row(other, 'Date')).toBeVisible();
		await dialog(other).getByRole('button', { name: 'Leave it as it is in the book' }).click();
		await expect(dialog(other)).toHaveCount(0);
		await expect(other.getByRole('row', { name: /Starter/ }).first()).toContainText('not yet');
		await other.close();
	});
	await test.step('prices', async () => {
		const other = await twoTabs(page, async (tab) => {
			await tab.goto(`${origin}/prices`);
			await hydrated(tab);
		});
		await page.getByLabel('Price of Urea 46-0-0').fill('555');
		await page.getByRole('button', { name: 'Save the prices' }).click();
		await expect(page.getByRole('button', { name: 'Save the prices' })).toBeDisabled();
		await other.getByLabel('Price of Urea 46-0-0').fill('600');
		await other.getByRole('button', { name: 'Save the prices' }).click();
		await expect(row(other, 'Price of urea')).toContainText('555');
		await dialog(other).getByRole('button', { name: 'Save mine' }).click();
		await expect(dialog(other)).toHaveCount(0);
		await expect(other.getByLabel('Price of Urea 46-0-0')).toHaveValue('600');
	});
});

test('zones of a stale window are asked about, and undo brings back what the other window wrote', async ({
	page,
	app
}) => {
	const id = await app.fieldId('Brick Kiln');
	const edit = async (tab: Page) => {
		await tab.goto(`${app.server.origin}/field/${id}/2027/zones`);
		await hydrated(tab);
		await act(tab.getByRole('listitem').filter({ hasText: 'Sand knob' }), 'What is known');
	};
	const other = await twoTabs(page, edit);
	await page.getByLabel('Yield goal').fill('140');
	await page.getByRole('button', { name: 'Save it' }).click();
	await expect(page.getByRole('button', { name: /^Undo: Changed what is known of/ })).toBeVisible();
	await other.getByLabel('Yield goal').fill('120');
	await other.getByRole('button', { name: 'Save it' }).click();
	await expect(row(other, 'Yield goal')).toContainText('140');
	await dialog(other).getByRole('button', { name: 'Save mine' }).click();
	await expect(dialog(other)).toHaveCount(0);
	await other.getByRole('button', { name: /^Undo: Changed what is known of/ }).click();
	await edit(page);
	await expect(page.getByLabel('Yield goal')).toHaveValue('140');
});
