import { expect, hydrated, test } from './app';

test('a base dose with a decision: written, on the sheet, played over simulated seasons beside a kept plan, taken and undone', async ({
	page,
	app
}) => {
	await app.openField('Heronry', 'season');
	await hydrated(page);
	const kept = page.getByRole('region', { name: 'Plans saved beside this one' });
	await kept.getByLabel('Save this plan as').fill('Once and done');
	await kept.getByRole('button', { name: 'Save it' }).click();
	await expect(kept.getByRole('listitem')).toContainText('Once and done');

	const decided = page.getByRole('region', { name: 'To be decided' });
	await decided.getByRole('button', { name: 'Add a decision' }).click();
	const form = decided.getByRole('form', { name: 'A decision' });
	await form.getByLabel('Name').fill('Wet spring');
	await form.getByLabel('Limit, in').fill('lots');
	await form.getByRole('button', { name: 'Save the decision' }).click();
	await expect(decided.getByRole('alert').last()).toContainText('Limit “lots” must be a number from 0 to 1000 in.');
	await form.getByLabel('Limit, in').fill('6');
	await form.getByLabel('Product, lb/ac').fill('150');
	await form.getByRole('button', { name: 'Save the decision' }).click();
	const wet = decided.getByRole('article', { name: 'Wet spring' });
	await expect(wet).toContainText(/if more than 6 in of rain fell since .* then 150 lb\/ac of/);
	await expect(wet).toContainText('Not yet: to be looked at on');

	const seasons = page.getByRole('region', { name: 'Simulated seasons' });
	await seasons.getByRole('button', { name: /^Try/ }).click();
	const table = seasons.getByRole('table', { name: 'What each programme came to' });
	for (const name of ['This plan, nothing added', 'All before planting, with what may be added', 'Once and done']) {
		await expect(table.getByRole('row', { name: new RegExp(`^${name} `) })).toBeVisible();
	}
	await expect(seasons).toContainText(
		/“This plan” adds in \d+ of 200 seasons \(\d+ of the 40 wettest\)\. Against “Once and done”/
	);
	await expect(seasons).toContainText(/it does not in \d+ of 200 seasons/);
	await seasons.getByRole('button', { name: /^“This plan” against “Once and done”, the wettest fifth/ }).click();
	await expect(page.getByRole('dialog', { name: 'Worksheet' })).toContainText('mean of 40 simulated seasons');
	await page.keyboard.press('Escape');

	await app.openField('Heronry', 'sheet');
	await expect(page.getByText('To be decided in the season')).toBeVisible();
	await expect(page.getByText(/^Look on .* if more than 6 in of rain fell/)).toBeVisible();

	await app.openField('Heronry', 'season');
	await hydrated(page);
	await kept.getByRole('button', { name: 'Put Once and done into use' }).click();
	await expect(wet).toBeHidden();
	await page.getByRole('button', { name: /^Undo: Put the saved plan Once and done into use/ }).click();
	await wet.getByRole('button', { name: 'Add its pass to the plan' }).click();
	await expect(wet).toContainText('its pass is in the plan');
	await page.getByRole('button', { name: /^Undo: Added Wet spring/ }).click();
	await expect(wet.getByRole('button', { name: 'Add its pass to the plan' })).toBeVisible();
});
