/** Shared steps of the browser tests of teaching. */
import type { BrowserContext, Page } from '@playwright/test';
import type { SessionEvent } from '../../src/lib/core/teach';
import { expect, open } from './base';

/** The way to teach a class of the week that is next, with its plan's id. */
export async function toTeach(page: Page): Promise<{ path: string; plan: string }> {
	await open(page, '/');
	const path =
		(await page
			.getByRole('link', { name: /^Teach / })
			.first()
			.getAttribute('href')) ?? '';
	return { path, plan: new URL(path, page.url()).searchParams.get('plan') ?? '' };
}

/** When the class is to begin, milliseconds since 1970. */
export async function plannedStart(page: Page, plan: string): Promise<number> {
	const pack = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	return pack.plannedStartAt as number;
}

/** How somebody teaches with this device, before the page is opened. */
export const withSettings = (page: Page, settings: object) =>
	page.addInitScript((kept) => localStorage.setItem('orbit.teach', JSON.stringify(kept)), settings);

export const now = (page: Page) => page.getByRole('region', { name: 'Now' });
export const next = (page: Page) => page.getByRole('button', { name: /^(Next|On|End the class)/ });

export async function begin(page: Page, path: string): Promise<void> {
	await page.goto(path);
	await page.getByRole('button', { name: 'Begin the class' }).click();
	await expect(now(page)).toBeVisible();
}

/** Moves on by a clicker, on a page whose clock is the test's: two presses within 400 ms would be one. */
export async function press(page: Page, times = 1): Promise<void> {
	for (let i = 0; i < times; i++) {
		await page.keyboard.press('PageDown');
		await page.clock.fastForward(500);
	}
}

/** The same by the button under the thumb. */
export async function tap(page: Page, times = 1): Promise<void> {
	for (let i = 0; i < times; i++) {
		await next(page).click();
		await page.clock.fastForward(500);
	}
}

/** The runs that the device keeps, with what happened in each. */
export const onDevice = (page: Page): Promise<{ id: string; events: SessionEvent[]; unsent: number }[]> =>
	page.evaluate(async () => {
		const db = await new Promise<IDBDatabase>((done, fail) => {
			const request = indexedDB.open('humble-orbit-teach', 1);
			request.onsuccess = () => done(request.result);
			request.onerror = () => fail(new Error('no store'));
		});
		const all = (name: string) =>
			new Promise<Record<string, unknown>[]>((done) => {
				const request = db.transaction(name).objectStore(name).getAll();
				request.onsuccess = () => done(request.result);
			});
		const [runs, events] = [await all('runs'), await all('events')];
		db.close();
		return runs.map(({ id }) => {
			const own = events.filter(({ run }) => run === id);
			return {
				id: id as string,
				events: own.map(({ event }) => event as SessionEvent),
				unsent: own.filter(({ sent }) => sent === 0).length
			};
		});
	});

/** The pages that teaching needs are kept, and the classes of the next days lie on the device. */
export async function readyOffline(page: Page, context: BrowserContext): Promise<void> {
	await expect(page.getByText('on this device').first()).toBeVisible();
	await goOffline(page, context);
}

/** Takes the network away once the pages that teaching needs are kept. */
export async function goOffline(page: Page, context: BrowserContext): Promise<void> {
	await page.evaluate(async () => {
		await navigator.serviceWorker.ready;
		while (!(await caches.match('/teach/__data.json'))) await new Promise((wait) => setTimeout(wait, 100));
	});
	await context.setOffline(true);
}
