import { expect, hydrated, test } from './app';
import { act } from './row-menu';

test('choosing, overruling with a reason, undo and reload keep the state', async ({ page, app }) => {
	await app.openField('Old Orchard Piece', 'rates');
	const potash = page.getByRole('region', { name: 'Potash' });
	const chosen = potash.getByRole('radio', { checked: true });
	await potash.getByRole('radio').first().click();
	await expect(chosen).toHaveCount(1);

	await potash.getByRole('button', { name: 'Own rate' }).click();
	await potash.getByLabel('Rate, lb/ac').fill('45');
	await potash.getByRole('button', { name: 'Save it' }).click();
	await expect(potash.getByText('Say why: the reason stands on the sheet.')).toBeVisible();
	await potash.getByLabel('Because').fill('the bin holds 45');
	await potash.getByRole('button', { name: 'Save it' }).click();
	await expect(potash.getByText('because: the bin holds 45')).toBeVisible();
	await page.reload();
	await expect(potash.getByText('because: the bin holds 45')).toBeVisible();

	await page.getByRole('button', { name: 'Undo: Set K2O by own judgement' }).click();
	await expect(potash.getByText('because: the bin holds 45')).toHaveCount(0);
	await expect(chosen).toHaveCount(1);
	await page.keyboard.press('Control+z');
	await expect(chosen).toHaveCount(0);
});

