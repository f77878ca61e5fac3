import type { Page } from '@playwright/test';
import { addByKey, arrive, expect, newPlan, open, reload, saved, test, total } from './base';
import { servePid } from './first-state';

test('two windows on one plan cannot lose an edit', async ({ page, context, watch }) => {
	watch.allow.push(/409/);
	const path = await newPlan(page);
	await addByKey(page, 'clam');
	await expect(saved(page)).toBeVisible();
	const other = await context.newPage();
	await open(other, path);

	await addByKey(page, 'cobra');
	await expect(saved(page)).toBeVisible();
	await addByKey(other, 'frog');
	await expect(
		other.getByRole('heading', { name: 'This class was changed in another window too' })
	).toBeVisible();
	await other.getByRole('textbox', { name: 'Title of the class' }).fill('Mine');
	await other.getByRole('button', { name: 'Keep this version' }).click();
	await expect(saved(other)).toBeVisible();
	await open(other, path);
	await expect(other.getByRole('group', { name: /^Frog/ })).toBeVisible();

	// the first window's version is a plan of its own
	await other.getByRole('link', { name: 'Breakwater Striders' }).click();
	await arrive(other, '/group/');
	await other.getByRole('link', { name: 'Breakwater Striders (other version)' }).click();
	await expect(other.getByRole('group', { name: /^Cobra/ })).toBeVisible();
	await expect(other.getByRole('group', { name: /^Frog/ })).toBeHidden();
});

test('taking the other window’s version keeps this one as a copy', async ({ page, context, watch }) => {
	watch.allow.push(/409/);
	const path = await newPlan(page, 'Lamp Room');
	await addByKey(page, 'clam');
	await expect(saved(page)).toBeVisible();
	const other = await context.newPage();
	await open(other, path);
	await addByKey(other, 'cobra');
	await expect(saved(other)).toBeVisible();

	await addByKey(page, 'frog');
	await page.getByRole('button', { name: 'Use the other version' }).click();
	await expect(page.getByRole('group', { name: /^Cobra/ })).toBeVisible();
	await expect(page.getByText('The other version is kept as a separate plan')).toBeVisible();
	await open(page, '/group');
	await page.getByRole('link', { name: 'Lamp Room' }).click();
	await arrive(page, '/group/');
	await page.getByRole('link', { name: 'Lamp Room (other version)' }).click();
	await expect(page.getByRole('group', { name: /^Frog/ })).toBeVisible();
});

test('two windows on one group: the version not taken stays at hand', async ({ page, context, watch }) => {
	watch.allow.push(/409/);
	await open(page, '/group');
	await page.getByRole('link', { name: 'Lamp Room' }).click();
	await arrive(page, '/group/');
	const note = (window: Page) => window.getByLabel('Note');
	const before = await note(page).inputValue();
	const other = await context.newPage();
	await open(other, new URL(page.url()).pathname);

	await note(page).fill('Keys at the desk');
	await expect(saved(page)).toBeVisible();
	await note(other).fill('Door code at the bar');
	await other.getByRole('button', { name: 'Use the other version' }).click();
	await expect(note(other)).toHaveValue('Keys at the desk');
	await other.getByRole('button', { name: 'Switch to it' }).click();
	await expect(note(other)).toHaveValue('Door code at the bar');
	await expect(saved(other)).toBeVisible();

	// a figure that is emptied keeps what was there
	const least = other.getByLabel('flexion, from percent');
	const figure = await least.inputValue();
	await least.fill('');
	await least.blur();
	await expect(least).toHaveValue(figure);
	await note(other).fill(before);
	await expect(saved(other)).toBeVisible();
});

