/** Pages stay alive: with what once ended them, with a part that fails, and with what another window removed. */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import {
	addByKey,
	arrive,
	expect,
	fromPage,
	groupPath,
	newPlan,
	open,
	saved,
	test,
	total,
	enteredAnew
} from './base';

/** A series of the demo's file, with its ladders changed, as the page of a group would bring it in. */
async function seriesWith(page: Page, change: (ladders: { rungs: object[] }[]) => unknown[]) {
	const { series: known } = JSON.parse(
		readFileSync('examples/out-of-the-chair-for-eight-weeks.series.json', 'utf8')
	);
	// under a name of its own: the other tests open the demo's by its title
	const title = 'Goals that share a step';
	const series = { ...known, title, ladders: change(known.ladders), classes: [] };
	const group = await groupPath(page, 'Lamp Room');
	return page.request.post('/api/series', {
		data: { groupId: group.split('/').at(-1), planned: { series, plans: {} } },
		...fromPage()
	});
}

test('goals that share a step leave the page of a series alive, and the same goal twice is refused', async ({
	page
}) => {
	const twice = await seriesWith(page, ([first]) => [first, first]);
	expect(twice.status()).toBe(422);
	expect((await twice.json()).faults[0].message).toContain('this goal is there already');

	const rung = { movement: 'clam', form: 'supported', mode: 'dynamic', dose: 8 };
	const top = (form: string) => ({ ...rung, form });
	const sharing = await seriesWith(page, () => [
		{ rungs: [rung, top('full')] },
		{ rungs: [rung, top('stronger')] }
	]);
	expect(sharing.status()).toBe(201);
	await open(page, `/series/${(await sharing.json()).id}`);
	// dates are laid out anew, so that both goals have their first step in the same class
	const weeks = page.getByRole('spinbutton', { name: 'Weeks' });
	await weeks.fill('2');
	await weeks.blur();
	const both = page.getByRole('button').filter({ hasText: /Clam, supported[^]*Clam, supported/ });
	await expect(both.first()).toBeVisible();
	await page
		.getByRole('button', { name: /^Remove goal/ })
		.first()
		.click();
	await expect(page.getByText('Goal removed')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(saved(page)).toBeVisible();
});

test('a part that fails leaves the rest of the desk alive, with undo', async ({ page, watch }) => {
	watch.allow.push(/broken on purpose/);
	// the score watches its own width
	await page.addInitScript(() => {
		const { observe } = ResizeObserver.prototype;
		ResizeObserver.prototype.observe = function (element, options) {
			if (element.tagName === 'FIGURE') throw new Error('broken on purpose');
			observe.call(this, element, options);
		};
	});
	await newPlan(page);
	await expect(page.getByText('The score cannot be shown just now')).toBeVisible();
	await addByKey(page, 'clam');
	await expect(page.getByRole('group', { name: /^Clam/ })).toBeVisible();
	await expect(saved(page)).toBeVisible();
	const long = await total(page).textContent();
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await expect(page.getByRole('group', { name: /^Clam/ })).toBeHidden();
	await expect(total(page)).not.toHaveText(long ?? '');
});

test('a class removed in another window says so, can be kept as a new one, and can be brought back', async ({
	page,
	context,
	watch
}) => {
	watch.allow.push(/404/);
	const path = await newPlan(page, 'Lamp Room', '2030-02-05');
	await addByKey(page, 'clam');
	await expect(saved(page)).toBeVisible();
	const other = await context.newPage();
	await open(other, path);
	await other.getByRole('button', { name: 'Remove this class' }).click();
	await arrive(other, /^\/$/);
	await expect(other.getByText(/is removed/)).toBeVisible();

	await addByKey(page, 'cobra');
	await expect(page.getByText('This class was removed in another window')).toBeVisible();
	await page.getByRole('button', { name: 'Save it as a new one' }).click();
	await expect(page).not.toHaveURL(path);
	await expect(page.getByRole('group', { name: /^Cobra/ })).toBeVisible();

	await other.getByRole('button', { name: 'Bring it back' }).click();
	await arrive(other, path);
	await expect(other.getByRole('group', { name: /^Clam/ })).toBeVisible();
});

test('a form sent twice makes one group', async ({ page }) => {
	await open(page, '/group');
	await page.getByLabel('Name').fill('Twice at once');
	const form = page.locator('form[action="?/create"]');
	const fields = Object.fromEntries(
		await form.evaluate((node) => [...new FormData(node as HTMLFormElement)].map(([k, v]) => [k, String(v)]))
	) as Record<string, string>;
	const send = () => page.request.post('/group?/create', { form: fields, ...fromPage(), maxRedirects: 0 });
	const answers = await Promise.all([send(), send(), send()]);
	const places = await Promise.all(answers.map(async (a) => (await a.json()).location as string));
	expect(new Set(places).size).toBe(1);
	await open(page, '/group');
	await expect(page.getByRole('link', { name: 'Twice at once' })).toHaveCount(1);
});

test('signed out meanwhile: what was typed is sent as soon as one is signed in again', async ({
	page,
	context,
	watch
}) => {
	watch.allow.push(/401/);
	await newPlan(page);
	await addByKey(page, 'clam');
	await expect(saved(page)).toBeVisible();
	const cookies = await context.cookies();
	await context.clearCookies();
	await addByKey(page, 'cobra');
	await expect(page.getByText('Signed out: kept in this browser')).toBeVisible();
	await context.addCookies(cookies);
	await page.evaluate(() => window.dispatchEvent(new Event('focus')));
	await expect(saved(page)).toBeVisible();
});

test('a worker that does not load ends the waiting with a sentence, and can be tried again', async ({
	page,
	watch
}) => {
	watch.allow.push(/core\.worker|ERR_FAILED|worker/i);
	await newPlan(page);
	await addByKey(page, 'clam');
	await page.route('**/core.worker*', (route) => route.abort());
	await page.keyboard.press('f');
	await expect(page.getByText('This could not be computed')).toBeVisible();
	await page.unroute('**/core.worker*');
	await page.keyboard.press('f');
	await expect(page.getByText('This could not be computed')).toBeHidden();
});

test('a proposal that is taken while others are looked for leaves no word about none', async ({ page }) => {
	await newPlan(page);
	await page.keyboard.press('g');
	await page.getByRole('button', { name: 'Propose three' }).click();
	await page.getByRole('button', { name: 'Take this one' }).first().click({ timeout: 60_000 });
	await expect(page.getByText(/^Taken: .+; every block of it can be changed/)).toBeVisible();
	await expect(saved(page)).toBeVisible();
	await expect(page.getByText('0 classes proposed')).toBeHidden();
});

test('after signing out, Back shows nothing of the studio', async ({ browser, baseURL }) => {
	const page = await enteredAnew(browser, baseURL);
	await open(page, '/group');
	await page.getByRole('button', { name: 'Sign out' }).click();
	await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
	await page.goBack();
	await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
	await expect(page.getByText('Breakwater Striders')).toBeHidden();
	await page.context().close();
});