test('a rule that does not apply says why and what to ask for, and is never shown as 0', async ({ page, app }) => {
	await app.openField('Mill Strip', 'rates');
	const potash = page.getByRole('region', { name: 'Potash' });
	await potash.getByRole('button', { name: 'Details' }).click();
	await expect(potash.getByText('does not apply').first()).toBeVisible();
	await expect(potash).toContainText('Ask the lab for CEC');
	await app.openField('Chalk Rise', 'rates');
	const phosphate = page.getByRole('region', { name: 'Phosphate' });
	await page.getByText(/^Not for this crop: \d+ guides$/).click();
	await expect(page.getByText(/Tri-state guide 1995 \(.*phosphate/)).toBeVisible();
	await expect(phosphate.locator('.label').filter({ hasText: /^0 / })).toHaveCount(0);
});

test('lime that is not needed says so', async ({ page, app }) => {
	await app.openField('Long Meadow', 'rates');
	await expect(page.getByRole('region', { name: 'Lime' })).toContainText('soil pH 6.5 is not below the trigger of 6.3');
});

test('switching units changes what is shown and nothing that is kept', async ({ page, app }) => {
	await app.openField('Kingfisher Bend', 'rates');
	const phosphate = page.getByRole('region', { name: 'Phosphate' });
	await expect(phosphate.getByRole('button', { name: /by Tri-state.*: 84.2 lb\/ac/ })).toBeVisible();
	await page.getByRole('button', { name: 'Switch units' }).click();
	// 84.2 lb/ac x 1.12085 = 94.4 kg/ha
	await expect(phosphate.getByRole('button', { name: /by Tri-state.*: 94.4 kg\/ha/ })).toBeVisible();
	await page.getByRole('button', { name: 'Switch units' }).click();
	await expect(phosphate.getByRole('button', { name: /by Tri-state.*: 84.2 lb\/ac/ })).toBeVisible();
});

test('a goal that is no number is named, and what was typed stays', async ({ page, app }) => {
	await app.openField('Kingfisher Bend', 'rates');
	await page.getByRole('button', { name: 'Change the goal' }).click();
	await page.getByLabel('Yield goal, bu/ac').fill('a lot');
	await page.getByRole('button', { name: 'Save the goal' }).click();
	await expect(page.getByText('Yield goal “a lot” must be a number above 0, at most 100000 bu/ac.')).toBeVisible();
	await expect(page.getByLabel('Yield goal, bu/ac')).toHaveValue('a lot');
});

test('a pass over the holding limit is stopped, and its remedy clears it', async ({ page, app }) => {
	await app.openField('Heronry', 'season');
	const sideDress = page.getByRole('row', { name: /Side-dress at V5/ });
	await expect(sideDress).toContainText(/\d Jun 2027\s*about V\d/);
	await act(sideDress, 'Change');
	await page.getByLabel('Product rate, lb/ac').fill('150');
	await page.getByRole('button', { name: 'Save the pass' }).click();
	await expect(
		page.getByText(
			/42 lb N\/ac in one go on 5 Jun 2027; the soil can hold [\d.]+, where [\d.]+ lb of earlier passes still lie/
		)
	).toBeVisible();
	const chosen = page.getByRole('region', { name: 'The chosen pass' });
	await chosen
		.getByRole('button', { name: /^Split into \d passes, the (second|last) on \d+ [A-Z][a-z]{2} 2027/ })
		.click();
	await expect(page.getByText('in one go on 5 Jun 2027')).toHaveCount(0);
	await page.getByRole('button', { name: /^Undo: Split into/ }).click();
	await expect(page.getByText('in one go on 5 Jun 2027')).toBeVisible();
});

test('a sample can be typed in from the lab’s paper', async ({ page, app }) => {
	await app.openField('Mill Strip', 'ground');
	await page.getByRole('button', { name: 'Type in a sample' }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel('soil pH', { exact: true }).fill('6.1');
	await dialog.getByLabel('CEC', { exact: true }).fill('thirteen');
	await dialog.getByRole('button', { name: 'Save the sample' }).click();
	await expect(dialog.getByText('CEC: “thirteen” is no number, 0 or more.')).toBeVisible();
	await dialog.getByLabel('CEC', { exact: true }).fill('13');
	await dialog.getByLabel('zinc', { exact: true }).fill('<0.5');
	await dialog.getByRole('button', { name: 'Save the sample' }).click();
	await expect(dialog).toHaveCount(0);
	await expect(page.getByRole('link', { name: 'Reading pH 6.1, CEC 13' })).toBeVisible();
	await expect(page.getByRole('cell', { name: '<0.5' })).toBeVisible();
	await page.getByRole('button', { name: 'Undo: Typed in a sample' }).click();
	await expect(page.getByRole('cell', { name: '<0.5' })).toHaveCount(0);
});

test('a proposal says what it could not place', async ({ page, app }) => {
	await app.openField('Pippin Block', 'rates');
	const nitrogen = page.getByRole('region', { name: 'Nitrogen' });
	await nitrogen.getByRole('button', { name: 'Own rate' }).click();
	await nitrogen.getByLabel('Rate, lb/ac').fill('600');
	await nitrogen.getByLabel('Because').fill('leaf test of July');
	await nitrogen.getByRole('button', { name: 'Save it' }).click();
	await expect(nitrogen.getByText('because: leaf test of July')).toBeVisible();
	await page.getByRole('link', { name: 'Plan the season with these rates' }).click();
	await page.getByRole('button', { name: 'Propose passes' }).click();
	await expect(page.getByText(/This plan is .* lb N\/ac short/)).toBeVisible();
});

test('a dangerous product shows its caution at the choice, in the plan and on the sheet', async ({ page, app }) => {
	await app.openField('Heronry', 'season');
	await page.getByRole('button', { name: 'Add a pass' }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByRole('textbox', { name: 'Pass', exact: true }).fill('Ammonia');
	await dialog.getByLabel('Product', { exact: true }).selectOption('ammonia');
	await expect(dialog.getByText('First aid: water for at least 15 minutes')).toBeVisible();
	await dialog.getByLabel('Product rate, lb/ac').fill('60');
	await dialog.getByRole('button', { name: 'Save the pass' }).click();
	await expect(page.getByRole('row', { name: /Anhydrous ammonia/ })).toContainText('never alone');
	await page.getByRole('link', { name: 'To the grower’s sheet' }).click();
	await expect(page.getByRole('article', { name: 'Sheet' })).toContainText('First aid: water for at least 15 minutes');
});

test('what was applied and harvested goes into the book, with every change on the field; nothing that is still to come', async ({
	page,
	app
}) => {
	await app.openField('Heronry', 'book');
	const pass = page.getByRole('table', { name: 'Passes, planned and applied' }).getByRole('row', {
		name: /P before planting/
	});
	await pass.getByRole('button', { name: 'Applied as planned' }).click();
	await expect(page.getByText(/must be no later than today, 2026-11-23; got “?"?2027-03-31/)).toBeVisible();
	await pass.getByRole('button', { name: 'Record what was applied' }).click();
	await page.getByRole('dialog').getByRole('button', { name: 'Save the entry' }).click();
	await expect(pass).toContainText('23 Nov 2026');
	await page.getByLabel('Harvested, bu/ac').fill('1310');
	await page.getByRole('button', { name: 'Save the harvest' }).click();
	await expect(page.getByText('Harvested yield must be 1 to 700 bu/ac for corn; got 1310.')).toBeVisible();
	await page.getByLabel('Harvested, bu/ac').fill('131');
	await page.getByRole('button', { name: 'Save the harvest' }).click();
	await expect(page.getByText(/cannot be recorded before the crop is planted, 2027-/)).toBeVisible();
	await app.openField('Heronry', 'book', 2026);
	await page.getByLabel('Harvested, bu/ac').fill('38');
	await page.getByRole('button', { name: 'Save the harvest' }).click();
	await expect(page.getByRole('row', { name: /Recorded the 2026 harvest/ })).toBeVisible();
	await page
		.getByRole('row', { name: /Recorded the 2026 harvest/ })
		.getByRole('button', { name: 'Undo' })
		.click();
	await expect(page.getByRole('row', { name: /Undid: Recorded the 2026 harvest/ })).toBeVisible();
	// Passes already applied are kept when the rest is proposed again.
	await app.openField('Heronry', 'season');
	await page.getByRole('button', { name: 'Propose again from the rates' }).click();
	await expect(page.getByRole('row', { name: /applied 23 Nov 2026/ })).toHaveCount(1);
});

test('new prices change the costs at once', async ({ page, app }) => {
	await page.goto(`${app.server.origin}/prices`);
	await hydrated(page);
	await page.getByLabel('Price of N', { exact: true }).fill('0.80');
	await page.getByRole('button', { name: 'Save the prices' }).click();
	await expect(page.getByRole('button', { name: 'Save the prices' })).toBeDisabled();
	await app.openField('Kingfisher Bend', 'rates');
	await expect(page.getByRole('region', { name: 'Nitrogen' })).toContainText('$128.48/ac');
});

test('straw taken off, a starter and a target in CaCl2 are kept with the goal and reckoned with', async ({
	page,
	app
}) => {
	await app.openField('Kingfisher Bend', 'rates');
	await page.getByRole('button', { name: 'Change the goal' }).click();
	await page.getByLabel('Straw or stover taken off, %').fill('150');
	await page.getByRole('button', { name: 'Save the goal' }).click();
	await expect(page.getByText('Straw or stover taken off “150” must be a number from 0 to 100 %.')).toBeVisible();
	await page.getByLabel('Straw or stover taken off, %').fill('50');
	await page.getByLabel('P2O5 in the starter, lb/ac').fill('20');
	await page.getByRole('button', { name: 'Save the goal' }).click();
	await expect(page.getByText('50 % of the straw taken off, starter with 20 lb P2O5')).toBeVisible();
	// IPNI tables: 160 bu x (0.25 + 0.5 x 1.1) lb K2O
	const potash = page.getByRole('region', { name: 'Potash' });
	await expect(potash.getByRole('button', { name: /Crop removal.*: 128 lb\/ac/ })).toBeVisible();

	await page.getByRole('link', { name: 'Plan the season with these rates' }).click();
	await page.getByRole('button', { name: 'Propose passes' }).click();
	await expect(page.getByRole('row', { name: /Starter beside the seed/ })).toContainText('P2O5 20');
	await page.reload();
	await hydrated(page);
	await expect(page.getByRole('row', { name: /Starter beside the seed/ })).toContainText('P2O5 20');
});

test('who holds the ground is a fact of the field, and says which approach suits', async ({ page, app }) => {
	await app.openField('Long Meadow', 'ground');
	await page.getByRole('button', { name: 'Change the facts' }).click();
	await page.getByLabel('Tenure').selectOption('rented by the year');
	await page.getByRole('button', { name: 'Save the facts' }).click();
	await expect(page.getByText('rented by the year')).toBeVisible();
	await page.getByRole('link', { name: /^Rates/ }).click();
	await expect(page.getByText('What is built up in the soil stays with the owner')).toBeVisible();
});
