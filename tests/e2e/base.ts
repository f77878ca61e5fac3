import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import AxeBuilder from '@axe-core/playwright';
import {
	expect,
	test as base,
	type Browser,
	type BrowserContext,
	type Locator,
	type Page
} from '@playwright/test';
import { backToFirstState } from './first-state';

interface Watch {
	/** Messages that a test causes on purpose. */
	allow: RegExp[];
}

interface Fixtures {
	watch: Watch;
	/** A test that changes the clock, the network or the way pages are kept has a browser context of its own. */
	ownContext: boolean;
}

/** Where a signed-in browser begins: enter.setup.ts kept it. */
const SIGNED_IN = () => `${process.env.E2E_RESULTS}/imke.json`;

/**
 * Fails a test on any console warning or error, page error, or request that leaves the app's own origin. Tests share one
 * browser context, so that scripts are fetched and read once; each begins with its cookies and an empty store. With
 * E2E_AFRESH=1 each also begins with the demo as it was.
 */
export const test = base.extend<Fixtures, { sharedContext: BrowserContext }>({
	ownContext: [false, { option: true }],
	sharedContext: [
		async ({ browser }, use, { project }) => {
			const { viewport, locale, timezoneId, baseURL, contextOptions } = project.use;
			const context = await browser.newContext({
				...contextOptions,
				viewport,
				locale,
				timezoneId,
				baseURL,
				storageState: SIGNED_IN()
			});
			await use(context);
			await context.close();
		},
		{ scope: 'worker' }
	],
	context: async (
		{
			browser,
			sharedContext,
			ownContext,
			storageState,
			viewport,
			locale,
			timezoneId,
			baseURL,
			contextOptions
		},
		use
	) => {
		if (!ownContext && storageState === SIGNED_IN()) {
			await use(sharedContext);
			await emptied(sharedContext);
			return;
		}
		const own = await browser.newContext({
			...contextOptions,
			viewport,
			locale,
			timezoneId,
			baseURL,
			storageState
		});
		await use(own);
		await own.close();
	},
	watch: [
		async ({ page, baseURL }, use) => {
			if (process.env.E2E_AFRESH === '1') await backToFirstState();
			const seen: string[] = [];
			const state: Watch = { allow: [] };
			await slowDown(page);
			watchPage(page, baseURL ?? '', seen);
			await use(state);
			expect(seen.filter((s) => !state.allow.some((a) => a.test(s)))).toEqual([]);
		},
		{ auto: true }
	]
});

/** Closes the pages of a context and leaves nothing of the test in it but what was fetched. */
async function emptied(context: BrowserContext): Promise<void> {
	await context.unrouteAll({ behavior: 'ignoreErrors' });
	const last = await context.newPage();
	for (const page of context.pages()) if (page !== last) await page.close();
	const session = await context.newCDPSession(last);
	await session.send('Storage.clearDataForOrigin', {
		origin: ORIGIN,
		storageTypes: 'local_storage,indexeddb,cache_storage,service_workers'
	});
	await last.close();
	const { cookies } = JSON.parse(readFileSync(SIGNED_IN(), 'utf8')) as { cookies: Cookies };
	await context.clearCookies();
	await context.addCookies(cookies);
}
type Cookies = Parameters<BrowserContext['addCookies']>[0];
export { expect };

/** With E2E_SLOWER=6 the browser computes six times slower: that finds tests that click before a page answers. */
async function slowDown(page: Page): Promise<void> {
	const rate = Number(process.env.E2E_SLOWER ?? 1);
	if (rate <= 1) return;
	const session = await page.context().newCDPSession(page);
	await session.send('Emulation.setCPUThrottlingRate', { rate });
}

function watchPage(page: Page, origin: string, seen: string[]): void {
	page.on('console', (m) => {
		if (m.type() === 'error' || m.type() === 'warning') seen.push(`console ${m.type()}: ${m.text()}`);
	});
	page.on('pageerror', (e) => seen.push(`page error: ${e.message}`));
	page.on('request', (r) => {
		if (!r.url().startsWith(origin) && !/^(data|blob):/.test(r.url()))
			seen.push(`outside request: ${r.url()}`);
	});
}

/** Goes to a page and waits until it answers to clicks. */
export async function open(page: Page, path: string): Promise<void> {
	await page.goto(path);
	await page.waitForSelector('body[data-hydrated]');
}

/** Waits until the page that a click leads to is there and answers: the path of it, or how it begins. */
export async function arrive(page: Page, path: string | RegExp): Promise<void> {
	const pattern = path instanceof RegExp ? path : new RegExp(`^${path}`);
	await expect(page.locator('body')).toHaveAttribute('data-hydrated', pattern);
}

/** Loads the page anew and waits until it answers to clicks. */
export async function reload(page: Page): Promise<void> {
	await page.reload();
	await page.waitForSelector('body[data-hydrated]');
}

