import { expect, test } from '@playwright/test';
import { open } from './base';
import { keepFirstState } from './first-state';

/** Signs in once by the demo's button; the other tests go on from here, and second tries from this state of the data. */
test('enter the demo studio', async ({ page }) => {
	await open(page, '/sign-in');
	await page.getByRole('button', { name: 'Enter the demo studio' }).click();
	await expect(page.getByRole('heading', { name: 'This week' })).toBeVisible();
	await page.context().storageState({ path: `${process.env.E2E_RESULTS}/imke.json` });
	await keepFirstState();
});
