import type { Page } from '@playwright/test';
import { expect, test } from './app';

/** Acid, sandy, calcareous and ordinary ground; corn, wheat and soybean. */
const FIELDS = ['Crow Acre', 'Kingfisher Bend', 'Long Meadow', 'Brick Kiln', 'Coulee North'];

test('every nutrient of a field is seen in one window, and no word stands over another', async ({ page, app }) => {
	for (const units of ['lb/ac', 'kg/ha']) {
		for (const field of FIELDS) {
			await app.openField(field, 'rates');
			await expect(page.getByRole('button', { name: 'Switch units' })).toHaveText(units);
			const sum = page.getByRole('link', { name: /season/i }).last();
			await expect
				.poll(async () => Math.round((await sum.boundingBox())?.y ?? NaN), `${field} ${units}`)
				.toBeLessThan(790);
			expect(await touching(page), `${field} ${units}`).toEqual([]);
		}
		await page.getByRole('button', { name: 'Switch units' }).click();
		await expect(page.getByRole('button', { name: 'Switch units' })).not.toHaveText(units);
	}
});

test('by keyboard alone: a mark is chosen, a number explained, an own rate written with its reason, and undone', async ({
	page,
	app
}) => {
	await app.openField('Long Meadow', 'rates');
	const phosphate = page.getByRole('region', { name: 'Phosphate' });
	const marks = phosphate.getByRole('radio');
	// Tab comes to the chosen mark; arrows only look, Space takes.
	await expect(phosphate.getByRole('radio', { checked: true })).toHaveAttribute('tabindex', '0');
	await phosphate.getByRole('radio', { checked: true }).focus();
	await page.keyboard.press('ArrowLeft');
	await expect(marks.nth(1)).toBeFocused();
	await expect(marks.nth(1)).not.toBeChecked();
	await page.keyboard.press('Space');
	await expect(marks.nth(1)).toBeChecked();
	await phosphate.getByRole('button', { name: /by Crop removal.*worksheet/ }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByRole('dialog', { name: 'Worksheet' })).toContainText('removal x yield goal');
	await page.keyboard.press('Escape');

	await phosphate.getByRole('button', { name: 'Own rate' }).focus();
	await page.keyboard.press('Enter');
	await expect(phosphate.getByLabel('Rate, lb/ac')).toBeFocused();
	await page.keyboard.type('30');
	await page.keyboard.press('Tab');
	await page.keyboard.type('old manure heap');
	await page.keyboard.press('Enter');
	await expect(phosphate.getByRole('radio', { name: 'Own rate: 30 lb/ac' })).toBeChecked();
	await expect(phosphate).toContainText('because: old manure heap');
	await expect(phosphate.getByRole('button', { name: 'Own rate' })).toBeFocused();
	await page.keyboard.press('Control+z');
	await expect(phosphate.getByRole('radio', { name: /^Own rate/ })).toHaveCount(0);
	await expect(marks.nth(1)).toBeChecked();
});

test('a mark that lacks a value says which; a rate of none says why in a sentence', async ({ page, app }) => {
	await app.openField('Long Meadow', 'rates');
	const phosphate = page.getByRole('region', { name: 'Phosphate' });
	await expect(phosphate).toContainText('more with P by Olsen, or P by Mehlich-3');
	await phosphate.getByRole('button', { name: /gives no rate: P by Olsen/ }).click();
	await expect(phosphate).toContainText('Ask the lab for phosphorus by Olsen.');
	await expect(phosphate).toContainText('the soil supplies what the crop needs: none');
	await app.openField('Crow Acre', 'rates');
	const magnesium = page.getByRole('region', { name: 'Magnesium' });
	await magnesium.getByRole('button', { name: 'Details' }).click();
	await expect(magnesium).toContainText(/Mg is already [\d.]+ % of CEC, at or above the 6 % aimed at: none/);
});

/** Pairs of labels whose boxes overlap, by their words. */
async function touching(page: Page): Promise<string[]> {
	return page.evaluate(() => {
		const boxes = [...document.querySelectorAll<HTMLElement>('.strip .label')].map((label) => ({
			text: label.innerText,
			box: label.getBoundingClientRect()
		}));
		return boxes.flatMap(({ text, box }, at) =>
			boxes
				.slice(at + 1)
				.filter(
					({ box: other }) =>
						box.left < other.right - 1 &&
						other.left < box.right - 1 &&
						box.top < other.bottom - 2 &&
						other.top < box.bottom - 2
				)
				.map((other) => `${text} / ${other.text}`)
		);
	});
}
