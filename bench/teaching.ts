// The teaching screen in headless Chromium: how true its clock is, how fast it answers, and how much it draws.
import { chromium, type Browser, type CDPSession, type Page } from '@playwright/test';
import { freePort } from '../scripts/mariadb.mjs';
import { serve } from '../scripts/serve.mjs';
import { markPictures, median, msToPicture } from './typing';

const TAPS = 31;
const TRACED_MS = 5000;
/** Like a phone of some years ago beside the machine that the bench runs on. */
const SLOWED = 6;

/** Does something with a class that has just begun, on a phone-sized screen. */
async function inClass<T>(work: (page: Page, browser: Browser, cdp: CDPSession) => Promise<T>): Promise<T> {
	const { origin, stop } = await serve({ port: await freePort(), demo: true, quiet: true });
	const browser = await chromium.launch({
		executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
	});
	try {
		const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
		await page.goto(`${origin}/sign-in`);
		await page.waitForSelector('body[data-hydrated]');
		await page.getByRole('button', { name: 'Enter the demo studio' }).click();
		await page.waitForURL(`${origin}/`);
		const path = await page.locator('main a[href^="/teach?"]').first().getAttribute('href');
		await page.goto(origin + path!);
		await page.getByRole('button', { name: 'Begin the class' }).click();
		await page.getByRole('region', { name: 'Now' }).waitFor();
		// the panels that load once the page is at rest have loaded
		await page.waitForTimeout(4000);
		return await work(page, browser, await page.context().newCDPSession(page));
	} finally {
		await browser.close();
		await stop();
	}
}

/** Milliseconds from a tap to the painted change, slowed: "next" of the class, and a button that changes one word. */
export const tapToPaint = (): Promise<{ next: number; empty: number }> =>
	inClass(async (page, _browser, cdp) => {
		await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
		await page.evaluate(() => {
			const button = document.createElement('button');
			button.id = 'nothing';
			button.textContent = '0';
			button.style.cssText = 'position: fixed; top: 3.5rem; right: 0; z-index: 1';
			button.onclick = () => (button.textContent = String(Number(button.textContent) + 1));
			document.body.append(button);
		});
		await page.evaluate(markPictures, 'click' as const);
		const tap = async (selector: string) => {
			await page.locator(selector).click();
			return msToPicture(page);
		};
		const next: number[] = [];
		const empty: number[] = [];
		for (let i = 0; i < TAPS; i++) {
			next.push(await tap('footer .next button'));
			empty.push(await tap('#nothing'));
		}
		return { next: median(next), empty: median(empty) };
	});

/** Frames a second that the page draws: while a breath is counted, while seconds are, and while the class is paused. */
export const framesDrawn = (): Promise<{ breath: number; seconds: number; paused: number }> =>
	inClass(async (page, browser) => {
		const traced = async () => {
			await page.waitForTimeout(1500);
			await browser.startTracing(page, {
				categories: ['viz']
			});
			await page.waitForTimeout(TRACED_MS);
			const trace = JSON.parse((await browser.stopTracing()).toString()) as {
				traceEvents: { name: string }[];
			};
			const frames = trace.traceEvents.filter(({ name }) => name === 'Display::DrawAndSwap').length;
			return frames / (TRACED_MS / 1000);
		};
		// the class opens with words: their seconds are counted
		const seconds = await traced();
		await page.getByRole('button', { name: 'Pause' }).click();
		const paused = await traced();
		for (let i = 0; i < 40 && !(await page.locator('.pacer').count()); i++)
			await page.keyboard.press('PageDown');
		return { seconds, paused, breath: await traced() };
	});

export interface Drift {
	minutes: number;
	/** Milliseconds by which a second was shown late: the median of the first and of the last half minute. */
	firstMs: number;
	lastMs: number;
	/** The first second that was shown after the tab came back. */
	afterBackgroundMs: number;
}

/**
 * How true the shown clock is after the given minutes, a sixth of them with the tab frozen in the background, against the
 * clock of the machine.
 */
export const clockDrift = (minutes: number): Promise<Drift> =>
	inClass(async (page, _browser, cdp) => {
		await page.evaluate(() => {
			const shown: { at: number; text: string }[] = [];
			Object.assign(window, { shown });
			new MutationObserver(() => {
				const text = document.querySelector('.number')?.getAttribute('aria-label') ?? '';
				if (shown.at(-1)?.text !== text) shown.push({ at: Date.now(), text });
			}).observe(document.querySelector('.number')!, {
				attributes: true,
				childList: true,
				subtree: true,
				characterData: true
			});
		});
		const third = (minutes * 60_000) / 3;
		const background = (minutes * 60_000) / 6;
		await page.waitForTimeout(third);
		await cdp.send('Page.setWebLifecycleState', { state: 'frozen' });
		await new Promise((done) => setTimeout(done, background));
		const back = Date.now();
		await cdp.send('Page.setWebLifecycleState', { state: 'active' });
		await page.waitForTimeout(minutes * 60_000 - third - background);
		const { shown, startedAt } = await page.evaluate(async () => {
			const db = await new Promise<IDBDatabase>((done) => {
				const request = indexedDB.open('humble-orbit-teach');
				request.onsuccess = () => done(request.result);
			});
			const events = await new Promise<{ event: { do: string; at: number } }[]>((done) => {
				const request = db.transaction('events').objectStore('events').getAll();
				request.onsuccess = () => done(request.result);
			});
			return {
				shown: (window as unknown as { shown: { at: number; text: string }[] }).shown,
				startedAt: events.find(({ event }) => event.do === 'start')!.event.at
			};
		});
		const late = shown.flatMap(({ at, text }) => {
			const seconds = secondsShown(text);
			return seconds === null ? [] : [{ at, ms: at - startedAt - seconds * 1000 }];
		});
		const half = (from: number, to: number) =>
			median(late.filter(({ at }) => at >= from && at < to).map(({ ms }) => ms));
		const end = late.at(-1)!.at;
		return {
			minutes,
			firstMs: half(late[0]!.at, late[0]!.at + 30_000),
			lastMs: half(end - 30_000, end + 1),
			afterBackgroundMs: late.find(({ at }) => at >= back)!.ms
		};
	});

/** Whole seconds since the class began, as its first step shows them: "0:42 left of 1:00", or "... +0:12" beyond. */
function secondsShown(text: string): number | null {
	const found = /^(\d+):(\d\d) left of (\d+):(\d\d)(?: \+(?:(\d+):)?(\d+):(\d\d))?/.exec(text);
	if (!found) return null;
	const [left, of] = [60 * Number(found[1]) + Number(found[2]), 60 * Number(found[3]) + Number(found[4])];
	if (found[7] === undefined) return left > 0 ? of - left : null;
	return of + 3600 * Number(found[5] ?? 0) + 60 * Number(found[6]) + Number(found[7]);
}
