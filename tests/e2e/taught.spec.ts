import { axeInBoth, expect, open, test } from './base';
import { begin, toTeach } from './teaching';

test.use({ ownContext: true });

test('a class that nobody led is written down in two taps, found in the history, and taken back', async ({
	page
}) => {
	await open(page, '/group');
	await page.getByRole('link', { name: 'Breakwater Striders' }).first().click();
	const plan = page.locator('main a[href^="/plan/"]').first();
	await plan.click();
	await page.getByRole('link', { name: 'How it went', exact: true }).click();
	await expect(page.getByRole('heading', { level: 1, name: /^How it went/ })).toBeVisible();
	const taken = page.getByRole('button', { name: 'Delete record' });
	if (await taken.isVisible()) {
		await taken.click();
		await expect(page.getByText('Record deleted', { exact: true })).toBeVisible();
	}
	expect(await axeInBoth(page), 'taught').toEqual([]);
	await page.getByRole('button', { name: /^(It went as planned|Record it as it was led)$/ }).click();
	await expect(page.getByText('Recorded', { exact: true })).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Record', exact: true })).toBeVisible();
	await page.getByLabel('Notes').fill('The sea was loud');
	await page.getByRole('button', { name: 'Save changes' }).click();
	await expect(page.getByText('Recorded', { exact: true })).toBeVisible();
	await page.getByRole('link', { name: /^All classes of/ }).click();
	await page.getByRole('textbox', { name: /^Search titles/ }).fill('sea loud');
	await page.getByRole('button', { name: 'Search' }).click();
	await expect(page.getByText(/^1 of \d+ classes$/)).toBeVisible();
	expect(await axeInBoth(page), 'history').toEqual([]);
	const file = await page.request.get(
		(await page.getByRole('link', { name: 'Export as CSV' }).getAttribute('href'))!
	);
	expect(file.headers()['content-type']).toContain('text/csv');
	const lines = (await file.text()).split('\r\n');
	expect(lines[0]).toBe('day,begins,class,minutes,effort 0-10,people,left out,note');
	expect(lines.some((line) => line.endsWith('The sea was loud'))).toBe(true);
	await page.getByRole('cell').getByRole('link').first().click();
	await page.getByRole('button', { name: 'Delete record' }).click();
	await expect(page.getByRole('heading', { name: 'Not recorded yet' })).toBeVisible();
});

test('a class that was led stands planned and real side by side, and is written down by itself', async ({
	page
}) => {
	const { path, plan } = await toTeach(page);
	const pack = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	await page.clock.install({ time: pack.plannedStartAt });
	await begin(page, path);
	const steps = pack.script.steps as { id: string; seconds: number; title: string; equals: string | null }[];
	const second = steps.find(({ equals }) => equals !== null)!;
	for (const step of steps) {
		await page.clock.fastForward(step.id === second.id ? 4000 : step.seconds * 1000);
		await page.keyboard.press('PageDown');
	}
	await expect(page.getByText('Everything is saved on the server.')).toBeVisible();
	await page.getByRole('link', { name: 'How it went', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Record', exact: true })).toBeVisible();
	await expect(
		page.getByRole('row', { name: new RegExp(`^${second.title} .*second \\d+ % shorter`) })
	).toBeVisible();
	// the one score over the other, on one scale of time
	const scores = page.getByRole('img', { name: /^Score of the class/ });
	await expect(scores).toHaveCount(2);
	await expect(scores.first()).toHaveAccessibleName(/^Score of the class as planned: \d+ items over /);
	await expect(scores.last()).toHaveAccessibleName(/^Score of the class as it went: \d+ items over /);
	await expect(page.getByLabel('Minutes')).toHaveValue(/^\d+$/);
	await page.getByRole('button', { name: 'Delete record' }).click();
	await expect(page.getByText('Record deleted', { exact: true })).toBeVisible();
});
