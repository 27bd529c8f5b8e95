import { expect, test } from './app';

test('a pass applied in loads: recorded, seen on the board, corrected with its reason, undone', async ({
	page,
	app
}) => {
	await app.openField('Long Meadow', 'book');
	const pass = page.getByRole('table', { name: 'Passes, planned and applied' }).getByRole('row', { name: /Top-dress/ });
	const entries = page.getByRole('table', { name: 'What was applied' });
	const form = page.getByRole('dialog');
	await pass.getByRole('button', { name: 'Record what was applied' }).click();
	await expect(form.getByLabel('Applied by')).toHaveValue('Own spreader');
	await expect(form.getByLabel('Ground covered, ac')).toHaveValue('54');
	await form.getByLabel('Applied on').fill('2027-04-05');
	await form.getByRole('button', { name: 'Save the entry' }).click();
	await expect(form.getByText(/must be no later than today, 2026-11-23/)).toBeVisible();
	await form.getByLabel('Applied on').fill('2026-11-20');
	await form.getByLabel('Product rate, lb/ac').fill('360');
	await form.getByLabel('Ground covered, ac').fill('540');
	await form.getByLabel('Problems and remarks').fill('A nozzle was blocked on the first round.');
	await form.getByRole('button', { name: 'Save the entry' }).click();
	await expect(form.getByText('must be no more than the 54 ac of Long Meadow; got 540')).toBeVisible();
	await form.getByLabel('Ground covered, ac').fill('20');
	await form.getByRole('button', { name: 'Save the entry' }).click();
	await expect(pass).toContainText('on 20 ac so far');
	await expect(entries.getByRole('row', { name: /A nozzle was blocked/ })).toContainText('360 lb/ac');

	await entries
		.getByRole('row', { name: /A nozzle was blocked/ })
		.getByRole('button', { name: 'Correct' })
		.click();
	await form.getByLabel('Ground covered, ac').fill('24');
	await form.getByRole('button', { name: 'Save the correction' }).click();
	await expect(form.getByText('Say why the entry is corrected.')).toBeVisible();
	await form.getByLabel('Why it is corrected').fill('The acre counter says 24');
	await form.getByRole('button', { name: 'Save the correction' }).click();
	await expect(pass).toContainText('on 24 ac so far');
	await expect(entries.getByRole('row', { name: /corrected: The acre counter says 24/ })).toContainText('20 ac');

	await app.openField('Long Meadow', 'season');
	await expect(page.getByRole('button', { name: /^Top-dress.* on 20 Nov 2026, applied$/ })).toBeVisible();
	await page.getByRole('button', { name: /^Top-dress.* on 6 Apr 2027: arrow keys/ }).click();
	const panel = page.getByRole('region', { name: 'The chosen pass' });
	await expect(panel).toContainText('the rest, on 30 ac');
	await expect(panel.getByRole('button', { name: 'Applied', exact: true })).toHaveCount(0);
	await page.getByRole('button', { name: /^Undo: Corrected what was applied/ }).click();
	await expect(panel).toContainText('the rest, on 34 ac');
	await panel.getByRole('link', { name: 'Record what was applied' }).click();
	await expect(pass).toContainText('on 20 ac so far');
});

test('rye after corn: set on the season, told by the records, removed', async ({ page, app }) => {
	await app.openField('Heronry', 'season');
	const after = page.getByRole('region', { name: 'After the harvest' });
	// The calendar is not paid for by those who never scroll down to it.
	await expect(page.locator('.flatpickr-calendar')).toHaveCount(0);
	await after.getByLabel('Sown on').scrollIntoViewIfNeeded();
	await expect(after.locator('.flatpickr-calendar')).toHaveCount(2);
	await after.getByRole('button', { name: 'Add the catch crop' }).click();
	await expect(after.getByText('Give the day on which it is sown and the day on which it ends.')).toBeVisible();
	await after.getByLabel('Sown on').fill('2027-10-01');
	await after.getByLabel('Killed or cut on').fill('2027-09-01');
	await after.getByRole('button', { name: 'Add the catch crop' }).click();
	await expect(after.getByText(/must lie within 300 days after it was sown; got “?"?2027-09-01/)).toBeVisible();
	await after.getByLabel('Killed or cut on').fill('2028-04-15');
	await after.getByRole('button', { name: 'Add the catch crop' }).click();
	await expect(after.getByText(/Cereal rye, 1 Oct 2027 to 15 Apr 2028, catches/)).toBeVisible();
	await after.getByRole('button', { name: 'Remove it' }).click();
	await expect(after.getByText(/A catch crop takes up nitrogen/)).toBeVisible();
	await page.getByRole('button', { name: /^Undo: Removed the catch crop/ }).click();
	await expect(after.getByText(/Cereal rye, 1 Oct 2027/)).toBeVisible();
});
