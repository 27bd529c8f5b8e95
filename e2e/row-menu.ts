import type { Locator } from '@playwright/test';

/** Opens the menu of a row (or of a thing in a list) and does one of what it offers. */
export async function act(row: Locator, text: string, of: string | RegExp = /^What to do with/): Promise<void> {
	await row.getByRole('button', { name: of }).click();
	await row.page().getByRole('menuitem', { name: text, exact: true }).click();
}