/** A page as the server sends it: its address, and where its links lead, by their words. Opening it would take a second. */
async function linksOf(
	page: Page,
	path: string
): Promise<{ url: URL; href: (words: string) => string | null }> {
	const response = await page.request.get(path);
	const links = [...(await response.text()).matchAll(/<a\b[^>]*\bhref="([^"]+)"[^>]*>(.*?)<\/a>/gs)];
	const words = (inner: string) =>
		inner
			.replace(/<[^>]*>/g, '')
			.replaceAll('&amp;', '&')
			.trim();
	return {
		url: new URL(response.url()),
		href: (wanted) => links.find(([, , inner = '']) => words(inner) === wanted)?.[1] ?? null
	};
}

/** The path of a group of the demo. */
export async function groupPath(page: Page, name: string): Promise<string> {
	const path = (await linksOf(page, '/group')).href(name);
	if (!path) throw new Error(`there is no group ${name}`);
	return path;
}

/** Opens a plan of the demo by its title. */
export async function openPlan(page: Page, group: string, title: string): Promise<void> {
	let path: string | null = await groupPath(page, group);
	while (path) {
		const { url, href } = await linksOf(page, path);
		const plan = href(title);
		if (plan) {
			await open(page, plan);
			await expect(page.getByRole('heading', { name: 'Running order' })).toBeVisible();
			return;
		}
		// other tests have put classes of later years before it
		const older = href('Older classes');
		path = older && new URL(older.replaceAll('&amp;', '&'), url).href;
	}
	throw new Error(`${group} has no class ${title}`);
}

/** A new, empty plan of its own for a test, for a group of the demo; leaves the page at its desk. */
export async function newPlan(
	page: Page,
	group = 'Breakwater Striders',
	day = '2030-01-01'
): Promise<string> {
	const { url, href } = await linksOf(page, '/group');
	const token = randomUUID().replaceAll('-', '');
	const form = { group: href(group)?.split('/').at(-1) ?? '', day, token };
	const headers = { origin: url.origin };
	const response = await page.request.post('/?/start', { form, headers, maxRedirects: 0 });
	const path = (await response.json()).location as string;
	await open(page, path);
	return path;
}

/** Adds a movement as a teacher does at the keyboard: A, some letters, Enter. */
export async function addByKey(page: Page, letters: string): Promise<void> {
	await page.keyboard.press('a');
	await page.getByRole('combobox', { name: 'Find a movement' }).fill(letters);
	await page.keyboard.press('Enter');
	await expect(page.getByRole('dialog', { name: 'Add a movement' })).toBeHidden();
}

/** Where the app is: playwright.config.ts chose it. */
const ORIGIN = `http://127.0.0.1:${process.env.E2E_PORT}`;

/** Returns the headers of a request that a page of the app would send: its origin, and a token of its own. */
export const fromPage = (): { headers: Record<string, string> } => ({
	headers: { origin: ORIGIN, 'idempotency-key': randomUUID() }
});

export const total = (page: Page) => page.getByTestId('total');
export const saved = (page: Page) => page.locator('[data-state="saved"]');

/** Everything that axe finds on the page as it stands, of any weight. */
export async function axeFindings(page: Page): Promise<string[]> {
	// the words of a tooltip lie at the end of the page, outside its landmarks; its button has them as its name
	const { violations } = await new AxeBuilder({ page }).exclude('[data-portal]').analyze();
	return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`);
}

/** The same in the colours of the app and in those that a reader forces on it. */
export async function axeInBoth(page: Page): Promise<string[]> {
	const found = await axeFindings(page);
	await page.emulateMedia({ forcedColors: 'active' });
	const forced = await axeFindings(page);
	await page.emulateMedia({ forcedColors: 'none' });
	return [...found, ...forced.map((finding) => `forced colours: ${finding}`)];
}

/** A browser of somebody who is not signed in anywhere, with one page. */
export async function stranger(browser: Browser, baseURL?: string): Promise<Page> {
	const context = await browser.newContext({ storageState: { cookies: [], origins: [] }, baseURL });
	const page = await context.newPage();
	await slowDown(page);
	return page;
}

/** The same, once they have entered the demo studio. */
export async function enteredAnew(browser: Browser, baseURL?: string): Promise<Page> {
	const page = await stranger(browser, baseURL);
	await open(page, '/sign-in');
	await page.getByRole('button', { name: 'Enter the demo studio' }).click();
	await expect(page.getByRole('heading', { name: 'This week' })).toBeVisible();
	return page;
}

/** Chooses a caution by typing its name. */
export async function pickCaution(within: Page | Locator, label: string, caution: string): Promise<void> {
	await within.getByRole('combobox', { name: label }).fill(caution);
	await within.getByRole('option', { name: caution }).first().click();
}