test.describe('without a connection', () => {
	test.use({ ownContext: true });
	test('a minute without a connection loses nothing: editing goes on and is saved when it is back', async ({
		page,
		context,
		watch
	}) => {
		watch.allow.push(/ERR_INTERNET_DISCONNECTED/);
		await page.clock.install();
		await newPlan(page);
		await addByKey(page, 'clam');
		await expect(saved(page)).toBeVisible();
		await context.setOffline(true);
		await addByKey(page, 'cobra');
		await expect(page.getByText('No connection: kept in this browser')).toBeVisible();
		await page.clock.fastForward(60_000);
		await addByKey(page, 'plank');
		await page.clock.fastForward(60_000);
		await expect(page.getByText('No connection: kept in this browser')).toBeVisible();
		await context.setOffline(false);
		await page.clock.fastForward(20_000);
		await expect(saved(page)).toBeVisible({ timeout: 20_000 });
		await reload(page);
		await expect(page.locator('.row')).toHaveCount(3);
	});
});

test('a window closed without a connection finds its edits again', async ({ page, watch }) => {
	watch.allow.push(/ERR_FAILED|ERR_INTERNET|Failed to load/);
	const path = await newPlan(page);
	await page.route('**/api/plans/*', (route) => route.abort());
	await addByKey(page, 'clam');
	await expect(page.getByText('No connection: kept in this browser')).toBeVisible();
	const length = await total(page).textContent();
	await page.goto('/group');
	await page.unroute('**/api/plans/*');
	await open(page, path);
	await expect(total(page)).toHaveText(length ?? '');
	await expect(
		page.getByText('Changes that had not reached the server were found in this browser')
	).toBeVisible();
	await expect(saved(page)).toBeVisible();
});

test('the database stops while a plan is edited and comes back: nothing is lost', async ({ page, watch }) => {
	watch.allow.push(/50[03]/);
	await newPlan(page);
	await addByKey(page, 'clam');
	await expect(saved(page)).toBeVisible();
	process.kill(servePid(), 'SIGUSR1');
	// the server says so itself
	await expect.poll(async () => (await page.request.get('/group')).status()).toBe(503);
	await addByKey(page, 'cobra');
	await expect(page.getByText('No connection: kept in this browser')).toBeVisible({ timeout: 20_000 });
	const down = await page.request.get('/group');
	expect(down.status()).toBe(503);
	const words = await down.text();
	expect(words).toContain('The database is not answering just now');
	expect(words).not.toMatch(/\bat .*\.js:\d+|ECONNREFUSED/);
	process.kill(servePid(), 'SIGUSR2');
	await expect(saved(page)).toBeVisible({ timeout: 25_000 });
	await reload(page);
	await expect(page.locator('.row')).toHaveCount(2);
});

test('the server refuses what is wrong, whoever sends it', async ({ page }) => {
	const path = await newPlan(page);
	const url = `/api${path.replace('/plan/', '/plans/')}`;
	const { plan } = await (await page.request.get(`${path}/file`)).json();
	const headers = { origin: new URL(page.url()).origin };
	const put = (data: unknown) => page.request.put(url, { data, headers });

	const long = await put({ version: 1, document: { ...plan, lengthSeconds: 36_000 } });
	expect(long.status()).toBe(422);
	expect((await long.json()).faults).toEqual([
		{ path: 'lengthSeconds', message: 'a class lasts at most 4 hours (14400 seconds)' }
	]);
	expect((await put({ document: plan })).status()).toBe(422);
	expect((await put('nonsense')).status()).toBe(400);
	expect((await page.request.put(url, { data: {} })).status(), 'from another site').toBe(403);
	expect((await put({ version: 1, document: plan })).status()).toBe(200);
	const again = await put({ version: 1, document: plan });
	expect([again.status(), (await again.json()).version], 'the same save sent twice').toEqual([200, 2]);
	const stale = await put({ version: 1, document: { ...plan, title: 'Another title' } });
	expect(stale.status()).toBe(409);
	expect((await stale.json()).current.version).toBe(2);
	expect(
		(await page.request.put('/api/plans/nowhere', { data: { version: 1, document: plan }, headers })).status()
	).toBe(404);
});
